// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/supply_dialog.hpp"

#include "app/dialogs/choice.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/edit/edits.hpp"
#include "core/edit/naming.hpp"
#include "words/stash_words.hpp"

#include <QComboBox>
#include <QFormLayout>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

namespace up::app {

SupplyDialog::SupplyDialog(quilt::Supply supply, measure::System units, QWidget* parent)
    : Form(tr("Stabiliser or batting"), parent), m_answer{std::move(supply), false}, m_units(units),
      m_purpose(named(new QComboBox(this), "supply.for")), m_name(named(new QLineEdit(this), "supply.name")),
      m_size(named(new QLineEdit(this), "supply.size")) {
    auto* column = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    column->addLayout(form);
    for (const auto purpose : every<quilt::Purpose>())
        m_purpose->addItem(q(words::purposeWords(purpose)), static_cast<int>(purpose));
    form->addRow(tr("It is"), m_purpose);
    form->addRow(tr("Name"), m_name);
    form->addRow(tr("What is left, width × length"), m_size);
    column->addStretch(1);
    choose(*m_purpose, m_answer.supply.purpose);
    m_name->setText(q(m_answer.supply.name));
    m_size->setText(q(measure::saySize(m_answer.supply.width, m_answer.supply.length, units)));
    m_sizeBefore = m_size->text();
    watch({m_purpose, m_name, m_size});
    addFoot(*column, tr("Keep it so"), "supply.keep");
    if (m_answer.supply.id) addGone("supply.gone", m_answer.gone);
}

Result<void> SupplyDialog::read() {
    auto& supply = m_answer.supply;
    supply.purpose = chosenIn<quilt::Purpose>(*m_purpose);
    const auto name = edit::properName(m_name->text().toStdString());
    if (!name) return tl::unexpected(name.error());
    supply.name = *name;
    if (m_size->text() == m_sizeBefore) return {};
    const auto size = measure::readSize(m_size->text().toStdString(), m_units);
    if (!size) return tl::unexpected(size.error());
    for (const auto side : {size->width, size->height})
        if (side < edit::leastSide || side > edit::mostWeb)
            return failure(Code::absurdSize,
                           {supply.name, measure::say(side, m_units), measure::say(edit::leastSide, m_units),
                            measure::say(edit::mostWeb, m_units)});
    supply.width = size->width, supply.length = size->height;
    return {};
}

} // namespace up::app
