// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/laid_dialog.hpp"

#include "app/dialogs/choice.hpp"
#include "app/dialogs/parts.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/line_picture.hpp"
#include "core/edit/lines.hpp"
#include "core/plan/finish/laid_plan.hpp"
#include "core/plan/finish/leading_plan.hpp"
#include "core/quilt/labels.hpp"
#include "core/quilt/laying.hpp"
#include "words/laid_words.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QVBoxLayout>
#include <algorithm>
#include <utility>

namespace up::app {

using quilt::LaidEnd;
using quilt::Length;
using quilt::LineStitch;
using quilt::Trim;

namespace {

struct Usual {
    Length width;
    Held held;
    bool melts = false;
};
/// Source: common practice.
Usual usualOf(Trim trim) {
    switch (trim) {
    case Trim::stem: return {Length::ofInches(3, 8), Held::machine};
    case Trim::tape: return {Length::ofInches(1, 4), Held::machine};
    case Trim::chenille: return {Length::ofInches(1, 2), Held::machine};
    case Trim::ribbon: return {Length::ofInches(1, 4), Held::machine};
    case Trim::rickrack: return {Length::ofInches(3, 8), Held::machine};
    case Trim::cord: return {Length::ofInches(1, 8), Held::zigzag};
    case Trim::yarn: return {Length::ofInches(3, 16), Held::zigzag};
    case Trim::button: return {Length::ofInches(1, 2), Held::hand};
    case Trim::flower: return {Length::ofInches(1, 1), Held::hand};
    case Trim::dot: return {Length::ofInches(1, 8), Held::glue, true};
    }
    return {};
}

Held heldOf(const quilt::Line& line) {
    if (line.laid->glued) return Held::glue;
    if (quilt::isByHand(line.stitch)) return Held::hand;
    return line.stitch == LineStitch::machineSatin ? Held::zigzag : Held::machine;
}

/// A zigzag swings a little beyond what it holds, and its stitches lie apart.
void hold(quilt::Line& line, Held held) {
    line.laid->glued = held == Held::glue;
    line.stitch = held == Held::machine  ? LineStitch::machineStraight
                  : held == Held::zigzag ? LineStitch::machineSatin
                                         : LineStitch::back;
    line.length.reset();
    if (held == Held::zigzag) {
        line.width = std::min(line.laid->width + Length::ofInches(1, 16), Length::ofMm(12));
        line.length = Length::ofMm(2.5);
    }
}

} // namespace

LaidDialog::LaidDialog(LineQuestion question, QWidget* parent)
    : Form(question.line ? tr("Change what is laid on") : tr("Lay something on"), parent),
      m_question(std::move(question)), m_picture(named(new LinePicture(this), "laid.picture")),
      m_trim(named(new QComboBox(this), "laid.trim")), m_along(named(new QComboBox(this), "laid.along")),
      m_fabric(named(new QComboBox(this), "laid.fabric")), m_held(named(new QComboBox(this), "laid.held")),
      m_thread(named(new QComboBox(this), "laid.thread")), m_begin(named(new QComboBox(this), "laid.begin")),
      m_end(named(new QComboBox(this), "laid.end")), m_name(named(new QLineEdit(this), "laid.name")),
      m_width(named(new QLineEdit(this), "laid.width")), m_called(named(new QSpinBox(this), "laid.called")),
      m_melts(named(new QCheckBox(tr("Heat melts it"), this), "laid.melts")),
      m_clear(named(new QPushButton(tr("Draw it anew"), this), "laid.clear")), m_about(new QLabel(this)) {
    auto* row = new QHBoxLayout(this);
    auto* side = new QWidget(this);
    side->setFixedWidth(380);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    m_form = new QFormLayout;
    column->addLayout(m_form);
    buildWhat(*m_form);
    buildHow(*m_form);
    m_about->setWordWrap(true);
    m_about->setProperty("role", "quiet");
    column->addWidget(m_about);
    column->addStretch(1);
    row->addWidget(side);
    row->addWidget(m_picture, 1);
    resize(930, 600);
    m_picture->setDrawing(true);
    start();
    watch({m_trim, m_along, m_fabric, m_held, m_thread, m_begin, m_end, m_name, m_width, m_called, m_melts});
    connect(m_clear, &QPushButton::clicked, this, [this] {
        m_isExample = false;
        m_drawn.clear();
        changed();
    });
    connect(m_picture, &LinePicture::drawn, this, [this](const shape::Contour& stroke) {
        if (std::exchange(m_isExample, false)) m_drawn.clear();
        m_drawn.push_back(stroke);
        changed();
    });
    addFoot(*column, m_question.line ? tr("Change it") : tr("Lay it on"), "laid.set");
}

void LaidDialog::buildWhat(QFormLayout& form) {
    for (const auto trim : every<Trim>())
        m_trim->addItem(q(words::trimName(trim)), static_cast<int>(trim));
    offer<Where>(*m_along, {{Where::drawn, tr("drawn here")}, {Where::borders, tr("all borders of pieces")}});
    const auto& block = the(m_question.quilt.blocks, m_question.block);
    if (quilt::find(block.pieces, m_question.along))
        offer<Where>(*m_along,
                     {{Where::edge, tr("edge of %1").arg(q(quilt::labelOf(block, m_question.along)))}});
    m_clear->setAutoDefault(false);
    m_called->setRange(0, 1000);
    m_called->setSpecialValueText(tr("not counted"));
    form.addRow(tr("What it is"), m_trim);
    form.addRow(tr("Called"), m_name);
    form.addRow(tr("Where"), m_along);
    form.addRow(QString(), m_clear);
    form.addRow(tr("As wide as"), m_width);
    form.addRow(tr("So many"), m_called);
    m_name->setPlaceholderText(tr("as what it is"));
}

void LaidDialog::buildHow(QFormLayout& form) {
    m_fabric->addItem(tr("as its thread"), 0U);
    for (const auto& fabric : m_question.quilt.fabrics)
        m_fabric->addItem(swatchOf(fabric), q(fabric.name), fabric.id.value);
    offer<Held>(*m_held, {{Held::machine, tr("machine, straight")},
                          {Held::zigzag, tr("machine, zigzag")},
                          {Held::hand, tr("by hand")},
                          {Held::glue, tr("glue")}});
    for (const auto& thread : m_question.quilt.threads)
        m_thread->addItem(swatchOf(thread.colour), q(thread.name), thread.id.value);
    for (auto* box : {m_begin, m_end})
        for (const auto end : every<LaidEnd>())
            box->addItem(q(words::laidEndName(end)), static_cast<int>(end));
    form.addRow(tr("Cloth, colour"), m_fabric);
    form.addRow(tr("Held by"), m_held);
    form.addRow(tr("Thread"), m_thread);
    form.addRow(tr("Starts, ends"), beside(m_begin, m_end));
    form.addRow(QString(), m_melts);
}

void LaidDialog::start() {
    const auto& block = the(m_question.quilt.blocks, m_question.block);
    if (const auto* line = quilt::find(block.lines, m_question.line); line && line->laid) return fill(*line);
    quilt::Line fresh;
    fresh.laid.emplace();
    if (!m_question.quilt.fabrics.empty()) fresh.laid->fabric = m_question.quilt.fabrics.front().id;
    if (!m_question.quilt.threads.empty()) fresh.thread = m_question.quilt.threads.front().id;
    for (const auto& before : block.lines) // as the last one on this block
        if (before.laid) fresh.laid->fabric = before.laid->fabric, fresh.thread = before.thread;
    hold(fresh, usualOf(fresh.laid->trim).held);
    // a gentle curve up the middle, so that there is something to look at
    const double wide = block.width.mm(), high = block.height.mm();
    shape::Contour stroke;
    stroke.start = {wide * 0.5, high * 0.85}, stroke.closed = false;
    stroke.curveTo({wide * 0.42, high * 0.6}, {wide * 0.58, high * 0.4}, {wide * 0.5, high * 0.15});
    fresh.strokes = std::vector{stroke};
    fill(fresh);
    m_isExample = true;
}

void LaidDialog::fill(const quilt::Line& line) {
    m_answer = line;
    const auto& laid = *line.laid;
    choose(*m_trim, laid.trim);
    m_usualOf = laid.trim;
    if (line.name != words::trimName(laid.trim)) m_name->setText(q(line.name));
    m_drawn = placed(line);
    m_width->setText(typed(laid.width.mm(), m_question.quilt.units, 16));
    m_called->setValue(laid.called);
    m_fabric->setCurrentIndex(std::max(0, m_fabric->findData(laid.fabric.value)));
    choose(*m_held, heldOf(line));
    m_thread->setCurrentIndex(m_thread->findData(line.thread.value));
    choose(*m_begin, laid.begin);
    choose(*m_end, laid.end);
    m_melts->setChecked(laid.melts);
    showFields();
}

void LaidDialog::takeUsual() {
    const auto trim = chosenIn<Trim>(*m_trim);
    if (trim == m_usualOf) return;
    const auto usual = usualOf(trim);
    m_usualOf = trim; // first: what follows reads the form anew
    m_width->setText(typed(usual.width.mm(), m_question.quilt.units, 16));
    choose(*m_held, usual.held);
    m_melts->setChecked(usual.melts);
}

void LaidDialog::showFields() {
    const auto trim = chosenIn<Trim>(*m_trim);
    const bool isThing = quilt::isThing(trim);
    m_form->setRowVisible(m_called, isThing);
    m_form->setRowVisible(m_begin->parentWidget(), !isThing && chosenIn<Where>(*m_along) != Where::borders);
    m_form->setRowVisible(m_thread, chosenIn<Held>(*m_held) != Held::glue);
    const bool isDrawn = chosenIn<Where>(*m_along) == Where::drawn;
    m_form->setRowVisible(m_clear, isDrawn);
    m_picture->setDrawing(isDrawn);
}

Result<void> LaidDialog::readHow() {
    auto& laid = *m_answer.laid;
    laid.trim = chosenIn<Trim>(*m_trim);
    const auto width = readBetween(m_width->text(), m_question.quilt.units, tr("width"), Length::ofMm(0.5),
                                   Length::ofMm(100));
    if (!width) return tl::unexpected(width.error());
    laid.width = *width;
    laid.fabric = FabricId{m_fabric->currentData().toUInt()};
    laid.begin = chosenIn<LaidEnd>(*m_begin), laid.end = chosenIn<LaidEnd>(*m_end);
    if (chosenIn<Where>(*m_along) == Where::borders) laid.begin = laid.end = LaidEnd::covered;
    laid.melts = m_melts->isChecked();
    laid.called = quilt::isThing(laid.trim) ? m_called->value() : 0;
    auto held = chosenIn<Held>(*m_held);
    if (quilt::isThing(laid.trim) && held != Held::glue) held = Held::hand;
    hold(m_answer, held);
    m_answer.thread = ThreadId{m_thread->currentData().toUInt()};
    return {};
}

std::vector<shape::Contour> LaidDialog::strokes() {
    const auto& block = the(m_question.quilt.blocks, m_question.block);
    switch (chosenIn<Where>(*m_along)) {
    case Where::drawn: break;
    case Where::edge: return {quilt::alongEdge(placed(the(block.pieces, m_question.along)).edge)};
    case Where::borders:
        if (!m_leading) m_leading = plan::planLeading(block);
        return plan::strokesOf(*m_leading);
    }
    return m_drawn;
}

Result<void> LaidDialog::read() {
    takeUsual();
    showFields();
    if (auto ok = readHow(); !ok) return ok;
    auto strokes = this->strokes();
    if (strokes.empty()) return failure(Code::emptyDrawing, {tr("the picture").toStdString()});
    if (strokes != placed(m_answer)) m_answer.strokes = std::move(strokes), m_answer.place = {};
    const auto name = m_name->text().trimmed().toStdString();
    m_answer.name = name.empty() ? words::trimName(m_answer.laid->trim) : name;
    const auto put = edit::putLine(m_question.quilt, m_question.block, m_answer);
    return put ? Result<void>() : tl::unexpected(put.error());
}

void LaidDialog::follow(bool well) {
    m_picture->show(m_question.quilt, m_question.block, well ? &m_answer : nullptr);
    if (!well) return m_about->clear();
    auto block = the(m_question.quilt.blocks, m_question.block);
    auto line = m_answer;
    line.id = LineId{m_question.quilt.nextId};
    block.lines = {line};
    auto about = q(words::laidWords(m_question.quilt, block, line)) + ".\n";
    for (const auto& strip : plan::planLaid(block).strips)
        if (strip.tooTight) {
            about += tr("It bends too tightly for its width: it will pucker.");
            return m_about->setText(about);
        }
    about += quilt::isThing(line.laid->trim)
                 ? tr("Click on the picture for each place, or drag a line to spread them on.")
                 : tr("Drag on the picture to draw its line.");
    m_about->setText(about);
}

} // namespace up::app
