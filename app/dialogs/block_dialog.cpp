// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/block_dialog.hpp"

#include "app/dialogs/parts.hpp"
#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/pictures/layer_picture.hpp"
#include "core/edit/edits.hpp"
#include "core/edit/naming.hpp"
#include "core/measure/say.hpp"
#include "core/plan/block/ground_plan.hpp"
#include "drawn/parts.hpp"
#include "words/sentences.hpp"

#include <QColorDialog>
#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace up::app {
namespace {

constexpr std::uint32_t later = 0, fresh = 0xFFFFFFFF; // in place of a fabric

QString sizeText(measure::Length width, measure::Length height, measure::System units) {
    return q(width == height ? measure::say(width, units) : measure::saySize(width, height, units));
}

/// The square as it is cut, what will be seen of it, and the web beside it: all to one scale.
std::vector<sheet::Layer> layersOf(const quilt::Block& block, Colour cloth, const quilt::Web* web,
                                   measure::System units) {
    using sheet::Dash;
    using sheet::Pen;
    const auto plan = plan::planGround(block);
    sheet::Layer out{"block", {}, {}, {}};
    out.items.push_back(sheet::box(plan.box, cloth, Pen{look::slate, 0.3, Dash::solid}));
    out.items.push_back(sheet::box(plan.finished, std::nullopt, Pen{look::ink, 0.5, Dash::dashed}));
    const double high = std::min(plan.box.height() * 0.1, plan.box.width() * 0.1);
    const auto words = [&](const std::string& text, const shape::Box& on, Colour ground) {
        const auto ink = look::inkOn(ground);
        out.items.push_back(sheet::Words{
            text, {on.centre().x, on.centre().y + high / 3}, high, ink, sheet::Align::centre, false});
    };
    words(words::said(N_("{0} finished"), {sizeText(block.width, block.height, units).toStdString()}),
          plan.finished, cloth);
    if (!web) return {std::move(out)};
    const double left = plan.box.right + plan.box.width() * 0.1;
    const shape::Box roll{left, plan.box.top, left + web->width.mm(), plan.box.bottom};
    out.items.push_back(sheet::box(roll, look::webPaper, Pen{look::slate, 0.3, Dash::solid}));
    words(words::said(N_("web, {0} wide"), {measure::say(web->width, units)}), roll, look::webPaper);
    return {std::move(out)};
}

/// Whatever most blocks of the quilt measure, so that it seldom needs to be typed.
std::pair<measure::Length, measure::Length> usualSize(const quilt::Quilt& quilt) {
    std::pair out{measure::Length::ofInches(9, 1), measure::Length::ofInches(9, 1)};
    std::ptrdiff_t most = 0;
    for (const auto& one : quilt.blocks) {
        const auto count = std::count_if(quilt.blocks.begin(), quilt.blocks.end(), [&](const auto& other) {
            return other.width == one.width && other.height == one.height;
        });
        if (count > most) most = count, out = {one.width, one.height};
    }
    return out;
}

} // namespace

BlockDialog::BlockDialog(BlockQuestion question, QWidget* parent)
    : Form(tr("New block"), parent), m_question(std::move(question)), m_picked(look::q(look::webPaper)),
      m_name(named(new QLineEdit(this), "block.name")), m_size(named(new QLineEdit(this), "block.size")),
      m_clothName(named(new QLineEdit(this), "block.clothName")),
      m_cloth(named(new QComboBox(this), "block.background")), m_web(named(new QComboBox(this), "block.web")),
      m_colour(named(new QPushButton(tr("Colour…"), this), "block.colour")), m_says(new QLabel(this)),
      m_picture(named(new LayerPicture(this), "block.picture")) {
    auto* column = new QVBoxLayout(this);
    auto* row = new QHBoxLayout;
    column->addLayout(row, 1);
    auto* left = new QVBoxLayout;
    row->addLayout(left);
    auto* form = new QFormLayout;
    form->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    left->addLayout(form);
    buildFields(*form);
    buildCloth(*form);
    m_says->setObjectName("block.says");
    m_says->setWordWrap(true);
    m_says->setTextFormat(Qt::PlainText);
    left->addWidget(m_says);
    left->addStretch();
    row->addWidget(m_picture, 1);
    addFoot(*column, tr("Make the block"), "block.make");
    chooseCloth();
    m_name->selectAll();
    m_name->setFocus();
    resize(820, 480);
}

void BlockDialog::buildFields(QFormLayout& form) {
    const auto& quilt = m_question.quilt;
    m_name->setText(q(m_question.name));
    const auto [width, height] = usualSize(quilt);
    m_size->setText(sizeText(width, height, quilt.units));
    for (auto* field : {m_name, m_size, m_clothName})
        field->setMinimumWidth(220);
    form.addRow(tr("Name"), m_name);
    form.addRow(tr("Finished size"), m_size);
    auto* hint = new QLabel(tr("such as 9, 9 1/2 or 9 x 12"), this);
    hint->setProperty("role", "quiet");
    form.addRow("", hint);
    watch({m_name, m_size, m_clothName});
}

void BlockDialog::buildCloth(QFormLayout& form) {
    const auto& quilt = m_question.quilt;
    m_cloth->addItem(tr("chosen later"), later);
    for (const auto& fabric : quilt.fabrics)
        m_cloth->addItem(swatchOf(fabric), q(fabric.name), fabric.id.value);
    m_cloth->addItem(tr("another cloth…"), fresh);
    for (const auto& web : quilt.webs)
        m_web->addItem(q(web.name), web.id.value);
    if (!quilt.blocks.empty()) { // as the block before it
        m_cloth->setCurrentIndex(std::max(0, m_cloth->findData(quilt.blocks.back().background.value)));
        m_web->setCurrentIndex(std::max(0, m_web->findData(quilt.blocks.back().web.value)));
    }
    form.addRow(tr("Background"), m_cloth);
    auto* cloth = new QHBoxLayout;
    cloth->addWidget(m_clothName, 1);
    cloth->addWidget(m_colour);
    m_clothName->setPlaceholderText(tr("what you call it"));
    form.addRow("", cloth);
    form.addRow(tr("Fusible web"), m_web);
    connect(m_cloth, &QComboBox::activated, this, &BlockDialog::chooseCloth);
    watch({m_web});
    connect(m_colour, &QPushButton::clicked, this, &BlockDialog::pickColour);
}

bool BlockDialog::isFreshCloth() const {
    return m_cloth->currentData().toUInt() == fresh;
}

void BlockDialog::chooseCloth() {
    for (QWidget* field : {static_cast<QWidget*>(m_clothName), static_cast<QWidget*>(m_colour)})
        field->setVisible(isFreshCloth());
    if (isFreshCloth()) m_clothName->setFocus();
    changed();
}

void BlockDialog::pickColour() {
    const auto picked = QColorDialog::getColor(m_picked, this, tr("Colour of the background"));
    if (picked.isValid()) m_picked = picked;
    changed();
}

Result<quilt::Block> BlockDialog::block() const {
    const auto& units = m_question.quilt.units;
    return measure::readSize(m_size->text().trimmed().toStdString(), units).and_then([&](const auto& size) {
        return edit::addBlock(m_question.quilt, "Block", size.width, size.height)
            .map([](const quilt::Quilt& quilt) { return quilt.blocks.back(); });
    });
}

QString BlockDialog::says(const quilt::Block& block) const {
    const auto& quilt = m_question.quilt;
    const auto plan = plan::planGround(block);
    auto out =
        tr("The background is cut %1; what lies outside the dashed line is trimmed off or goes into the "
           "seams.")
            .arg(q(measure::saySize(plan.wide, plan.high, quilt.units)));
    const auto [width, height] = usualSize(quilt);
    if (!quilt.blocks.empty() && (block.width != width || block.height != height))
        out += "\n" + tr("Most blocks of this quilt finish at %1.").arg(sizeText(width, height, quilt.units));
    if (up::quilt::find(quilt.webs, WebId{m_web->currentData().toUInt()}))
        out += "\n" + tr("Beside it a stretch of the web, to the same scale.");
    return out;
}

Result<void> BlockDialog::read() {
    const auto made = block();
    if (!made) return tl::unexpected(made.error());
    const auto name = edit::properName(m_name->text().toStdString());
    if (!name) return tl::unexpected(name.error());
    if (!isFreshCloth()) return {};
    const auto cloth = edit::properName(m_clothName->text().toStdString());
    return cloth ? Result<void>() : tl::unexpected(cloth.error());
}

void BlockDialog::follow(bool) {
    const auto made = block();
    m_says->setVisible(made.has_value());
    m_colour->setIcon(swatchOf(Colour{static_cast<std::uint8_t>(m_picked.red()),
                                      static_cast<std::uint8_t>(m_picked.green()),
                                      static_cast<std::uint8_t>(m_picked.blue())}));
    if (!made) return;
    m_says->setText(says(*made));
    const auto* web = quilt::find(m_question.quilt.webs, WebId{m_web->currentData().toUInt()});
    auto layers =
        layersOf(*made,
                 answer().fresh ? answer().fresh->colour
                                : drawn::clothOf(m_question.quilt, FabricId{m_cloth->currentData().toUInt()}),
                 web, m_question.quilt.units);
    const auto plan = plan::planGround(*made);
    auto box = plan.box;
    if (web) box.right += plan.box.width() * 0.1 + web->width.mm();
    m_picture->show(box, std::move(layers));
}

BlockAnswer BlockDialog::answer() const {
    BlockAnswer out{};
    out.name = m_name->text().trimmed().toStdString();
    if (const auto made = block()) out.width = made->width, out.height = made->height;
    out.web = WebId{m_web->currentData().toUInt()};
    if (!isFreshCloth()) {
        out.background = FabricId{m_cloth->currentData().toUInt()};
        return out;
    }
    quilt::Fabric cloth{};
    cloth.name = m_clothName->text().trimmed().toStdString();
    cloth.colour = {static_cast<std::uint8_t>(m_picked.red()), static_cast<std::uint8_t>(m_picked.green()),
                    static_cast<std::uint8_t>(m_picked.blue())};
    out.fresh = std::move(cloth);
    return out;
}

} // namespace up::app
