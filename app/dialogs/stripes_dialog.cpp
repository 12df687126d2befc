// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/stripes_dialog.hpp"
#include "app/dialogs/choice.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/sheet/sheet.hpp"
#include "words/sentences.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLabel>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>
#include <cmath>

namespace up::app {
namespace {

const quilt::Piece& pieceOf(const StripesQuestion& question) {
    return quilt::the(quilt::the(question.quilt.blocks, question.block).pieces, question.piece);
}

const quilt::Fabric* fabricOf(const StripesQuestion& question) {
    return quilt::find(question.quilt.fabrics, pieceOf(question).fabric);
}

} // namespace

StripesDialog::StripesDialog(StripesQuestion question, QWidget* parent)
    : Form(tr("Stripes on %1").arg(q(pieceOf(question).name)), parent), m_question(std::move(question)),
      m_picture(named(new StripesPicture(m_question, this), "stripes.picture")),
      m_print(named(new QComboBox(this), "stripes.print")),
      m_direction(named(new QDoubleSpinBox(this), "stripes.direction")),
      m_within(named(new QDoubleSpinBox(this), "stripes.within")),
      m_matters(named(new QCheckBox(tr("It matters how they run over this piece"), this), "stripes.matters")),
      m_says(new QLabel(this)) {
    const auto& piece = pieceOf(m_question);
    const auto* fabric = fabricOf(m_question);
    offerEvery<quilt::Print>(*m_print,
                             std::array{tr("plain: any way up"), tr("stripes, grain or rows: either way up"),
                                        tr("one way: with a top")});
    choose(*m_print, fabric ? fabric->print : quilt::Print::plain);
    m_direction->setRange(-180, 180), m_direction->setDecimals(0), m_direction->setSuffix("°");
    m_direction->setWrapping(true);
    const auto box = boundsOf(*piece.outline);
    const double longest = box.width() >= box.height() ? 0 : 90;
    m_direction->setValue(piece.grain ? std::remainder(piece.grain->degrees(), 360) : longest);
    m_within->setRange(0, 45), m_within->setDecimals(0), m_within->setSuffix("°");
    m_within->setValue(fabric ? fabric->tolerance.degrees() : 5);
    m_matters->setChecked(piece.grain.has_value() || (fabric && fabric->print == quilt::Print::plain));
    m_says->setWordWrap(true);
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_picture, 1);
    auto* form = new QFormLayout;
    form->addRow(tr("Print of %1").arg(fabric ? q(fabric->name) : tr("its fabric")), m_print);
    form->addRow("", m_matters);
    form->addRow(tr("Run this way (0° across, 90° down)"), m_direction);
    form->addRow(tr("May be off by"), m_within);
    column->addLayout(form);
    column->addWidget(m_says);
    watch({m_print, m_matters, m_direction, m_within});
    connect(m_picture, &StripesPicture::turned, this, [this](double degrees) {
        if (chosenIn<quilt::Print>(*m_print) == quilt::Print::plain) choose(*m_print, quilt::Print::striped);
        m_matters->setChecked(true);
        m_direction->setValue(degrees);
    });
    resize(720, 640);
    addFoot(*column, tr("Set the stripes"), "stripes.set");
}

StripesAnswer StripesDialog::answer() const {
    StripesAnswer out;
    out.print = chosenIn<quilt::Print>(*m_print);
    out.tolerance = measure::Angle::ofDegrees(m_within->value());
    if (m_matters->isChecked() && out.print != quilt::Print::plain)
        out.grain = measure::Angle::ofDegrees(m_direction->value());
    return out;
}

QString StripesDialog::says() const {
    const auto now = answer();
    if (now.print == quilt::Print::plain)
        return tr("A plain fabric: its pieces are turned however they use least web.");
    if (!now.grain) return tr("This piece is turned however it uses least web.");
    return QString(tr("Reversing mirrors the way they run: %1° seen from the front is %2° on the paper. "
                      "Pieces of "
                      "one chunk are laid so that their stripes agree."))
        .arg(now.grain->degrees(), 0, 'f', 0)
        .arg(std::remainder(180 - now.grain->degrees(), 360), 0, 'f', 0);
}

void StripesDialog::follow(bool) {
    const bool printed = chosenIn<quilt::Print>(*m_print) != quilt::Print::plain;
    m_matters->setEnabled(printed);
    m_direction->setEnabled(printed && m_matters->isChecked());
    m_within->setEnabled(printed);
    m_picture->show(answer());
    m_says->setText(says());
}

} // namespace up::app
