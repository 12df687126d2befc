// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/edge_dialog.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/shape/stretches.hpp"
#include "core/sheet/sheet.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace up::app {
namespace {
const quilt::Piece& edgesPiece(const EdgeQuestion& question) {
    return quilt::the(quilt::the(question.quilt.blocks, question.block).pieces, question.piece);
}
} // namespace

EdgeDialog::EdgeDialog(EdgeQuestion question, QWidget* parent)
    : Form(tr("Dotted edges of %1").arg(q(edgesPiece(question).name)), parent),
      m_question(std::move(question)), m_picture(named(new EdgePicture(m_question, this), "edges.picture")),
      m_about(new QLabel(this)) {
    auto* column = new QVBoxLayout(this);
    auto* help =
        new QLabel(tr("Click a stretch of the edge that lies beneath another piece or in a seam: it becomes "
                      "dotted and is neither turned nor stitched."),
                   this);
    help->setWordWrap(true);
    column->addWidget(help);
    column->addWidget(m_picture, 1);
    column->addWidget(m_about);
    auto* choices = new QHBoxLayout;
    auto* hidden = named(new QPushButton(tr("What is hidden now"), this), "edges.hidden");
    auto* none = named(new QPushButton(tr("None"), this), "edges.none");
    for (auto* button : {hidden, none}) {
        button->setAutoDefault(false);
        choices->addWidget(button);
    }
    choices->addStretch();
    column->addLayout(choices);
    hidden->setEnabled(!m_question.hidden.empty());
    connect(hidden, &QPushButton::clicked, this, [this] { m_picture->setDotted(m_question.hidden); });
    connect(none, &QPushButton::clicked, this, [this] { m_picture->setDotted({}); });
    connect(m_picture, &EdgePicture::changed, this, &EdgeDialog::changed);
    resize(760, 600);
    addFoot(*column, tr("Set the edges"), "edges.set");
}

void EdgeDialog::follow(bool) {
    double mm = 0;
    for (const auto& line : m_picture->dotted())
        mm += shape::lengthOf(flattened(line));
    m_about->setText(m_picture->dotted().empty()
                         ? tr("The whole edge is a cut line.")
                         : tr("%1 of the edge are dotted.")
                               .arg(q(measure::say(measure::Length::ofMm(mm), m_question.quilt.units))));
}

} // namespace up::app
