// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/line_dialog.hpp"

#include "app/dialogs/choice.hpp"
#include "app/dialogs/parts.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/line_picture.hpp"
#include "core/edit/lines.hpp"
#include "core/plan/finish/line_plan.hpp"
#include "core/quilt/labels.hpp"
#include "core/quilt/laying.hpp"
#include "drawn/parts.hpp"
#include "words/line_words.hpp"

#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace up::app {

using quilt::LinePen;
using quilt::LineStitch;

namespace {

/// What the words run along, where it lies on the block.
std::vector<shape::Contour> baselineOf(const quilt::Line& line) {
    std::vector<shape::Contour> out;
    if (line.written)
        for (const auto& one : *line.written->along)
            out.push_back(transformed(one, placing(line)));
    return out;
}

constexpr int narrow = 84; // px: a length

} // namespace

LineDialog::LineDialog(LineQuestion question, QWidget* parent)
    : Form(question.line ? tr("Change this line") : tr("Add a line"), parent),
      m_question(std::move(question)), m_picture(named(new LinePicture(this), "line.picture")),
      m_kind(named(new QComboBox(this), "line.kind")), m_family(named(new QComboBox(this), "line.family")),
      m_along(named(new QComboBox(this), "line.along")), m_stitch(named(new QComboBox(this), "line.stitch")),
      m_thread(named(new QComboBox(this), "line.thread")), m_pen(named(new QComboBox(this), "line.pen")),
      m_text(named(new QLineEdit(this), "line.text")), m_height(named(new QLineEdit(this), "line.height")),
      m_name(named(new QLineEdit(this), "line.name")), m_length(named(new QLineEdit(this), "line.length")),
      m_width(named(new QLineEdit(this), "line.width")), m_off(named(new QLineEdit(this), "line.off")),
      m_bend(named(new QSpinBox(this), "line.bend")), m_from(named(new QSpinBox(this), "line.from")),
      m_strands(named(new QSpinBox(this), "line.strands")),
      m_clear(named(new QPushButton(tr("Draw it anew"), this), "line.clear")), m_about(new QLabel(this)) {
    auto* row = new QHBoxLayout(this);
    auto* side = new QWidget(this);
    side->setFixedWidth(380);
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(0, 0, 0, 0);
    m_form = new QFormLayout;
    column->addLayout(m_form);
    buildWords(*m_form);
    buildStitches(*m_form);
    m_about->setWordWrap(true);
    m_about->setProperty("role", "quiet");
    column->addWidget(m_about);
    column->addStretch(1);
    row->addWidget(side);
    row->addWidget(m_picture, 1);
    resize(930, 600);
    start();
    watch({m_kind, m_family, m_stitch, m_thread, m_pen, m_text, m_height, m_name, m_length, m_width, m_off,
           m_along, m_from, m_bend, m_strands});
    connect(m_clear, &QPushButton::clicked, this, [this] {
        (chosenIn<bool>(*m_kind) ? m_baseline : m_drawn).clear();
        changed();
    });
    connect(m_picture, &LinePicture::drawn, this, [this](const shape::Contour& stroke) {
        if (shape::lengthOf(flattened(stroke)) <= 0) return; // a click
        if (chosenIn<bool>(*m_kind))
            m_baseline = {stroke};
        else
            m_drawn.push_back(stroke);
        changed();
    });
    addFoot(*column, m_question.line ? tr("Change it") : tr("Add it"), "line.set");
}

void LineDialog::buildWords(QFormLayout& form) {
    offer<bool>(*m_kind, {{true, tr("Words")}, {false, tr("Drawn with the mouse")}});
    m_family->addItem(tr("Single lines"), QString());
    for (const auto& family : m_question.families)
        m_family->addItem(family, family);
    m_family->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_family->setMinimumContentsLength(12);
    m_bend->setRange(-180, 180);
    m_bend->setSingleStep(10);
    m_bend->setSuffix(tr("°"));
    offer<Baseline>(*m_along, {{Baseline::arc, tr("straight, arc")}, {Baseline::drawn, tr("a drawn line")}});
    const auto& block = the(m_question.quilt.blocks, m_question.block);
    if (quilt::find(block.pieces, m_question.along))
        offer<Baseline>(*m_along,
                        {{Baseline::edge, tr("edge of %1").arg(q(quilt::labelOf(block, m_question.along)))}});
    m_from->setRange(0, 100);
    m_from->setSingleStep(5);
    m_from->setSuffix(tr(" %"));
    m_clear->setAutoDefault(false);
    form.addRow(tr("What it is"), m_kind);
    form.addRow(tr("Text"), m_text);
    form.addRow(tr("Letters"), m_family);
    form.addRow(tr("A capital is high"), m_height);
    form.addRow(tr("Along"), m_along);
    form.addRow(tr("Bent into an arc"), m_bend);
    form.addRow(tr("Middle at, off by"), beside(m_from, m_off, narrow));
    form.addRow(QString(), m_clear);
}

void LineDialog::buildStitches(QFormLayout& form) {
    for (const auto stitch : every<LineStitch>())
        m_stitch->addItem(q(words::lineStitchName(stitch)), static_cast<int>(stitch));
    for (const auto& thread : m_question.quilt.threads)
        m_thread->addItem(swatchOf(thread.colour), q(thread.name), thread.id.value);
    m_strands->setRange(1, quilt::strandsOfFloss);
    offer<LinePen>(*m_pen,
                   {{LinePen::washesOut, tr("washes out")}, {LinePen::goesWithHeat, tr("goes with heat")}});
    form.addRow(tr("Called"), m_name);
    form.addRow(tr("Stitch"), m_stitch);
    form.addRow(tr("Each so long"), m_length);
    form.addRow(tr("As wide as"), m_width);
    form.addRow(tr("Floss, strands of six"), beside(m_thread, m_strands, narrow));
    form.addRow(tr("Pen"), m_pen);
    m_name->setPlaceholderText(tr("as its words"));
    m_length->setPlaceholderText(tr("usual"));
}

void LineDialog::start() {
    const auto& block = the(m_question.quilt.blocks, m_question.block);
    if (const auto* line = quilt::find(block.lines, m_question.line)) return fill(*line);
    quilt::Line fresh;
    fresh.written = quilt::Written{block.name, {}, quilt::Length::ofInches(1, 2), {}};
    if (!m_question.write(*fresh.written) && !m_question.families.isEmpty())
        fresh.written->family = m_question.families.front().toStdString();
    const auto cloth = drawn::clothOf(m_question.quilt, block.background);
    double most = -1;
    for (const auto& thread : m_question.quilt.threads)
        if (const double off = std::abs(luminance(thread.colour) - luminance(cloth)); off > most)
            most = off, fresh.thread = thread.id;
    fresh.place.right = quilt::Length::ofMm(block.width.mm() / 2);
    fresh.place.down = quilt::Length::ofMm(block.height.mm() / 2);
    fill(fresh);
}

void LineDialog::fill(const quilt::Line& line) {
    m_answer = line;
    const auto units = m_question.quilt.units;
    choose(*m_kind, line.written.has_value());
    const auto written = line.written.value_or(quilt::Written{});
    m_text->setText(q(written.text));
    m_height->setText(typed(written.height.mm(), units, 16));
    m_family->setCurrentIndex(std::max(0, m_family->findData(q(written.family))));
    m_bend->setValue(static_cast<int>(std::lround(written.bend.degrees())));
    m_baseline = baselineOf(line);
    choose(*m_along, m_baseline.empty() ? Baseline::arc : Baseline::drawn);
    m_from->setValue(static_cast<int>(std::lround(written.from * 100)));
    m_off->setText(typed(written.off.mm(), units, 16));
    if (line.written ? line.name != written.text : !line.name.empty()) m_name->setText(q(line.name));
    if (!line.written) m_drawn = placed(line);
    choose(*m_stitch, line.stitch);
    if (line.length) m_length->setText(typed(line.length->mm(), units, 32));
    m_width->setText(typed(line.width.mm(), units, 32));
    m_thread->setCurrentIndex(m_thread->findData(line.thread.value));
    m_strands->setValue(line.strands);
    choose(*m_pen, line.pen);
    showKind();
}

void LineDialog::showKind() {
    const bool isWords = chosenIn<bool>(*m_kind);
    const auto baseline = chosenIn<Baseline>(*m_along);
    for (QWidget* field : {static_cast<QWidget*>(m_text), static_cast<QWidget*>(m_height),
                           static_cast<QWidget*>(m_family), static_cast<QWidget*>(m_along)})
        m_form->setRowVisible(field, isWords);
    m_form->setRowVisible(m_bend, isWords && baseline == Baseline::arc);
    m_form->setRowVisible(m_from->parentWidget(), isWords && baseline != Baseline::arc);
    const bool draws = !isWords || baseline == Baseline::drawn;
    const auto stitch = chosenIn<LineStitch>(*m_stitch);
    m_strands->setVisible(quilt::isByHand(stitch));
    m_form->setRowVisible(m_width, stitch == LineStitch::machineSatin);
    m_form->setRowVisible(m_clear, draws);
    m_picture->setDrawing(draws);
}

Result<std::vector<shape::Contour>> LineDialog::baseline() const {
    const auto& block = the(m_question.quilt.blocks, m_question.block);
    switch (chosenIn<Baseline>(*m_along)) {
    case Baseline::arc: return std::vector<shape::Contour>();
    case Baseline::edge:
        return std::vector{quilt::alongEdge(placed(the(block.pieces, m_question.along)).edge)};
    case Baseline::drawn: break;
    }
    if (m_baseline.empty()) return failure(Code::emptyDrawing, {tr("the picture").toStdString()});
    return m_baseline;
}

/// Words that run along nothing stay about where the line's middle is.
Result<void> LineDialog::readWords() {
    const auto height = lengthIn(*m_height, tr("letter"), 2, 300);
    if (!height) return tl::unexpected(height.error());
    const auto off = readSigned(m_off->text(), m_question.quilt.units);
    if (!off) return tl::unexpected(off.error());
    auto along = baseline();
    if (!along) return tl::unexpected(along.error());
    quilt::Written written{m_text->text().trimmed().toStdString(),
                           m_family->currentData().toString().toStdString(), *height,
                           measure::Angle::ofDegrees(m_bend->value())};
    const bool isFree = along->empty();
    written.along = std::move(*along);
    written.from = m_from->value() / 100.0,
    written.off = quilt::Length::ofMm(std::clamp(*off, -1000.0, 1000.0));
    auto strokes = m_question.write(written);
    if (!strokes) return tl::unexpected(strokes.error());
    const auto middle = middleOf(m_answer);
    m_answer.strokes = std::move(*strokes);
    m_answer.written = std::move(written);
    if (!isFree) {
        m_answer.place = {};
        return {};
    }
    const auto by = middle - middleOf(m_answer);
    m_answer.place.right = m_answer.place.right + quilt::Length::ofMm(by.x);
    m_answer.place.down = m_answer.place.down + quilt::Length::ofMm(by.y);
    return {};
}

Result<quilt::Length> LineDialog::lengthIn(const QLineEdit& field, const QString& what, double least,
                                           double most) const {
    return readBetween(field.text(), m_question.quilt.units, what, quilt::Length::ofMm(least),
                       quilt::Length::ofMm(most));
}

Result<void> LineDialog::readStitches() {
    m_answer.stitch = chosenIn<LineStitch>(*m_stitch);
    m_answer.length.reset();
    if (!m_length->text().trimmed().isEmpty()) {
        const auto length = lengthIn(*m_length, tr("stitch"), 0.3, 25.4);
        if (!length) return tl::unexpected(length.error());
        m_answer.length = *length;
    }
    if (m_answer.stitch == LineStitch::machineSatin) {
        const auto width = lengthIn(*m_width, tr("stitch"), 0.5, 12);
        if (!width) return tl::unexpected(width.error());
        m_answer.width = *width;
    }
    m_answer.thread = ThreadId{m_thread->currentData().toUInt()};
    m_answer.strands = m_strands->value();
    m_answer.pen = chosenIn<LinePen>(*m_pen);
    return {};
}

Result<void> LineDialog::read() {
    showKind();
    const auto name = m_name->text().trimmed().toStdString();
    if (chosenIn<bool>(*m_kind)) {
        if (auto ok = readWords(); !ok) return ok;
        m_answer.name = name.empty() ? m_answer.written->text : name;
    } else {
        if (m_drawn.empty()) return failure(Code::emptyDrawing, {tr("the picture").toStdString()});
        m_answer.written.reset();
        m_answer.strokes = m_drawn, m_answer.place = {};
        m_answer.name = name.empty() ? tr("Line").toStdString() : name;
    }
    if (auto ok = readStitches(); !ok) return ok;
    const auto put = edit::putLine(m_question.quilt, m_question.block, m_answer);
    return put ? Result<void>() : tl::unexpected(put.error());
}

void LineDialog::follow(bool well) {
    m_picture->show(m_question.quilt, m_question.block, well ? &m_answer : nullptr);
    if (!well) return m_about->clear();
    quilt::Block block{};
    block.lines = {m_answer};
    const auto plan = plan::planLines(block);
    std::size_t stitches = 0;
    for (const auto& part : plan.parts)
        stitches += part.stitches.size();
    auto about = plan.floss.empty() ? tr("It is stitched among the edges, on the tread Stitch.")
                                    : tr("%n stitches; floss: %1.", nullptr, static_cast<int>(stitches))
                                          .arg(q(words::flossWords(m_question.quilt, plan.floss.front())));
    m_about->setText(about + "\n" + q(words::linePenWords(m_answer.pen)));
}

} // namespace up::app
