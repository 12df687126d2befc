// SPDX-License-Identifier: GPL-3.0-or-later
// Tracing layouts: tiled on paper, or straight onto sheets of web.
#include "core/plan/block/block_plan.hpp"
#include "core/shape/deepest.hpp"
#include "output/pages/drawn.hpp"

#include <algorithm>
#include <cmath>

namespace up::output {
namespace {

using plan::Chunk;
using quilt::Block;
using quilt::Piece;
using quilt::Quilt;
using quilt::Traced;
using shape::Point;
using shape::Region;
using sheet::Dash;
using sheet::Pen;

/// One sheet's lines, on the sheet's own millimetres.
class TracingSheet {
public:
    TracingSheet(const Quilt& quilt, const Block& block, const plan::TracePlan& trace,
                 const plan::SheetUse& sheet)
        : m_quilt(quilt), m_block(block), m_trace(trace), m_sheet(sheet) {
        for (const auto& chunk : trace.chunks)
            if (chunk.sheet == sheet.number) addChunk(chunk);
        for (const auto& traced : block.layout->traced)
            if (traced.sheet == sheet.number) addPiece(traced);
    }
    std::vector<sheet::Item> items;
    shape::Box box;

private:
    void addChunk(const Chunk& chunk);
    void addPiece(const Traced& traced);
    void addGrain(const Traced& traced, const Piece& piece, Point at);
    void addInMargin(PieceId piece, const Region& region);
    [[nodiscard]] const Chunk* chunkOf(PieceId piece) const;

    const Quilt& m_quilt;
    const Block& m_block;
    const plan::TracePlan& m_trace;
    const plan::SheetUse& m_sheet;
    std::vector<Region> m_numbers; ///< where those in the margin stand
};

void TracingSheet::addChunk(const Chunk& chunk) {
    const Pen rough{quiet, 0.2, Dash::dashed};
    items.push_back(sheet::Shape{sheet::contoursOf(chunk.roughCut), std::nullopt, rough});
    for (const auto& [piece, window] : chunk.windows)
        items.push_back(sheet::Shape{sheet::contoursOf(window), std::nullopt, rough});
    box.take(chunk.roughCut.bounds());
}

const Chunk* TracingSheet::chunkOf(PieceId piece) const {
    for (const auto& chunk : m_trace.chunks)
        if (std::find(chunk.pieces.begin(), chunk.pieces.end(), piece) != chunk.pieces.end()) return &chunk;
    return nullptr;
}

void TracingSheet::addPiece(const Traced& traced) {
    const auto* piece = find(m_block.pieces, traced.piece);
    if (!piece) return;
    const auto outline = transformed(quilt::reversed(*piece), quilt::onSheet(traced));
    items.push_back(
        sheet::Shape{sheet::contoursOf(outline), std::nullopt, Pen{pencil, 0.35, Dash::solid}, piece->id});
    const auto onSheet = quilt::onSheet(traced) * shape::Transform::mirrorAcross(0);
    addMarks(items, *piece, onSheet);
    addDotted(items, *piece, onSheet);
    const Region whole = shape::regionOf(outline);
    Region shown = whole;
    if (const auto* chunk = chunkOf(piece->id))
        for (const auto& [host, window] : chunk->windows)
            if (host == piece->id) shown = shape::subtract(shown, window);
    label(items, shown, quilt::labelOf(m_block, piece->id), fabricName(m_quilt, piece->fabric));
    addGrain(traced, *piece, shape::deepestPoint(shown).at);
    addInMargin(piece->id, whole);
}

/// An arrow the way a print's stripes are to run.
void TracingSheet::addGrain(const Traced& traced, const Piece& piece, Point at) {
    const auto* fabric = find(m_quilt.fabrics, piece.fabric);
    if (!fabric || fabric->print == quilt::Print::plain || !piece.grain) return;
    const auto turn = measure::Angle::ofDegrees(180 - piece.grain->degrees() + traced.turn.degrees());
    const Point way{std::cos(turn.radians()), std::sin(turn.radians())}, side{-way.y, way.x};
    constexpr double reach = 12, barb = 2.2; // mm
    const Pen pen{quiet, 0.3, Dash::solid};
    items.push_back(sheet::line(at - way * reach, at + way * reach, pen));
    for (const double end : {1.0, -1.0}) {
        if (end < 0 && fabric->print == quilt::Print::oneWay) continue;
        const Point tip = at + way * (end * reach), back = way * (-end * barb);
        items.push_back(sheet::line(tip, tip + back + side * (barb * 0.7), pen));
        items.push_back(sheet::line(tip, tip + back - side * (barb * 0.7), pen));
    }
}

/// The number again outside the line, on what stays on when the chunk is rough cut: where there is most room
/// between this line, its neighbours and the scissors.
void TracingSheet::addInMargin(PieceId piece, const Region& region) {
    const auto* chunk = chunkOf(piece);
    if (!chunk) return;
    constexpr double clear = 0.6; // mm to any line
    std::vector<Region> taken;
    for (const auto& [id, outline] : m_trace.lines)
        if (std::find(chunk->pieces.begin(), chunk->pieces.end(), id) != chunk->pieces.end())
            taken.push_back(shape::offset(shape::regionOf(outline), clear));
    Region room = shape::intersect(shape::offset(region, plan::roughCutMargin.mm()),
                                   shape::offset(chunk->roughCut, -clear));
    taken.insert(taken.end(), m_numbers.begin(), m_numbers.end());
    room = shape::subtract(shape::intersect(room, m_sheet.area), shape::unite(taken));
    const auto spot = shape::deepestPoint(room, 0.2);
    constexpr double least = 1.2; // mm: smaller figures are not read
    if (spot.depth < least) return;
    const double height = std::min(spot.depth * 1.6, 5.0);
    m_numbers.push_back(
        shape::rectangle(shape::Box{spot.at.x, spot.at.y, spot.at.x, spot.at.y}.grownBy(height * 0.7)));
    items.push_back(sheet::Words{quilt::labelOf(m_block, piece),
                                 {spot.at.x, spot.at.y + height * 0.35},
                                 height,
                                 quiet,
                                 sheet::Align::centre,
                                 true});
}

std::string titleOf(const Block& block, const plan::TracePlan& trace, std::size_t sheet) {
    const auto& use = trace.sheets[sheet];
    std::string out = block.name + ": tracing layout";
    if (trace.sheets.size() == 1 && use.from.outline.empty()) return out;
    int number = 1; // of its kind
    for (std::size_t i = 0; i < sheet; ++i)
        if (trace.sheets[i].from.outline.empty() == use.from.outline.empty()) ++number;
    return out + (use.from.outline.empty() ? ", web sheet " : ", off-cut ") + std::to_string(number);
}

} // namespace

Result<std::vector<sheet::Page>> tracingPages(const Quilt& quilt, const Block& block,
                                              const PageOptions& options) {
    const auto trace = plan::planTrace(quilt, block);
    if (trace.lines.empty()) return failure(Code::nothingToDo, {block.name});
    std::vector<sheet::Page> pages;
    for (std::size_t i = 0; i < trace.sheets.size(); ++i) {
        TracingSheet lines(quilt, block, trace, trace.sheets[i]);
        Content content{std::move(lines.items), lines.box, titleOf(block, trace, i),
                        "Paper side: reversed. Trace on the smooth side of the web, just as printed.",
                        "Solid line: trace, later cut. Dashed line: rough cut, about 1/4 in outside."};
        if (!trace.sheets[i].from.outline.empty()) { // the off-cut's own edge, to lay it on
            content.items.push_back(sheet::Shape{sheet::contoursOf(trace.sheets[i].area), std::nullopt,
                                                 Pen{quiet, 0.3, Dash::dotted}});
            content.box.take(trace.sheets[i].area.bounds());
        }
        for (auto& page : tiled(content, options))
            pages.push_back(std::move(page));
    }
    return pages;
}

Result<std::vector<WholeSheet>> wholeSheets(const Quilt& quilt, const Block& block) {
    if (block.pieces.empty()) return failure(Code::nothingToDo, {block.name});
    const auto page = [](const shape::Box& box, std::vector<sheet::Item> items) {
        constexpr double border = 3; // mm: pens have a width
        return sheet::Page{box.width() + 2 * border,
                           box.height() + 2 * border,
                           {{"drawing",
                             std::move(items),
                             shape::Transform::moveBy(border - box.left, border - box.top),
                             {}}}};
    };
    std::vector<WholeSheet> out;
    const auto trace = plan::planTrace(quilt, block);
    for (std::size_t i = 0; i < trace.sheets.size(); ++i) {
        TracingSheet lines(quilt, block, trace, trace.sheets[i]);
        const auto& area = trace.sheets[i].area;
        lines.items.push_back(
            sheet::Shape{sheet::contoursOf(area), std::nullopt, Pen{quiet, 0.3, Dash::dotted}});
        lines.box.take(area.bounds());
        out.push_back({titleOf(block, trace, i), true, page(lines.box, std::move(lines.items))});
    }
    auto front = placementContent(quilt, block);
    out.push_back({front.title, false, page(front.box, std::move(front.items))});
    return out;
}

Result<std::vector<sheet::Page>> webPages(const Quilt& quilt, const Block& block,
                                          const PageOptions& options) {
    const auto trace = plan::planTrace(quilt, block);
    const auto* web = find(quilt.webs, block.web);
    if (trace.lines.empty() || !web) return failure(Code::nothingToDo, {block.name});
    if (web->roll()) return failure(Code::webIsARoll, {web->name});
    const double by = testSquare / std::clamp(options.square, leastSquare, mostSquare);
    std::vector<sheet::Page> pages;
    for (const auto& use : trace.sheets) {
        if (!use.from.outline.empty()) continue; // an off-cut goes through no printer
        TracingSheet lines(quilt, block, trace, use);
        const double width = web->width.mm(), height = web->length().mm();
        pages.push_back({width,
                         height,
                         {{"drawing", std::move(lines.items), shape::Transform::scale(by, by),
                           shape::Box{0, 0, width, height}}}});
    }
    if (pages.empty()) return failure(Code::nothingToDo, {block.name});
    return pages;
}

} // namespace up::output
