// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/ground_dialog.hpp"
#include "app/dialogs/choice.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/layer_picture.hpp"
#include "core/plan/block/doubts.hpp"
#include "core/plan/block/ground_plan.hpp"
#include "core/sheet/figures.hpp"
#include "drawn/parts.hpp"
#include "words/lay_words.hpp"
#include "words/sentences.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

enum class Sewn : std::uint8_t { whole, columns, rows };

enum Column { stripColumn, stripCut, patchFabric, patchCut };

/// The background as it is sewn, with the line it is trimmed on and the block on it, faintly.
std::vector<sheet::Layer> layersOf(const quilt::Quilt& quilt, const quilt::Block& block,
                                   const plan::GroundPlan& plan) {
    using sheet::Dash;
    using sheet::Pen;
    sheet::Layer cloth{"cloth", {}, {}, {}}, lines{"lines", {}, {}, {}};
    for (const auto& patch : plan.patches)
        cloth.items.push_back(sheet::box(patch.box, drawn::clothOf(quilt, patch.fabric), {}));
    for (const auto& piece : block.pieces)
        cloth.items.push_back(sheet::Shape{sheet::contoursOf(quilt::placed(piece)),
                                           drawn::clothOf(quilt, piece.fabric),
                                           Pen{look::slate, 0.2, Dash::solid},
                                           {},
                                           0.35});
    for (const auto& [a, b] : plan.seams)
        lines.items.push_back(sheet::line(a, b, Pen{look::ink, 0.5, Dash::solid}));
    for (const auto& [a, b] : plan.creases)
        lines.items.push_back(sheet::line(a, b, Pen{look::slate, 0.3, Dash::dashed}));
    lines.items.push_back(sheet::box(quilt::cutBox(block), std::nullopt, Pen{look::rust, 0.6, Dash::dashed}));
    if (block.ground.grain) {
        const double at = block.ground.grain->radians();
        const auto middle = plan.box.centre(),
                   way = shape::Point{std::cos(at), std::sin(at)} * (plan.box.width() * 0.35);
        lines.items.push_back(sheet::arrow(middle - way, middle + way, 9, false, Pen{look::ink, 1.0}));
    }
    return {std::move(cloth), std::move(lines)};
}

} // namespace

GroundDialog::GroundDialog(GroundQuestion question, QWidget* parent)
    : Form(tr("Background of %1").arg(q(quilt::the(question.quilt.blocks, question.block).name)), parent),
      m_quilt(std::move(question.quilt)), m_block(quilt::the(m_quilt.blocks, question.block)),
      m_fabric(named(new QComboBox(this), "ground.fabric")),
      m_sewn(named(new QComboBox(this), "ground.sewn")),
      m_larger(named(new QLineEdit(this), "ground.larger")),
      m_halves(named(new QCheckBox(tr("through the middle"), this), "ground.halves")),
      m_quarters(named(new QCheckBox(tr("quarters"), this), "ground.quarters")),
      m_diagonals(named(new QCheckBox(tr("corner to corner"), this), "ground.diagonals")),
      m_printed(named(new QCheckBox(tr("Its print runs (0° across, 90° down)"), this), "ground.printed")),
      m_grain(named(new QDoubleSpinBox(this), "ground.grain")),
      m_strips(named(new QTableWidget(0, 4, this), "ground.strips")),
      m_addStrip(named(new QPushButton(tr("Add a strip"), this), "ground.addStrip")),
      m_addPatch(named(new QPushButton(tr("Add a patch"), this), "ground.addPatch")),
      m_remove(named(new QPushButton(tr("Remove"), this), "ground.remove")),
      m_even(named(new QPushButton(tr("Make them even"), this), "ground.even")), m_says(new QLabel(this)),
      m_picture(named(new LayerPicture(this), "ground.picture")) {
    auto* column = new QVBoxLayout(this);
    auto* row = new QHBoxLayout;
    column->addLayout(row, 1);
    auto* left = new QVBoxLayout;
    row->addLayout(left);
    buildFields(*left);
    buildStrips(*left);
    row->addWidget(m_picture, 1);
    m_says->setObjectName("ground.says");
    m_says->setWordWrap(true);
    m_says->setTextFormat(Qt::PlainText);
    column->addWidget(m_says);
    fillStrips();
    addFoot(*column, tr("Set the background"), "ground.set");
    resize(960, 640);
}

void GroundDialog::buildFields(QVBoxLayout& column) {
    auto* form = new QFormLayout;
    column.addLayout(form);
    for (const auto& fabric : m_quilt.fabrics)
        m_fabric->addItem(swatchOf(fabric), q(fabric.name), fabric.id.value);
    m_fabric->setCurrentIndex(m_fabric->findData(m_block.background.value));
    m_fabric->setPlaceholderText(tr("Fabric…"));
    const auto& ground = m_block.ground;
    m_larger->setText(typed(ground.oversize.mm(), m_quilt.units, 16));
    m_halves->setChecked(ground.creases.halves), m_quarters->setChecked(ground.creases.quarters);
    m_diagonals->setChecked(ground.creases.diagonals), m_printed->setChecked(ground.grain.has_value());
    m_grain->setRange(-180, 180), m_grain->setDecimals(0), m_grain->setSuffix("°");
    m_grain->setValue(ground.grain ? std::remainder(ground.grain->degrees(), 360) : 90);
    offer<Sewn>(*m_sewn, {{Sewn::whole, tr("one piece of cloth")},
                          {Sewn::columns, tr("strips side by side")},
                          {Sewn::rows, tr("strips one above the other")}});
    choose(*m_sewn, ground.strips.empty() ? Sewn::whole : ground.rows ? Sewn::rows : Sewn::columns);
    form->addRow(tr("Fabric"), m_fabric);
    form->addRow(tr("Cut larger by"), m_larger);
    auto* creases = new QHBoxLayout;
    for (auto* box : {m_halves, m_quarters, m_diagonals})
        creases->addWidget(box);
    form->addRow(tr("Creases"), creases);
    auto* print = new QHBoxLayout;
    print->addWidget(m_printed), print->addWidget(m_grain);
    form->addRow("", print);
    form->addRow(tr("It is"), m_sewn);
    watch({m_fabric, m_larger, m_halves, m_quarters, m_diagonals, m_printed, m_grain, m_strips});
    connect(m_sewn, &QComboBox::currentIndexChanged, this, &GroundDialog::sewFrom);
}

void GroundDialog::buildStrips(QVBoxLayout& column) {
    m_strips->setHorizontalHeaderLabels({tr("Strip"), tr("Cut across"), tr("Fabric"), tr("Cut along")});
    m_strips->verticalHeader()->hide();
    m_strips->setSelectionBehavior(QAbstractItemView::SelectRows);
    m_strips->setSelectionMode(QAbstractItemView::SingleSelection);
    m_strips->setTabKeyNavigation(false); // Tab goes on
    m_strips->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    m_strips->setMinimumWidth(460);
    m_strips->verticalHeader()->setDefaultSectionSize(40);
    m_strips->horizontalHeader()->setSectionResizeMode(stripColumn, QHeaderView::ResizeToContents);
    m_strips->horizontalHeader()->setSectionResizeMode(stripCut, QHeaderView::ResizeToContents);
    m_strips->horizontalHeader()->setSectionResizeMode(patchCut, QHeaderView::ResizeToContents);
    column.addWidget(m_strips, 1);
    auto* row = new QHBoxLayout;
    for (auto* button : {m_addStrip, m_addPatch, m_remove, m_even}) {
        button->setAutoDefault(false);
        row->addWidget(button);
    }
    column.addLayout(row);
    column.addStretch();
    connect(m_addStrip, &QPushButton::clicked, this, &GroundDialog::addStrip);
    connect(m_addPatch, &QPushButton::clicked, this, &GroundDialog::addPatch);
    connect(m_remove, &QPushButton::clicked, this, &GroundDialog::remove);
    connect(m_even, &QPushButton::clicked, this, [this] {
        const auto step = m_quilt.units == measure::System::inches ? measure::Length::ofInches(1, 8)
                                                                   : measure::Length::ofMm(1);
        m_block.ground = plan::evenedOut(m_block, step);
        fillStrips();
        changed();
    });
}

QComboBox* GroundDialog::fabricBox(int row, FabricId chosen) {
    auto* box = new QComboBox(m_strips);
    box->setObjectName("ground.patch" + QString::number(row));
    box->setAccessibleName(tr("Fabric of this patch"));
    box->setToolTip(tr("Which cloth this patch is cut from"));
    for (const auto& fabric : m_quilt.fabrics)
        box->addItem(swatchOf(fabric), q(fabric.name), fabric.id.value);
    box->setCurrentIndex(box->findData(chosen.value));
    watch({box});
    return box;
}

void GroundDialog::fillStrips() {
    const QSignalBlocker quiet(m_strips);
    m_strips->setRowCount(0);
    int number = 0;
    for (const auto& strip : m_block.ground.strips) {
        ++number;
        for (std::size_t p = 0; p < strip.patches.size(); ++p) {
            const int row = m_strips->rowCount();
            m_strips->insertRow(row);
            auto* which = new QTableWidgetItem(QString::number(number));
            auto* across =
                new QTableWidgetItem(p == 0 ? typed(strip.cut.mm(), m_quilt.units, 16) : QString());
            which->setFlags(which->flags() & ~Qt::ItemIsEditable);
            if (p > 0) across->setFlags(across->flags() & ~Qt::ItemIsEditable);
            m_strips->setItem(row, stripColumn, which);
            m_strips->setItem(row, stripCut, across);
            m_strips->setCellWidget(row, patchFabric, fabricBox(row, strip.patches[p].fabric));
            m_strips->setItem(row, patchCut,
                              new QTableWidgetItem(typed(strip.patches[p].cut.mm(), m_quilt.units, 16)));
        }
    }
}

Result<measure::Length> GroundDialog::lengthIn(int row, int column) const {
    constexpr auto least = measure::Length::ofInches(1, 2), most = measure::Length::ofInches(120, 1);
    const auto text = m_strips->item(row, column)->text().toStdString();
    auto length = measure::readLength(text, m_quilt.units);
    if (length && (*length < least || *length > most))
        return failure(Code::absurdSize,
                       {words::tr("strip"), measure::say(*length, m_quilt.units),
                        measure::say(least, m_quilt.units), measure::say(most, m_quilt.units)});
    return length;
}

Result<quilt::Ground> GroundDialog::readGround() const {
    auto out = m_block.ground;
    constexpr auto most = measure::Length::ofInches(6, 1);
    const auto larger = measure::readLength(m_larger->text().toStdString(), m_quilt.units);
    if (!larger) return tl::unexpected(larger.error());
    if (*larger > most)
        return failure(Code::absurdSize,
                       {words::tr("room to trim"), measure::say(*larger, m_quilt.units),
                        measure::say({}, m_quilt.units), measure::say(most, m_quilt.units)});
    out.oversize = *larger;
    out.creases.halves = m_halves->isChecked(), out.creases.quarters = m_quarters->isChecked();
    out.creases.diagonals = m_diagonals->isChecked();
    out.grain.reset();
    if (m_printed->isChecked()) out.grain = measure::Angle::ofDegrees(m_grain->value());
    out.strips.clear();
    for (int row = 0; row < m_strips->rowCount(); ++row) {
        const auto number = static_cast<std::size_t>(m_strips->item(row, stripColumn)->text().toInt());
        if (number > out.strips.size()) {
            const auto across = lengthIn(row, stripCut);
            if (!across) return tl::unexpected(across.error());
            out.strips.push_back({*across, {}});
        }
        const auto along = lengthIn(row, patchCut);
        if (!along) return tl::unexpected(along.error());
        const auto* box = qobject_cast<const QComboBox*>(m_strips->cellWidget(row, patchFabric));
        out.strips.back().patches.push_back({FabricId{box->currentData().toUInt()}, *along});
    }
    return out;
}

Result<void> GroundDialog::read() {
    m_block.background = FabricId{m_fabric->currentData().toUInt()};
    return readGround().map([this](quilt::Ground ground) { m_block.ground = std::move(ground); });
}

/// From one piece of cloth two even strips to begin with; back again the strips are gone.
void GroundDialog::sewFrom() {
    auto& ground = m_block.ground;
    const auto how = chosenIn<Sewn>(*m_sewn);
    ground.rows = how == Sewn::rows;
    if (how == Sewn::whole) ground.strips.clear();
    if (how != Sewn::whole && ground.strips.empty()) {
        const auto other = std::find_if(m_quilt.fabrics.begin(), m_quilt.fabrics.end(),
                                        [&](const auto& f) { return f.id != m_block.background; });
        ground.strips = {{{}, {{m_block.background, {}}}},
                         {{}, {{other == m_quilt.fabrics.end() ? m_block.background : other->id, {}}}}};
    }
    const auto step =
        m_quilt.units == measure::System::inches ? measure::Length::ofInches(1, 8) : measure::Length::ofMm(1);
    ground = plan::evenedOut(m_block, step);
    fillStrips();
    changed();
}

void GroundDialog::addStrip() {
    auto& strips = m_block.ground.strips;
    strips.push_back(strips.empty()
                         ? quilt::GroundStrip{measure::Length::ofInches(3, 1),
                                              {{m_block.background, measure::Length::ofInches(10, 1)}}}
                         : strips.back());
    fillStrips();
    changed();
}

void GroundDialog::addPatch() {
    auto& strips = m_block.ground.strips;
    if (strips.empty()) return addStrip();
    const int row = m_strips->currentRow();
    const auto number =
        row < 0 ? strips.size() : static_cast<std::size_t>(m_strips->item(row, stripColumn)->text().toInt());
    auto& patches = strips[number - 1].patches;
    patches.push_back(patches.back());
    fillStrips();
    changed();
}

void GroundDialog::remove() {
    const int row = m_strips->currentRow();
    if (row < 0) return;
    auto& strips = m_block.ground.strips;
    const auto number = static_cast<std::size_t>(m_strips->item(row, stripColumn)->text().toInt()) - 1;
    std::size_t patch = 0; // of its strip
    for (int i = 0; i < row; ++i)
        if (m_strips->item(i, stripColumn)->text() == m_strips->item(row, stripColumn)->text()) ++patch;
    auto& patches = strips[number].patches;
    patches.erase(patches.begin() + static_cast<std::ptrdiff_t>(patch));
    if (patches.empty()) strips.erase(strips.begin() + static_cast<std::ptrdiff_t>(number));
    fillStrips();
    if (strips.empty()) choose(*m_sewn, Sewn::whole);
    changed();
}

/// What cannot be read yet is not carried into a new table; a strip that is wrong can always be removed.
void GroundDialog::follow(bool well) {
    for (auto* button : {m_addStrip, m_addPatch, m_even})
        button->setEnabled(well);
    const bool sewn = chosenIn<Sewn>(*m_sewn) != Sewn::whole;
    for (QWidget* part :
         {static_cast<QWidget*>(m_strips), static_cast<QWidget*>(m_addStrip),
          static_cast<QWidget*>(m_addPatch), static_cast<QWidget*>(m_remove), static_cast<QWidget*>(m_even)})
        part->setVisible(sewn);
    m_grain->setEnabled(m_printed->isChecked());
    const auto plan = plan::planGround(m_block);
    auto says = words::groundWords(plan, m_quilt.units);
    if (plan.across.cut.size() > 1)
        says = words::said(N_("{0}. Across: {1}"), {says, words::seamWords(plan.across, m_quilt.units)});
    for (std::size_t i = 0; i < plan.along.size(); ++i)
        if (plan.along[i].cut.size() > 1)
            says = words::said(N_("{0}. Strip {1}: {2}"),
                               {says, std::to_string(i + 1), words::seamWords(plan.along[i], m_quilt.units)});
    m_says->setText(q(says + "."));
    auto box = plan.box;
    box.take(quilt::cutBox(m_block));
    m_picture->show(box, layersOf(m_quilt, m_block, plan));
}

} // namespace up::app
