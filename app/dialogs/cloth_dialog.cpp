// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/cloth_dialog.hpp"

#include "app/dialogs/choice.hpp"
#include "app/dialogs/parts.hpp"
#include "app/look/flow.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/cloth_picture.hpp"
#include "core/edit/naming.hpp"
#include "core/measure/say.hpp"
#include "core/quilt/cloth_shape.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace up::app {

using measure::Length;

ClothDialog::ClothDialog(ClothQuestion question, QWidget* parent)
    : Form(question.cloth.id ? tr("Cloth: %1").arg(q(question.cloth.name)) : tr("Cloth for the stash"),
           parent),
      m_question(std::move(question)), m_picture(named(new ClothPicture(this), "cloth.picture")),
      m_name(named(new QLineEdit(this), "cloth.name")), m_size(named(new QLineEdit(this), "cloth.size")),
      m_fabric(named(new QComboBox(this), "cloth.fabric")),
      m_heldFor(named(new QComboBox(this), "cloth.heldFor")),
      m_runs(named(new QCheckBox(tr("Its print runs one way"), this), "cloth.runs")),
      m_scrap(named(new QCheckBox(tr("A scrap: cut into it before good pieces"), this), "cloth.scrap")),
      m_washed(named(new QCheckBox(tr("Washed"), this), "cloth.washed")),
      m_alike(named(new QCheckBox(tr("Both sides alike, as batik"), this), "cloth.alike")),
      m_mirrored(named(new QCheckBox(tr("Its right side is up in the picture"), this), "cloth.mirrored")),
      m_direction(named(new QDoubleSpinBox(this), "cloth.direction")) {
    m_answer.cloth = m_question.cloth;
    build();
    fill();
    watch({m_name, m_size, m_fabric, m_heldFor, m_runs, m_scrap, m_washed, m_alike, m_mirrored, m_direction});
    connect(m_fabric, &QComboBox::currentIndexChanged, this, &ClothDialog::followFabric);
    connect(m_picture, &ClothPicture::turned, this, [this](double degrees) {
        m_runs->setChecked(true);
        m_direction->setValue(degrees);
    });
    addFoot(*static_cast<QVBoxLayout*>(layout()), tr("Keep it so"), "cloth.keep");
    if (m_question.cloth.id) addGone("cloth.gone", m_answer.gone);
}

void ClothDialog::build() {
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_picture, 1);
    addSizes(*column);
    auto* form = new QFormLayout;
    form->addRow(tr("Fabric"), m_fabric);
    form->addRow(tr("Name"), m_name);
    form->addRow(tr("Size, width × height"), m_size);
    form->addRow("", m_mirrored);
    m_mirrored->setVisible(m_question.traced);
    form->addRow("", m_runs);
    form->addRow(tr("Along (0° across, 90° down)"), m_direction);
    form->addRow("", m_scrap);
    form->addRow("", m_washed);
    form->addRow("", m_alike);
    form->addRow(tr("Kept for"), m_heldFor);
    column->addLayout(form);
    m_direction->setRange(-180, 180), m_direction->setDecimals(0), m_direction->setSuffix("°");
    m_direction->setWrapping(true);
    resize(520, 700);
}

/// One click each. Source of the sizes: common practice.
void ClothDialog::addSizes(QVBoxLayout& column) {
    auto* holder = new QWidget(this);
    auto* row = new Flow(holder);
    const auto add = [&](const char* key, const QString& text, const char* size, bool scrap) {
        auto* button = named(new QPushButton(text, this), key);
        button->setAutoDefault(false);
        row->addWidget(button);
        connect(button, &QPushButton::clicked, this, [this, size, scrap] {
            m_size->setText(size);
            m_scrap->setChecked(scrap);
        });
    };
    add("cloth.fatQuarter", tr("Fat quarter"), "22in x 18in", false);
    add("cloth.fatEighth", tr("Fat eighth"), "22in x 9in", false);
    add("cloth.strip", tr("Strip off the bolt"), "40in x 2 1/2in", false);
    add("cloth.half", tr("Half a yard"), "40in x 18in", false);
    column.addWidget(holder);
}

void ClothDialog::fill() {
    const auto& cloth = m_question.cloth;
    for (const auto& fabric : m_question.quilt.fabrics) {
        m_fabric->addItem(swatchOf(fabric), q(fabric.name), fabric.id.value);
    }
    choose(*m_fabric, cloth.fabric.value);
    if (m_fabric->currentIndex() < 0) m_fabric->setCurrentIndex(0);
    m_heldFor->addItem(tr("whoever comes"), 0U);
    for (const auto& block : m_question.quilt.blocks)
        m_heldFor->addItem(q(block.name), block.id.value);
    choose(*m_heldFor, cloth.heldFor.value);
    m_name->setText(q(cloth.name));
    const auto box = shape::Region{cloth.outline}.bounds();
    m_size->setText(cloth.outline.empty()
                        ? "22in x 18in" // a fat quarter
                        : q(measure::saySize(Length::ofMm(box.width()), Length::ofMm(box.height()),
                                             m_question.quilt.units)));
    m_sizeBefore = m_size->text();
    m_runs->setChecked(cloth.stripes.has_value());
    m_direction->setValue(cloth.stripes ? std::remainder(cloth.stripes->degrees(), 360) : 0);
    m_scrap->setChecked(cloth.scrap);
    m_washed->setChecked(cloth.washed);
    followFabric();
}

const quilt::Fabric* ClothDialog::fabric() const {
    return quilt::find(m_question.quilt.fabrics, FabricId{m_fabric->currentData().toUInt()});
}

void ClothDialog::followFabric() {
    const auto* chosen = fabric();
    m_alike->setChecked(chosen && chosen->alike);
    if (!m_question.cloth.id && !m_name->isModified() && chosen) m_name->setText(q(chosen->name));
}

Result<shape::Region> ClothDialog::area() const {
    const bool untouched = m_size->text() == m_sizeBefore;
    if (untouched && !m_question.cloth.outline.empty() && !m_question.traced)
        return shape::Region{m_question.cloth.outline};
    const shape::Region traced{m_question.traced ? m_question.cloth.outline : shape::Rings{}};
    const auto box = traced.bounds();
    if (untouched && m_question.traced) return sided(traced, box.width(), box.height());
    return measure::readSize(m_size->text().toStdString(), m_question.quilt.units)
        .and_then([&](const measure::Size& size) {
            auto square = quilt::clothShape(size.width, size.height, m_question.quilt.units);
            if (!square || !m_question.traced) return square;
            return Result<shape::Region>(sided(traced, size.width.mm(), size.height.mm()));
        });
}

/// What was traced, so wide and high (mm), wrong side up.
shape::Region ClothDialog::sided(const shape::Region& traced, double width, double height) const {
    const auto box = traced.bounds();
    auto rings = traced.rings;
    for (auto& ring : rings) {
        for (auto& p : ring) {
            p = {p.x * width / box.width(), p.y * height / box.height()};
            if (m_mirrored->isChecked()) p.x = width - p.x;
        }
        if (m_mirrored->isChecked()) std::reverse(ring.begin(), ring.end()); // holes stay holes
    }
    return shape::Region{std::move(rings)};
}

Result<void> ClothDialog::read() {
    auto& cloth = m_answer.cloth;
    cloth.fabric = FabricId{m_fabric->currentData().toUInt()};
    auto shape = area();
    if (!shape) return tl::unexpected(shape.error());
    cloth.outline = std::move(shape->rings);
    auto name = edit::properName(m_name->text().toStdString());
    if (!name) return tl::unexpected(name.error());
    cloth.name = std::move(*name);
    cloth.stripes.reset();
    if (m_runs->isChecked()) cloth.stripes = measure::Angle::ofDegrees(m_direction->value());
    cloth.scrap = m_scrap->isChecked();
    cloth.washed = m_washed->isChecked();
    cloth.heldFor = BlockId{m_heldFor->currentData().toUInt()};
    if (cloth.heldFor) cloth.heldElsewhere.clear();
    m_answer.alike = m_alike->isChecked();
    return {};
}

void ClothDialog::follow(bool) {
    m_direction->setEnabled(m_runs->isChecked());
    const auto shape = area();
    const auto* chosen = fabric();
    m_picture->show(shape ? *shape : shape::Region{},
                    m_runs->isChecked() ? std::optional(measure::Angle::ofDegrees(m_direction->value()))
                                        : std::nullopt,
                    chosen && chosen->print == quilt::Print::oneWay,
                    look::q(chosen ? chosen->colour : look::webPaper), m_question.quilt.units);
}

} // namespace up::app
