// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/fitting_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/edit/fitting.hpp"
#include "core/plan/finish/finish_plan.hpp"
#include "words/finish_words.hpp"

#include <QCheckBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QVBoxLayout>

namespace up::app {

FittingDialog::FittingDialog(FittingQuestion question, QWidget* parent)
    : Form(tr("Fit %1").arg(q(the(question.quilt.blocks, question.block).name)), parent),
      m_question(std::move(question)), m_wide(named(new QLineEdit(this), "fitting.wide")),
      m_high(named(new QLineEdit(this), "fitting.high")), m_seam(named(new QLineEdit(this), "fitting.seam")),
      m_frame(named(new QLineEdit(this), "fitting.frame")),
      m_asQuilt(named(new QCheckBox(tr("as the quilt is set"), this), "fitting.asQuilt")),
      m_top(named(new QCheckBox(tr("above"), this), "fitting.top")),
      m_bottom(named(new QCheckBox(tr("below"), this), "fitting.bottom")),
      m_left(named(new QCheckBox(tr("left"), this), "fitting.left")),
      m_right(named(new QCheckBox(tr("right"), this), "fitting.right")),
      m_sidesFirst(named(new QCheckBox(tr("left and right first"), this), "fitting.sidesFirst")),
      m_about(new QLabel(this)) {
    auto* column = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    column->addLayout(form);
    const auto& block = the(m_question.quilt.blocks, m_question.block);
    const auto& fitting = block.fitting;
    const auto text = [&](quilt::Length length) { return typed(length.mm(), m_question.quilt.units, 32); };
    if (fitting.measured)
        m_wide->setText(text(fitting.measured->wide)), m_high->setText(text(fitting.measured->high));
    for (auto* field : {m_wide, m_high})
        field->setPlaceholderText(tr("not measured yet"));
    m_seam->setText(text(fitting.seam)), m_frame->setText(text(fitting.frame));
    const auto sides = plan::sidesOf(m_question.quilt, block);
    m_asQuilt->setChecked(!fitting.sides), m_sidesFirst->setChecked(fitting.sidesFirst);
    m_top->setChecked(sides.top), m_bottom->setChecked(sides.bottom);
    m_left->setChecked(sides.left), m_right->setChecked(sides.right);
    form->addRow(tr("Pressed, it measures across"), m_wide);
    form->addRow(tr("and down, raw edge to raw edge"), m_high);
    auto* strips = new QHBoxLayout;
    for (auto* box : {m_asQuilt, m_top, m_bottom, m_left, m_right})
        strips->addWidget(box);
    form->addRow(tr("Strips"), strips);
    form->addRow(tr("Order"), m_sidesFirst);
    form->addRow(tr("Sewn on with a seam of"), m_seam);
    form->addRow(tr("A frame first, as seen (0: none)"), m_frame);
    m_about->setWordWrap(true);
    m_about->setProperty("role", "quiet");
    column->addWidget(m_about, 1);
    watch({m_wide, m_high, m_seam, m_frame, m_asQuilt, m_top, m_bottom, m_left, m_right, m_sidesFirst});
    resize(620, 520);
    addFoot(*column, tr("Fit it so"), "fitting.set");
}

Result<quilt::Length> FittingDialog::lengthIn(const QLineEdit& field) const {
    return measure::readLength(field.text().toStdString(), m_question.quilt.units);
}

Result<void> FittingDialog::readMeasured() {
    m_answer.measured.reset();
    if (m_wide->text().trimmed().isEmpty() && m_high->text().trimmed().isEmpty()) return {};
    const auto wide = lengthIn(*m_wide);
    if (!wide) return tl::unexpected(wide.error());
    const auto high = lengthIn(*m_high);
    if (!high) return tl::unexpected(high.error());
    m_answer.measured = quilt::Measured{*wide, *high};
    return {};
}

Result<void> FittingDialog::read() {
    m_answer = {};
    if (auto ok = readMeasured(); !ok) return ok;
    const auto seam = lengthIn(*m_seam);
    if (!seam) return tl::unexpected(seam.error());
    const auto frame = lengthIn(*m_frame);
    if (!frame) return tl::unexpected(frame.error());
    m_answer.seam = *seam, m_answer.frame = *frame;
    m_answer.sidesFirst = m_sidesFirst->isChecked();
    if (!m_asQuilt->isChecked())
        m_answer.sides = quilt::Sides{m_top->isChecked(), m_bottom->isChecked(), m_left->isChecked(),
                                      m_right->isChecked()};
    auto fitted = edit::fit(m_question.quilt, m_question.block, m_answer);
    if (!fitted) return tl::unexpected(fitted.error());
    return {};
}

void FittingDialog::follow(bool well) {
    for (auto* box : {m_top, m_bottom, m_left, m_right})
        box->setEnabled(!m_asQuilt->isChecked());
    if (!well) return m_about->clear();
    const auto fitted = edit::fit(m_question.quilt, m_question.block, m_answer).value();
    const auto units = fitted.units;
    const auto plan = plan::planFinish(fitted, the(fitted.blocks, m_question.block));
    QStringList lines{
        tr("Trim it to %1.").arg(q(measure::saySize(plan.trimTo.wide, plan.trimTo.high, units)))};
    if (plan.trimming.isShort()) {
        lines << tr("It is %1.").arg(q(words::lackWords(plan.trimming.lacking, units)));
        for (const auto& rescue : words::rescues(plan, units))
            lines << q(rescue);
    } else {
        for (const auto& strip : plan.strips)
            lines << q(words::stripName(strip)) + ": " + q(words::stripSizes(strip, units)) + ".";
    }
    m_about->setText(lines.join('\n'));
}

} // namespace up::app
