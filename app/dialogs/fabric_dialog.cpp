// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/fabric_dialog.hpp"

#include "app/dialogs/choice.hpp"
#include "app/dialogs/parts.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/layer_picture.hpp"
#include "core/edit/naming.hpp"
#include "core/plan/block/doubts.hpp"
#include "core/plan/block/ground_plan.hpp"
#include "core/plan/block/shine_plan.hpp"
#include "drawn/parts.hpp"
#include "words/sentences.hpp"
#include "words/stitch_words.hpp"
#include "words/translated.hpp"

#include <QColorDialog>
#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSlider>
#include <QVBoxLayout>
#include <cmath>

namespace up::app {
namespace {

/// The block as light comes through, and where that is told of.
struct Glance {
    shape::Box box;
    std::vector<sheet::Layer> layers;
    std::vector<std::string> told;
};

Glance glanceAt(const quilt::Quilt& quilt, BlockId id) {
    const auto* block = quilt::find(quilt.blocks, id);
    if (!block) return {};
    const auto plan = plan::planBlock(*block);
    Glance out{quilt::cutBox(*block), {}, {}};
    sheet::Layer cloth{"cloth", {}, {}, out.box}, marks{"told", {}, {}, out.box};
    for (const auto& patch : plan::planGround(*block).patches) {
        cloth.items.push_back(sheet::box(patch.box, drawn::clothOf(quilt, patch.fabric), {}));
    }
    for (const auto& seen : plan::seenFrom(quilt, *block, plan))
        cloth.items.push_back(sheet::Shape{sheet::contoursOf(seen.where), seen.colour, {}});
    for (const auto& piece : block->pieces)
        cloth.items.push_back(sheet::Shape{sheet::contoursOf(quilt::placed(piece)), std::nullopt,
                                           sheet::Pen{look::slate, 0.15, sheet::Dash::solid}});
    for (const auto& shining : plan::shiningIn(quilt, *block, plan)) {
        marks.items.push_back(sheet::Shape{sheet::contoursOf(shining.where), std::nullopt,
                                           sheet::Pen{look::rust, 0.8, sheet::Dash::dashed}});
        const auto beneath = shining.beneath ? quilt::calledOf(*block, block->pieces[*shining.beneath])
                                             : std::string(words::tr("the background"));
        out.told.push_back(words::said(N_("{0} through {1}"),
                                       {beneath, quilt::calledOf(*block, block->pieces[shining.piece])}));
    }
    out.layers = {std::move(cloth), std::move(marks)};
    return out;
}

} // namespace

FabricDialog::FabricDialog(FabricQuestion question, QWidget* parent)
    : Form(tr("Fabrics"), parent), m_quilt(std::move(question.quilt)), m_block(question.block),
      m_list(named(new QListWidget(this), "fabric.list")), m_name(named(new QLineEdit(this), "fabric.name")),
      m_colour(named(new QPushButton(tr("Colour…"), this), "fabric.colour")),
      m_weave(named(new QComboBox(this), "fabric.weave")),
      m_light(named(new QSlider(Qt::Horizontal, this), "fabric.light")), m_lets(new QLabel(this)),
      m_says(new QLabel(this)), m_picture(named(new LayerPicture(this), "fabric.picture")), m_newest(this) {
    buildFields();
    for (const auto& fabric : m_quilt.fabrics)
        m_list->addItem(new QListWidgetItem(swatchOf(fabric), q(fabric.name)));
    connect(m_list, &QListWidget::currentRowChanged, this, &FabricDialog::choose);
    watch({m_name, m_light, m_weave});
    connect(m_colour, &QPushButton::clicked, this, &FabricDialog::pickColour);
    int first = 0;
    for (std::size_t i = 0; i < m_quilt.fabrics.size(); ++i)
        if (m_quilt.fabrics[i].id == question.fabric) first = static_cast<int>(i);
    m_list->setCurrentRow(first);
    resize(900, 600);
}

void FabricDialog::buildFields() {
    auto* column = new QVBoxLayout(this);
    auto* row = new QHBoxLayout;
    column->addLayout(row, 1);
    auto* left = new QVBoxLayout;
    row->addLayout(left);
    m_list->setFixedWidth(260);
    left->addWidget(m_list, 1);
    auto* form = new QFormLayout;
    left->addLayout(form);
    m_light->setRange(0, 60);
    form->addRow(tr("Name"), m_name);
    form->addRow("", m_colour);
    for (const auto weave : every<quilt::Weave>())
        m_weave->addItem(q(words::weaveName(weave)), static_cast<int>(weave));
    form->addRow(tr("Cloth"), m_weave);
    form->addRow(m_lets);
    form->addRow(m_light);
    auto* hint = new QLabel(tr("Hold a single layer over a dark line: how much of it do you see?"), this);
    hint->setWordWrap(true);
    hint->setProperty("role", "quiet");
    form->addRow(hint);
    auto* right = new QVBoxLayout;
    row->addLayout(right, 1);
    right->addWidget(m_picture, 1);
    m_says->setObjectName("fabric.says");
    m_says->setWordWrap(true);
    m_says->setTextFormat(Qt::PlainText);
    right->addWidget(m_says);
    addFoot(*column, tr("Keep these fabrics"), "fabric.keep");
}

quilt::Fabric* FabricDialog::fabric() {
    return m_row < 0 ? nullptr : &m_quilt.fabrics[static_cast<std::size_t>(m_row)];
}

/// A name that cannot be one stays in its field only: the fabric keeps the last that could.
void FabricDialog::choose(int row) {
    m_row = row;
    const auto* chosen = fabric();
    if (!chosen) return;
    const QSignalBlocker quiet(m_light), silent(m_name), still(m_weave);
    app::choose(*m_weave, chosen->weave);
    m_name->setText(q(chosen->name));
    m_colour->setIcon(swatchOf(chosen->colour));
    const int light = static_cast<int>(std::lround((1 - chosen->opacity) * 100));
    m_light->setRange(0, std::max(60, light));
    m_light->setValue(light);
    changed();
}

void FabricDialog::pickColour() {
    auto* chosen = fabric();
    if (!chosen) return;
    const auto colour = QColorDialog::getColor(look::q(chosen->colour), this, tr("Its colour"));
    if (!colour.isValid()) return;
    const auto channel = [](int value) { return static_cast<std::uint8_t>(value); };
    chosen->colour = {channel(colour.red()), channel(colour.green()), channel(colour.blue())};
    m_colour->setIcon(swatchOf(chosen->colour));
    m_list->currentItem()->setIcon(swatchOf(chosen->colour));
    look();
}

Result<void> FabricDialog::read() {
    auto* chosen = fabric();
    if (!chosen) return {};
    chosen->opacity = 1 - m_light->value() / 100.0;
    chosen->weave = chosenIn<quilt::Weave>(*m_weave);
    const auto name = edit::properName(m_name->text().toStdString());
    if (!name) return tl::unexpected(name.error());
    chosen->name = *name;
    return {};
}

void FabricDialog::follow(bool) {
    if (const auto* chosen = fabric()) m_list->item(m_row)->setText(q(chosen->name));
    m_lets->setText(tr("Light that comes through: %1 %").arg(m_light->value()));
    look();
}

void FabricDialog::look() {
    m_newest.ask(
        [quilt = m_quilt, id = m_block] { return glanceAt(quilt, id); },
        [this](const Glance& glance) {
            m_picture->show(glance.box, glance.layers);
            m_says->setText(
                glance.layers.empty() ? tr("There is no block to look at yet.")
                : glance.told.empty()
                    ? tr("Nothing dark shines through.")
                    : tr("Shines through: %1. Checks offer a lining.").arg(q(words::listed(glance.told))));
        });
}

} // namespace up::app
