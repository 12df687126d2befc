// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/edge_dialog.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "core/shape/stretches.hpp"
#include "core/sheet/sheet.hpp"

#include <QDialogButtonBox>
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
    : QDialog(parent), m_question(std::move(question)),
      m_picture(named(new EdgePicture(m_question, this), "edges.picture")), m_about(new QLabel(this)) {
    setWindowTitle("Dotted edges of " + QString::fromStdString(edgesPiece(m_question).name));
    auto* column = new QVBoxLayout(this);
    auto* help =
        new QLabel("Click a stretch of the edge that lies beneath another piece or in a seam: it becomes "
                   "dotted and is neither turned nor stitched.",
                   this);
    help->setWordWrap(true);
    column->addWidget(help);
    column->addWidget(m_picture, 1);
    column->addWidget(m_about);
    auto* buttons = new QDialogButtonBox(this);
    auto* set = named(buttons->addButton("Set the edges", QDialogButtonBox::AcceptRole), "edges.set");
    auto* hidden =
        named(buttons->addButton("What is hidden now", QDialogButtonBox::ActionRole), "edges.hidden");
    auto* none = named(buttons->addButton("None", QDialogButtonBox::ActionRole), "edges.none");
    buttons->addButton("Cancel", QDialogButtonBox::RejectRole);
    hidden->setEnabled(!m_question.hidden.empty());
    column->addWidget(buttons);
    connect(set, &QPushButton::clicked, this, &QDialog::accept);
    connect(hidden, &QPushButton::clicked, this, [this] { m_picture->setDotted(m_question.hidden); });
    connect(none, &QPushButton::clicked, this, [this] { m_picture->setDotted({}); });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(m_picture, &EdgePicture::changed, this, &EdgeDialog::tell);
    resize(760, 600);
    tell();
}

void EdgeDialog::tell() {
    double mm = 0;
    for (const auto& line : m_picture->dotted())
        mm += shape::lengthOf(flattened(line));
    m_about->setText(m_picture->dotted().empty()
                         ? QString("The whole edge is a cut line.")
                         : QString("%1 of the edge are dotted.")
                               .arg(QString::fromStdString(
                                   measure::say(measure::Length::ofMm(mm), m_question.quilt.units))));
}

} // namespace up::app
