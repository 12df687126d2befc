// SPDX-License-Identifier: GPL-3.0-or-later
// Templates as seen beside templates as they will be traced.
#include "app/views/pieces.hpp"

#include "app/look/look.hpp"

namespace up::app {
namespace {

using sheet::Dash;
using sheet::Pen;

/// All templates mirrored, as pencil lines on web paper.
Panel asTraced(const Look& look) {
    Panel panel;
    panel.side = Side::paper;
    panel.box = cutBox(look.block);
    panel.layers.push_back({"paper", {sheet::box(panel.box, look::webPaper, {})}, {}, {}});
    sheet::Layer lines{
        "lines", {}, shape::Transform::mirrorAcross(look.block.width.mm() / 2), cutBox(look.block)};
    for (const auto& piece : look.block.pieces) {
        lines.items.push_back(sheet::Shape{sheet::contoursOf(quilt::placed(piece)), std::nullopt,
                                           Pen{look::pencil, 0.4, Dash::solid}, piece.id.value});
        addMarks(lines, piece, quilt::placing(piece), look::slate);
    }
    addChosen(lines, look);
    auto flags = flagLayer(look);
    flags.place = lines.place;
    for (auto& item : flags.items)
        std::get<sheet::Flag>(item).pointsLeft = true;
    panel.layers.push_back(std::move(lines));
    panel.layers.push_back(std::move(flags));
    return panel;
}

/// One template twice in a panel: from the front on the left, reversed on web paper on the right.
Panel pairPanel(const Look& look, const quilt::Piece& piece, int number) {
    const auto own = boundsOf(*piece.outline);
    const auto half = own.grownBy(std::max(own.width(), own.height()) * 0.08 + 0.5);
    const double across = half.width();
    Panel panel;
    panel.side = Side::plain;
    panel.caption = std::to_string(number) + " " + piece.name;
    panel.below = sizeOf(look.quilt, own);
    panel.chosen = piece.id == look.chosen;
    panel.box = {half.left, half.top, half.right + across, half.bottom};
    const Colour colour = colourOf(look.quilt, piece.fabric);
    sheet::Layer front{"front", {sheet::box(half, look::panel, {})}, {}, {}};
    front.items.push_back(sheet::Shape{sheet::contoursOf(*piece.outline), colour,
                                       Pen{mixed(colour, look::ink, 0.5), 0.2, Dash::solid}, piece.id.value});
    addMarks(front, piece, {}, mixed(colour, luminance(colour) > 0.2 ? look::ink : look::panel, 0.7));
    sheet::Layer paper{
        "paper", {sheet::box(half, look::webPaper, Pen{look::slate, 0.2, Dash::dashed})}, {}, {}};
    paper.place = shape::Transform::moveBy(across, 0) * shape::Transform::mirrorAcross(half.centre().x);
    paper.items.push_back(sheet::Shape{sheet::contoursOf(*piece.outline), std::nullopt,
                                       Pen{look::pencil, 0.3, Dash::solid}, piece.id.value});
    addMarks(paper, piece, {}, look::slate);
    panel.layers = {std::move(front), std::move(paper)};
    return panel;
}

} // namespace

ViewParts drawParts(const Look& look) {
    ViewParts parts;
    parts.scene.badges = look.templates ? Badges::pair : Badges::each;
    if (look.templates) {
        parts.scene.sameScale = false;
        parts.scene.leastHeight = 132;
        parts.scene.columns = 3;
        int number = 0;
        for (const auto& piece : look.block.pieces)
            parts.scene.panels.push_back(pairPanel(look, piece, ++number));
    } else {
        auto seen = blockPanel(look, quilt::Step::toTrace, false);
        parts.scene.panels = {std::move(seen), asTraced(look)};
    }
    parts.rows.title = "Stack and steps";
    const auto& plan = look.derived.block();
    for (std::size_t i = look.block.pieces.size(); i-- > 0;) {
        const auto& piece = look.block.pieces[i];
        std::vector<PieceId> beneath;
        for (const auto lower : plan.beneath(i))
            beneath.push_back(look.block.pieces[lower].id);
        Row row{std::to_string(i + 1) + " " + piece.name, "", piece.id.value};
        row.detail = beneath.empty() ? "on the background" : "lies on " + numbersOf(look.block, beneath);
        row.detail = "Step " + std::to_string(plan.stack.step[i] + 1) + ": " + row.detail;
        if (plan.stack.free[i]) row.detail = "free: touches no other piece";
        row.swatch = colourOf(look.quilt, piece.fabric);
        parts.rows.rows.push_back(std::move(row));
    }
    return parts;
}

} // namespace up::app
