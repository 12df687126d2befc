// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawn/placed_block.hpp"

#include "core/quilt/labels.hpp"
#include "drawn/lines.hpp"

namespace up::drawn {
namespace {

using namespace sheet::palette;
using quilt::Piece;
using shape::Point;
using sheet::Dash;
using sheet::Pen;

/// Cloth with its seams and, if wanted, creases, over the cut size; on paper lines alone.
sheet::Layer background(const BlockDrawing& m, For whom) {
    const bool paper = whom == For::paper;
    const Colour cloth = clothOf(m.quilt, m.block.background);
    const Colour faint = paper ? quiet : mixed(cloth, inkOn(cloth), 0.35);
    sheet::Layer layer{"background", {}, {}, quilt::cutBox(m.block)};
    if (!paper)
        for (const auto& patch : m.ground.patches)
            layer.items.push_back(sheet::box(patch.box, clothOf(m.quilt, patch.fabric), {}));
    const auto cut = shape::rectangle(quilt::cutBox(m.block));
    const auto add = [&](const std::pair<Point, Point>& line, const Pen& pen) {
        for (const auto& part : shape::inside({line.first, line.second}, cut))
            layer.items.push_back(sheet::line(part.front(), part.back(), pen));
    };
    for (const auto& seam : m.ground.seams)
        add(seam, Pen{faint, paper ? 0.3 : 0.35});
    if (m.creases)
        for (const auto& crease : m.ground.creases)
            add(crease, Pen{faint, paper ? 0.15 : 0.2, Dash::dashed});
    return layer;
}

/// A patch for which the hole is still to be cut; a drawing of how all will be shows it nevertheless.
bool liesBehind(const BlockDrawing& m, const Piece& piece) {
    return piece.join == quilt::Join::reverse && m.step != quilt::Step::toTrace &&
           piece.work.step < quilt::Step::cutAway;
}

sheet::Layer clothPieces(const BlockDrawing& m, For whom) {
    sheet::Layer layer{"pieces", {}, {}, quilt::cutBox(m.block)};
    for (const auto& piece : m.block.pieces) {
        const bool done = piece.work.step >= m.step;
        auto shape = placedPiece(m.quilt, piece, done ? 1.0 : 0.4);
        if (!done) shape.pen = Pen{pencil, 0.3, Dash::dashed};
        if (liesBehind(m, piece)) shape.fill.reset(), shape.pen = Pen{pencil, 0.5, Dash::dashed};
        layer.items.push_back(std::move(shape));
        auto pen = markPen(m.quilt, piece);
        if (whom == For::small) pen = {{0x30, 0x30, 0x30}, 0.6};
        addMarks(layer.items, piece, quilt::placing(piece), pen);
    }
    return layer;
}

/// Edge stretches of piece `i` that pieces above hide.
std::vector<shape::Polyline> hiddenEdges(const plan::BlockPlan& plan, std::size_t i) {
    std::vector<shape::Polyline> out;
    for (const auto& ring : plan.regions[i].rings) {
        auto closed = ring;
        closed.push_back(ring.front());
        for (auto& part : shape::inside(closed, plan.cover[i]))
            out.push_back(std::move(part));
    }
    return out;
}

/// What shows solid, what is hidden dashed, each with its number and its fabric.
sheet::Layer linePieces(const BlockDrawing& m, const plan::BlockPlan& plan) {
    const auto& style = styleFor(For::paper);
    sheet::Layer layer{"pieces", {}, {}, {}};
    for (std::size_t i = 0; i < m.block.pieces.size(); ++i) {
        const auto& piece = m.block.pieces[i];
        layer.items.push_back(
            sheet::Shape{sheet::contoursOf(plan.visibleEdges[i]), std::nullopt, style.line, piece.id});
        if (m.guides && plan.visible[i].isEmpty()) continue;
        if (!m.guides)
            layer.items.push_back(sheet::Shape{sheet::contoursOf(hiddenEdges(plan, i)), std::nullopt,
                                               Pen{quiet, 0.25, Dash::dashed}, piece.id});
        addMarks(layer.items, piece, quilt::placing(piece), style.marks);
        addLabel(layer.items, plan.visible[i].isEmpty() ? plan.regions[i] : plan.visible[i],
                 quilt::labelOf(m.block, piece.id), fabricName(m.quilt, piece.fabric));
    }
    return layer;
}

/// An angle at each corner of the finished block.
void addCorners(sheet::Layer& layer, const shape::Box& finished) {
    constexpr double arm = 12; // mm
    for (const double x : {finished.left, finished.right})
        for (const double y : {finished.top, finished.bottom}) {
            const double in = x == finished.left ? arm : -arm, down = y == finished.top ? arm : -arm;
            layer.items.push_back(sheet::Shape{
                sheet::contoursOf(std::vector<shape::Polyline>{{{x + in, y}, {x, y}, {x, y + down}}}),
                std::nullopt, Pen{ink, 0.9}});
        }
}

/// The finished edge over everything, so that what lies in the seam allowance is seen to.
sheet::Layer edges(const quilt::Block& block, For whom) {
    const auto cut = quilt::cutBox(block), finished = quilt::finishedBox(block);
    sheet::Layer layer{"seam", {}, {}, {}};
    if (whom == For::paper) {
        layer.items.push_back(sheet::box(cut, std::nullopt, Pen{pencil, 0.2}));
        layer.items.push_back(sheet::box(finished, std::nullopt, Pen{pencil, 0.35}));
        return layer;
    }
    sheet::Shape band{sheet::contoursOf(shape::rectangle(cut)), panel, {}, {}, 0.35};
    for (auto& contour : sheet::contoursOf(shape::rectangle(finished)))
        band.contours.push_back(contour);
    layer.items.push_back(band);
    layer.items.push_back(sheet::box(finished, std::nullopt, Pen{ink, 0.35, Dash::dashed}));
    return layer;
}

} // namespace

sheet::Shape placedPiece(const quilt::Quilt& quilt, const Piece& piece, double opacity) {
    const Colour cloth = clothOf(quilt, piece.fabric);
    const Pen edge{mixed(cloth, ink, luminance(cloth) > 0.1 ? 0.45 : 0.0), 0.25};
    return {sheet::contoursOf(quilt::placed(piece)), cloth, edge, piece.id, opacity};
}

Pen markPen(const quilt::Quilt& quilt, const Piece& piece) {
    const Colour cloth = clothOf(quilt, piece.fabric);
    return {mixed(cloth, inkOn(cloth), 0.7), 0.6};
}

std::vector<sheet::Layer> placedBlock(const BlockDrawing& drawing, For whom) {
    std::vector<sheet::Layer> out{background(drawing, whom)};
    if (whom == For::paper) {
        UP_CHECK(drawing.plan != nullptr);
        out.push_back(linePieces(drawing, *drawing.plan));
    } else {
        out.push_back(clothPieces(drawing, whom));
    }
    if (!drawing.block.lines.empty()) out.push_back(lines(drawing.quilt, drawing.block, whom));
    out.push_back(edges(drawing.block, whom));
    if (drawing.guides) addCorners(out.back(), quilt::finishedBox(drawing.block));
    return out;
}

} // namespace up::drawn
