// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/machine_dialog.hpp"

#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "core/measure/say.hpp"
#include "words/now_words.hpp"
#include "words/sentences.hpp"

#include <QCheckBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <cmath>

namespace up::app {
namespace {

QString minutes(double seconds) {
    const int whole = static_cast<int>(std::ceil(seconds));
    return whole < 60 ? QString("%1 s").arg(whole) : tr("%1 min %2 s").arg(whole / 60).arg(whole % 60);
}

} // namespace

MachineDialog::MachineDialog(MachineQuestion question, QWidget* parent)
    : Form(tr("Cutting machine: %1").arg(q(quilt::the(question.quilt.blocks, question.block).name)), parent),
      m_question(std::move(question)), m_picture(named(new MatPicture(this), "machine.picture")),
      m_mats(named(new QListWidget(this), "machine.mats")),
      m_small(named(new QCheckBox(tr("Only pieces no longer than"), this), "machine.small")),
      m_byFabric(named(new QCheckBox(tr("One fabric on each mat"), this), "machine.byFabric")),
      m_below(named(new QLineEdit(this), "machine.below")), m_says(new QLabel(this)),
      m_refused(new QLabel(this)) {
    m_small->setChecked(true);
    m_byFabric->setChecked(true);
    m_below->setText(q(measure::say(plan::usualMachineLimit, m_question.quilt.units)));
    m_says->setWordWrap(true), m_refused->setWordWrap(true);
    m_refused->setStyleSheet("color: #B03A25; font-weight: 700;");
    build();
    connect(&m_blade, &QTimer::timeout, this, &MachineDialog::tick);
    connect(m_mats, &QListWidget::currentRowChanged, this, &MachineDialog::refresh);
    watch({m_small, m_byFabric, m_below});
    resize(980, 640);
    changed();
}

void MachineDialog::build() {
    auto* row = new QHBoxLayout(this);
    row->addWidget(m_picture, 3);
    auto* column = new QVBoxLayout;
    row->addLayout(column, 2);
    auto* limit = new QHBoxLayout;
    limit->addWidget(m_small);
    limit->addWidget(m_below);
    column->addLayout(limit);
    column->addWidget(m_byFabric);
    column->addWidget(m_mats, 1);
    column->addWidget(m_says);
    column->addWidget(m_refused);
    auto* care =
        new QLabel(tr("Bond first, paper side up on the mat: the lines are mirrored already. Keep fingers "
                      "and sleeves away from the blade; the machine's leaflet comes first."),
                   this);
    care->setWordWrap(true);
    column->addWidget(care);
    addActingFoot(*column, tr("Cut this mat"), "machine.send");
    m_svg = addButton(tr("SVG files…"), "machine.svg");
    m_dxf = addButton(tr("DXF files…"), "machine.dxf");
    acceptButton()->setVisible(m_question.sends); // after the others, which show all of the row
    connect(m_svg, &QPushButton::clicked, this, [this] { write(CutFormat::svg); });
    connect(m_dxf, &QPushButton::clicked, this, [this] { write(CutFormat::dxf); });
}

Result<void> MachineDialog::read() {
    if (isCutting()) return {}; // what is typed meanwhile counts afterwards
    m_options.byFabric = m_byFabric->isChecked();
    m_options.below.reset();
    if (!m_small->isChecked()) return {};
    const auto below = measure::readLength(m_below->text().toStdString(), m_question.quilt.units);
    if (!below) return tl::unexpected(below.error());
    m_options.below = *below;
    return {};
}

void MachineDialog::follow(bool well) {
    if (!well) {
        m_newest.drop(); // what is being laid out is not what is asked for
        m_planned.reset();
    } else if (!isCutting() && m_planned != m_options) // the blade is in the cloth: what is on the mats stays
        plan();
    refreshButtons();
}

void MachineDialog::plan() {
    m_planned = m_options;
    m_says->setText(tr("Laying the pieces out on mats…"));
    m_newest.ask([quilt = m_question.quilt, id = m_question.block, cutter = m_question.cutter,
                  options = m_options](Job& job) { return matRunsOf(quilt, id, options, *cutter, job); },
                 [this](const Result<MatRuns>& found) { take(found); });
}

void MachineDialog::take(const Result<MatRuns>& found) {
    m_found = found ? *found : MatRuns{};
    fillMats();
    if (!m_found.mats.empty()) m_mats->setCurrentRow(0);
    refresh();
    if (!found) m_says->setText(q(words::sentence(found.error())));
}

void MachineDialog::fillMats() {
    const QSignalBlocker quiet(m_mats);
    const int row = m_mats->currentRow();
    m_mats->clear();
    for (std::size_t i = 0; i < m_found.mats.size(); ++i) {
        const auto& [mat, page, run, numbers, cut] = m_found.mats[i];
        const auto* fabric = quilt::find(m_question.quilt.fabrics, mat.fabric);
        const auto pieces = mat.lines.size() == 1 ? tr("1 piece") : tr("%1 pieces").arg(mat.lines.size());
        m_mats->addItem(tr("%1Mat %2%3: %4, %5")
                            .arg(cut ? "✓ " : "")
                            .arg(i + 1)
                            .arg(fabric ? " " + q(fabric->name) : QString())
                            .arg(pieces)
                            .arg(run ? minutes(run->seconds) : tr("not read")));
    }
    m_mats->setCurrentRow(row);
}

namespace {
/// The stand-in hurries: nobody watches a machine on a screen for minutes.
double watched(double seconds) {
    return std::clamp(seconds / 40, 1.0, 6.0);
}
} // namespace

void MachineDialog::act() {
    if (isCutting()) {
        m_blade.stop();
        m_picture->setProgress({});
        m_says->setText(tr("Stopped. What the blade has been through is cut; the mat is not ticked."));
        return changed(); // what was typed meanwhile counts now
    }
    m_row = static_cast<std::size_t>(std::max(0, m_mats->currentRow()));
    if (isBusy() || m_row >= m_found.mats.size() || cutBy(m_found.mats[m_row]).empty()) return;
    m_since.start();
    m_blade.start(30);
    m_says->setText(tr("Cutting…"));
    refreshButtons();
}

void MachineDialog::tick() {
    auto& run = m_found.mats.at(m_row); // no mats come or go while the blade moves
    const double progress = static_cast<double>(m_since.elapsed()) / 1000 / watched(run.run->seconds);
    m_picture->setProgress(std::min(progress, 1.0));
    if (progress < 1) return;
    m_blade.stop();
    m_picture->setProgress({});
    run.cut = true;
    fillMats();
    m_says->setText(tr("Mat %1 is cut.").arg(m_row + 1) + " " + m_question.done(cutBy(run)));
    changed();
}

QString MachineDialog::summary() const {
    if (m_found.mats.empty())
        return m_small->isChecked() ? tr("No piece is so small. Choose a larger limit, or take all pieces.")
                                    : tr("No piece goes on the mat.");
    double seconds = 0;
    for (const auto& run : m_found.mats)
        if (run.run) seconds += run.run->seconds;
    QString out = tr("%1 on %2, %3 in all.")
                      .arg(m_found.mats.size() == 1 ? tr("One mat") : tr("%1 mats").arg(m_found.mats.size()))
                      .arg(m_question.sends ? q(m_question.cutter->name()) : tr("a usual machine"))
                      .arg(minutes(seconds));
    if (!m_found.plan.byHand.empty())
        out += " " + tr("By hand: %1.").arg(q(words::numbersWords(block(), m_found.plan.byHand, 9)));
    if (!m_found.plan.tooLarge.empty())
        out += " " +
               tr("Larger than the mat: %1.").arg(q(words::numbersWords(block(), m_found.plan.tooLarge, 9)));
    return out;
}

QString MachineDialog::refusals() const {
    const auto row = static_cast<std::size_t>(std::max(0, m_mats->currentRow()));
    if (row >= m_found.mats.size()) return "";
    const auto& run = m_found.mats[row].run;
    if (!run) return q(words::sentence(run.error()));
    QStringList out;
    for (const auto& refusal : run->refusals)
        out << QString(
            refusal.why == CutRun::Refusal::Why::tooFine
                ? tr("The machine refuses a shape that is finer than its blade can follow: cut it by hand.")
                : tr("The machine refuses a shape that leaves its mat: move it, or cut it by hand."));
    out.removeDuplicates();
    return out.join("\n");
}

void MachineDialog::refresh() {
    const auto row = static_cast<std::size_t>(std::max(0, m_mats->currentRow()));
    m_picture->show(row < m_found.mats.size() ? &m_found.mats[row] : nullptr, m_question.cutter->matWidth(),
                    m_question.cutter->matHeight());
    m_says->setText(summary());
    m_refused->setText(refusals());
    m_refused->setVisible(!m_refused->text().isEmpty());
    refreshButtons();
}

void MachineDialog::refreshButtons() {
    const auto row = static_cast<std::size_t>(std::max(0, m_mats->currentRow()));
    const bool cuts = row < m_found.mats.size() && !cutBy(m_found.mats[row]).empty();
    const bool laid = !isBusy() && m_planned;
    acceptButton()->setText(isCutting() ? tr("Stop") : tr("Cut this mat"));
    acceptButton()->setEnabled(isCutting() || (laid && cuts));
    for (auto* button : {m_svg, m_dxf})
        button->setEnabled(laid && !m_found.mats.empty() && !isCutting());
    for (QWidget* choice : std::initializer_list<QWidget*>{m_mats, m_small, m_byFabric})
        choice->setEnabled(!isCutting());
    m_below->setEnabled(m_small->isChecked() && !isCutting());
}

void MachineDialog::write(CutFormat format) {
    std::vector<sheet::Page> pages;
    for (const auto& run : m_found.mats)
        pages.push_back(run.page);
    m_question.write(format, pages);
}

} // namespace up::app
