// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/stitch_dialog.hpp"

#include "app/dialogs/choice.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/repeat_picture.hpp"
#include "words/stitch_words.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QVBoxLayout>
#include <cmath>

namespace up::app {
namespace {

constexpr int mostPasses = 9;
constexpr double leastStitch = 0.1, mostStitch = 25.4; // mm

/// Machines are set in mm everywhere.
QString inMm(quilt::Length length) {
    return QString::number(length.mm(), 'f', 2) + " mm";
}
/// As it can be read again: of inches what is no 1/32 is said in mm.
QString said(quilt::Length length, measure::System units) {
    constexpr double parts = 32, hair = 1e-4; // of an inch
    const double inches = length.mm() / 25.4;
    if (units == measure::System::metric || std::abs(std::round(inches * parts) / parts - inches) > hair)
        return inMm(length);
    return q(measure::sayInches(length, 32));
}

} // namespace

StitchDialog::StitchDialog(StitchQuestion question, QWidget* parent)
    : Form(tr("How %1 is stitched").arg(q(question.of)), parent), m_question(std::move(question)),
      m_kind(named(new QComboBox(this), "sewing.kind")), m_width(named(new QLineEdit(this), "sewing.width")),
      m_length(named(new QLineEdit(this), "sewing.length")),
      m_apart(named(new QLineEdit(this), "sewing.apart")),
      m_passes(named(new QSpinBox(this), "sewing.passes")),
      m_mayBe(named(new QSpinBox(this), "sewing.mayBe")),
      m_repeat(named(new RepeatPicture(this), "sewing.repeat")),
      m_lastHole(named(new QPushButton(tr("Take the last hole back"), this), "sewing.lastHole")),
      m_about(new QLabel(this)) {
    auto* column = new QVBoxLayout(this);
    if (!m_question.isBlock) {
        m_asBlock =
            named(new QCheckBox(m_question.isStretch ? tr("As the piece's edge") : tr("As the block's edges"),
                                this),
                  "sewing.asBlock");
        m_asBlock->setChecked(!m_question.asBlock || *m_question.asBlock == m_question.edge);
        column->addWidget(m_asBlock);
    }
    auto* body = new QHBoxLayout;
    auto* form = new QFormLayout;
    column->addLayout(body);
    body->addLayout(form, 1);
    addRepeat(*body);
    for (const auto kind : every<quilt::StitchKind>())
        m_kind->addItem(q(words::stitchName(kind)), static_cast<int>(kind));
    m_passes->setRange(1, mostPasses), m_mayBe->setRange(0, mostPasses);
    m_passes->setSuffix(" ×"), m_mayBe->setSuffix(" ×");
    m_mayBe->setSpecialValueText(tr("no"));
    form->addRow(tr("Stitch"), m_kind);
    form->addRow(tr("Width, or how far inside"), m_width);
    form->addRow(tr("Length of a stitch"), m_length);
    form->addRow(tr("Along each edge"), m_passes);
    form->addRow(tr("or, where that saves a knot"), m_mayBe);
    form->addRow(tr("Its lines so far apart (0: not)"), m_apart);
    if (m_question.isBlock) addOfBlock(*form);
    m_about->setWordWrap(true);
    m_about->setProperty("role", "quiet");
    column->addWidget(m_about);
    column->addStretch(1);
    fill(m_question.edge);
    connect(m_kind, &QComboBox::activated, this, &StitchDialog::takeUsual);
    watch({m_kind, m_width, m_length, m_passes, m_mayBe, m_apart});
    if (m_question.isBlock) watch({m_jump, m_beneath, m_holds});
    if (m_asBlock) watch({m_asBlock});
    addFoot(*column, tr("Stitch it so"), "sewing.set");
}

/// Beside the fields, so that the form stays low on small screens.
void StitchDialog::addRepeat(QHBoxLayout& body) {
    auto* right = new QVBoxLayout;
    right->addWidget(m_repeat);
    right->addWidget(m_lastHole, 0, Qt::AlignLeft);
    right->addStretch(1);
    body.addLayout(right);
    m_lastHole->setAutoDefault(false);
    connect(m_repeat, &RepeatPicture::drawn, this, [this] { changed(); });
    connect(m_lastHole, &QPushButton::clicked, m_repeat, &RepeatPicture::undoHole);
}

void StitchDialog::addOfBlock(QFormLayout& form) {
    m_jump = named(new QLineEdit(said(m_question.jump, m_question.units), this), "sewing.jump");
    form.addRow(tr("May jump in the open (0: never)"), m_jump);
    m_beneath = named(new QComboBox(this), "sewing.beneath");
    for (const auto beneath : every<quilt::Beneath>())
        m_beneath->addItem(q(words::beneathName(beneath)), static_cast<int>(beneath));
    choose(*m_beneath, m_question.beneath);
    form.addRow(tr("Beneath it"), m_beneath);
    m_holds = named(new QLineEdit(said(m_question.battingHolds, m_question.units), this), "sewing.holds");
    form.addRow(tr("The batting holds over"), m_holds);
}

void StitchDialog::fill(const quilt::EdgeStitch& edge) {
    choose(*m_kind, edge.kind);
    m_width->setText(said(edge.width, m_question.units));
    m_length->setText(inMm(lengthOf(edge)));
    m_repeat->show(edge.unit);
    m_apart->setText(said(edge.apart.value_or(quilt::Length()), m_question.units));
    m_passes->setValue(edge.passes), m_mayBe->setValue(edge.mayBe.value_or(0));
}

void StitchDialog::takeUsual() {
    fill(quilt::usualStitch(chosenIn<quilt::StitchKind>(*m_kind)));
}

Result<quilt::Length> StitchDialog::between(const QLineEdit& field, measure::System units, double low,
                                            double high) const {
    const auto text = field.text().toStdString();
    return measure::readLength(text, units).and_then([&](quilt::Length length) -> Result<quilt::Length> {
        if (length.mm() < low || length.mm() > high) return failure(Code::badLength, {text});
        return length;
    });
}

Result<void> StitchDialog::readOfBlock() {
    const auto jump = between(*m_jump, m_question.units, 0, 1000);
    if (!jump) return tl::unexpected(jump.error());
    const auto holds = between(*m_holds, m_question.units, 10, 1000);
    if (!holds) return tl::unexpected(holds.error());
    m_answer.jump = *jump, m_answer.battingHolds = *holds;
    m_answer.beneath = chosenIn<quilt::Beneath>(*m_beneath);
    return {};
}

Result<void> StitchDialog::read() {
    m_answer.edge.reset();
    m_answer.jump = m_question.jump;
    if (m_asBlock && m_asBlock->isChecked()) return {};
    quilt::EdgeStitch edge;
    edge.kind = chosenIn<quilt::StitchKind>(*m_kind);
    edge.passes = m_passes->value();
    if (m_mayBe->value() > 0 && m_mayBe->value() != edge.passes) edge.mayBe = m_mayBe->value();
    const auto width = between(*m_width, m_question.units, leastStitch, mostStitch),
               length = between(*m_length, measure::System::metric, leastStitch, mostStitch);
    if (!width) return tl::unexpected(width.error());
    if (!length) return tl::unexpected(length.error());
    edge.width = *width;
    if (std::abs(length->mm() - usualLength(edge.kind).mm()) > 0.01) edge.length = *length;
    const auto apart = between(*m_apart, m_question.units, 0, mostStitch);
    if (!apart) return tl::unexpected(apart.error());
    if (apart->mm() >= leastStitch) edge.apart = *apart;
    if (edge.kind == quilt::StitchKind::decorative) edge.unit = m_repeat->holes();
    m_answer.edge = edge;
    return m_question.isBlock ? readOfBlock() : Result<void>();
}

void StitchDialog::follow(bool well) {
    for (QWidget* field :
         std::initializer_list<QWidget*>{m_kind, m_width, m_length, m_passes, m_mayBe, m_apart})
        field->setEnabled(!m_asBlock || !m_asBlock->isChecked());
    const bool isDecorative = chosenIn<quilt::StitchKind>(*m_kind) == quilt::StitchKind::decorative &&
                              !(m_asBlock && m_asBlock->isChecked());
    m_repeat->setVisible(isDecorative);
    m_lastHole->setVisible(isDecorative);
    if (m_holds) m_holds->setEnabled(chosenIn<quilt::Beneath>(*m_beneath) == quilt::Beneath::batting);
    if (!well || !m_answer.edge) return m_about->clear();
    const double length = lengthOf(*m_answer.edge).mm();
    m_about->setText(tr("%1 stitches to the inch. %2")
                         .arg(QString::number(25.4 / length, 'f', length < 1 ? 0 : 1))
                         .arg(q(words::stitchAdvice(m_answer.edge->kind))));
}

} // namespace up::app
