// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/iron_dialog.hpp"

#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/cloth_picture.hpp"
#include "core/edit/naming.hpp"

#include <QCheckBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QVBoxLayout>

namespace up::app {

using measure::Length;

IronDialog::IronDialog(IronQuestion question, QWidget* parent)
    : Form(tr("Your own iron"), parent), m_question(std::move(question)),
      m_picture(named(new ClothPicture(this), "iron.picture")),
      m_name(named(new QLineEdit(this), "iron.name")), m_length(named(new QLineEdit(this), "iron.length")),
      m_upsideDown(named(new QCheckBox(tr("The tip points down in the picture"), this), "iron.turn")) {
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_picture, 1);
    auto* hint = new QLabel(
        tr("Seen from above, as you hold it. Lay a ruler along the iron: if it is longer or shorter "
           "than this, type its length, and the outline is made as large."),
        this);
    hint->setWordWrap(true);
    hint->setProperty("role", "quiet");
    column->addWidget(hint);
    auto* form = new QFormLayout;
    form->addRow(tr("Name"), m_name);
    form->addRow(tr("From heel to tip"), m_length);
    form->addRow("", m_upsideDown);
    column->addLayout(form);
    m_name->setText(q(m_question.name));
    m_length->setText(q(measure::say(Length::ofMm(boundsOf(m_question.outline).height()), m_question.units)));
    m_lengthBefore = m_length->text();
    resize(460, 560);
    watch({m_name, m_length, m_upsideDown});
    addFoot(*column, tr("Use this iron"), "iron.keep");
}

Result<void> IronDialog::read() {
    const auto name = edit::properName(m_name->text().toStdString());
    if (!name) return tl::unexpected(name.error());
    double factor = 1;
    if (m_length->text() != m_lengthBefore) {
        const auto length = measure::readLength(m_length->text().toStdString(), m_question.units);
        if (!length) return tl::unexpected(length.error());
        constexpr auto least = Length::ofInches(1, 1), most = Length::ofInches(16, 1);
        if (*length < least || *length > most)
            return failure(Code::absurdSize,
                           {tr("iron").toStdString(), measure::say(*length, m_question.units),
                            measure::say(least, m_question.units), measure::say(most, m_question.units)});
        factor = length->mm() / boundsOf(m_question.outline).height();
    }
    const double way = m_upsideDown->isChecked() ? -factor : factor; // half a turn
    m_answer = {*name, m_question.outline};
    for (auto& p : m_answer.outline)
        p = p * way;
    return {};
}

void IronDialog::follow(bool well) {
    if (well)
        m_picture->showIron(shape::regionOf(shape::Rings{m_answer.outline}), look::q(look::slate),
                            m_question.units);
}

} // namespace up::app
