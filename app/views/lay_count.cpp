// SPDX-License-Identifier: GPL-3.0-or-later
// All there? The pieces side by side as on a table, alike ones in one heap, to be ticked off.
#include "app/look/look.hpp"
#include "app/views/lay_parts.hpp"
#include "app/views/pieces.hpp"
#include "core/plan/lay/roll_call.hpp"
#include "core/sheet/figures.hpp"
#include "words/lay_words.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

using plan::Presence;
using sheet::Dash;
using sheet::Pen;

constexpr double apart = 5; // mm between pieces of a heap

/// How much larger a piece is drawn than the largest one: an eye must be seen beside a lake.
double enlargedBy(const shape::Box& box, double largest) {
    constexpr double evening = 0.45; // 0: true to each other; 1: all of one size
    return std::pow(largest / std::max(1.0, std::max(box.width(), box.height())), evening);
}

double largestOf(const quilt::Block& block) {
    double out = 1;
    for (const auto& piece : block.pieces) {
        const auto box = boundsOf(quilt::placed(piece));
        out = std::max({out, box.width(), box.height()});
    }
    return out;
}

/// A heap with its words, and where on the table it lies.
struct Cell {
    std::size_t heap;
    std::string name, count;
    double wide = 0, high = 0; ///< of the pieces beside each other, in rows
    double one = 0, each = 0;  ///< across and down, of the largest of them
    std::size_t inRow = 1;
    shape::Point at{}; ///< the top left corner of what the words need
    double room = 0;   ///< across, with the words
};

/// The table's height when it is that wide; the cells are put in their places. Words are a share of the
/// width, so that they can be read whatever the pieces' size.
double spread(std::vector<Cell>& cells, double wide, double words) {
    constexpr double letter = 0.53, lines = 2.9; // of the words' height: a letter across, two lines down
    const double gap = 1.5 * words;
    double x = gap, y = gap, row = 0;
    for (auto& cell : cells) {
        const auto longest = static_cast<double>(std::max(cell.name.size(), cell.count.size()));
        cell.room = std::max(cell.wide, longest * letter * words);
        if (x > gap && x + cell.room + gap > wide) x = gap, y += row + gap, row = 0;
        cell.at = {x, y};
        x += cell.room + gap;
        row = std::max(row, cell.high + lines * words);
    }
    return y + row + gap;
}

/// The narrowest table of the mat's shape on which they all have room. Where the words alone would fill it
/// they are made smaller.
shape::Box tableFor(std::vector<Cell>& cells, double& words) {
    constexpr double shape = 1.72, most = 0.026, wider = 1.05; // width by height; words of the width
    double start = 60;
    for (const auto& cell : cells)
        start = std::max(start, cell.wide * 1.1);
    double widest = 2.5 * start;
    for (double share = most;; share *= 0.94, widest *= 1.15)
        for (double wide = start; wide < widest; wide *= wider) {
            words = wide * share;
            if (spread(cells, wide, words) <= wide / shape) return {0, 0, wide, wide / shape};
        }
}

/// A tick, white on moss.
void addTick(sheet::Layer& layer, shape::Point at, double words) {
    const double size = words * 0.75;
    layer.items.push_back(sheet::Shape{{sheet::disc(at, size)}, look::moss, Pen{look::panel, 0.5}});
    const shape::Point low = at + shape::Point{-0.12, 0.45} * size;
    for (const auto end : {at + shape::Point{-0.5, 0} * size, at + shape::Point{0.55, -0.45} * size})
        layer.items.push_back(sheet::line(low, end, Pen{look::panel, size * 0.27, Dash::solid}));
}

sheet::Shape onTable(const Look& look, const quilt::Piece& piece, const shape::Transform& by) {
    const auto presence = plan::presenceOf(piece);
    auto out = drawn::placedPiece(look.quilt, piece, presence == Presence::here ? 1.0 : 0.45);
    out.contours = sheet::contoursOf(transformed(quilt::placed(piece), by));
    if (presence == Presence::missing) out.pen = Pen{look::rust, 0.7, Dash::dashed};
    if (presence == Presence::notCut) out.opacity = 0.12, out.pen = Pen{look::slate, 0.5, Dash::dotted};
    return out;
}

std::vector<Cell> cellsOf(const Look& look, const plan::RollCall& call) {
    std::vector<Cell> out;
    const double largest = largestOf(look.block);
    for (std::size_t i = 0; i < call.heaps.size(); ++i) {
        Cell cell{i, words::heapWords(look.block, call.heaps[i]), words::countWords(call, i)};
        const auto& pieces = call.heaps[i].pieces;
        for (const std::size_t p : pieces) {
            const auto box = boundsOf(quilt::placed(look.block.pieces[p]));
            const double by = enlargedBy(box, largest);
            cell.one = std::max(cell.one, box.width() * by);
            cell.each = std::max(cell.each, box.height() * by);
        }
        const auto count = pieces.size();
        cell.inRow = std::min(count, std::max<std::size_t>(4, static_cast<std::size_t>(std::ceil(std::sqrt(
                                                                  2.0 * static_cast<double>(count))))));
        const auto rows = (count + cell.inRow - 1) / cell.inRow;
        const auto in = [](std::size_t n, double size) {
            return static_cast<double>(n) * (size + apart) - apart;
        };
        cell.wide = in(cell.inRow, cell.one), cell.high = in(rows, cell.each);
        out.push_back(std::move(cell));
    }
    return out;
}

Panel tablePanel(const Look& look, const plan::RollCall& call) {
    Panel panel;
    double size = 0;
    auto cells = cellsOf(look, call);
    const double largest = largestOf(look.block);
    panel.below = words::tr("Small pieces are drawn larger than they are.");
    panel.box = tableFor(cells, size);
    sheet::Layer table{"table", {sheet::box(panel.box, look::plaster, {})}, {}, {}},
        ticks{"ticks", {}, {}, {}};
    for (const auto& cell : cells) {
        const auto& heap = call.heaps[cell.heap];
        const shape::Point first{cell.at.x + (cell.room - cell.wide + cell.one) / 2,
                                 cell.at.y + cell.each / 2};
        for (std::size_t n = 0; n < heap.pieces.size(); ++n) {
            const auto& piece = look.block.pieces[heap.pieces[n]];
            const auto box = boundsOf(quilt::placed(piece));
            const double by = enlargedBy(box, largest);
            const auto at = first + shape::Point{static_cast<double>(n % cell.inRow) * (cell.one + apart),
                                                 static_cast<double>(n / cell.inRow) * (cell.each + apart)};
            table.items.push_back(
                onTable(look, piece,
                        shape::Transform::moveBy(at.x, at.y) * shape::Transform::scale(by, by) *
                            shape::Transform::moveBy(-box.centre().x, -box.centre().y)));
            if (plan::presenceOf(piece) == Presence::here) addTick(ticks, at, size);
        }
        const double centre = cell.at.x + cell.room / 2, below = cell.at.y + cell.high;
        const bool done = heap.here == static_cast<int>(heap.pieces.size());
        ticks.items.push_back(sheet::Words{
            cell.name, {centre, below + 1.2 * size}, size, look::ink, sheet::Align::centre, true});
        ticks.items.push_back(sheet::Words{cell.count,
                                           {centre, below + 2.4 * size},
                                           size * 0.9,
                                           done           ? look::moss
                                           : heap.missing ? look::rust
                                                          : look::slate,
                                           sheet::Align::centre,
                                           done});
    }
    panel.layers = {std::move(table), std::move(ticks)};
    return panel;
}

} // namespace

ViewParts layCountParts(const Look& look) {
    ViewParts parts;
    parts.rows.title = words::tr("All there?");
    const auto judged = look.derived.judgement();
    if (!judged) {
        parts.scene.empty = words::tr("Comparing the shapes…");
        return parts;
    }
    const auto call = plan::rollCall(look.block, *judged);
    parts.scene.panels.push_back(tablePanel(look, call));
    for (std::size_t i = 0; i < call.heaps.size(); ++i) {
        const auto& heap = call.heaps[i];
        Row row{words::heapWords(look.block, heap), words::countWords(call, i),
                look.block.pieces[heap.pieces.front()].id};
        row.done = heap.here == static_cast<int>(heap.pieces.size());
        row.swatch = drawn::clothOf(look.quilt, heap.fabric);
        parts.rows.rows.push_back(std::move(row));
    }
    return parts;
}

} // namespace up::app
