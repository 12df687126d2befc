// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawn/traced_sheet.hpp"

#include "core/measure/say.hpp"
#include "core/quilt/labels.hpp"
#include "core/shape/deepest.hpp"
#include "core/sheet/figures.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <cmath>

namespace up::drawn {
namespace {

using namespace sheet::palette;
using plan::Chunk;
using plan::SheetUse;
using quilt::Piece;
using quilt::Traced;
using shape::Point;
using shape::Region;
using sheet::Dash;
using sheet::Pen;

constexpr Colour waste{0xD8, 0xD2, 0xC0}, keeps{0xE3, 0xEC, 0xDC};

class Builder {
public:
    Builder(const TraceDrawing& what, const SheetUse& sheet, For whom)
        : m(what), m_sheet(sheet), m_for(whom), m_style(styleFor(whom)) {}
    TracedSheet build();

private:
    [[nodiscard]] bool isPaper() const { return m_for == For::paper; }
    void area();
    void offCuts();
    void chunk(const Chunk& chunk);
    void piece(const Traced& traced, const Piece& piece, const shape::Outline& outline);
    [[nodiscard]] Pen penFor(const Piece& piece) const;
    void grain(const Traced& traced, const Piece& piece, Point at);
    void number(const Piece& piece, const Region& whole, const Region& shown, const shape::Deepest& spot);
    void numberInMargin(PieceId piece, const Region& region);
    void pin(const shape::Deepest& spot);
    void endOfRoll();
    [[nodiscard]] const Chunk* chunkOf(PieceId piece) const;
    [[nodiscard]] Region withoutWindow(PieceId piece, Region region) const;
    [[nodiscard]] std::vector<std::pair<const Traced*, const shape::Outline*>> placements() const;

    const TraceDrawing& m;
    const SheetUse& m_sheet;
    For m_for;
    const Style& m_style;
    TracedSheet m_out{{"web", {}, {}, {}}, {"lines", {}, {}, {}}, {"numbers", {}, {}, {}}, {}};
    std::vector<Region> m_numbers; ///< where those in the margin stand
};

/// The web itself. On paper nothing is painted: its edge matters where it is an off-cut's.
void Builder::area() {
    if (isPaper()) return;
    auto area = m_sheet.area;
    if (m_sheet.roll) { // a little more of it, so that the cut shows
        auto box = area.bounds();
        constexpr double beyond = 15; // mm
        box.bottom += beyond;
        area = shape::rectangle(box);
    }
    m_out.box = area.bounds();
    m_out.web.items.push_back(sheet::Shape{sheet::contoursOf(area), webPaper,
                                           Pen{slate, m_sheet.from.outline.empty() ? 0 : 0.4, Dash::solid}});
}

/// What is left: the part worth keeping, and the rest as waste.
void Builder::offCuts() {
    if (isPaper()) return;
    m_out.web.items.push_back(sheet::Shape{sheet::contoursOf(m_sheet.area), waste, std::nullopt});
    for (const auto& part : m_sheet.offCuts) {
        ++m_out.worth;
        m_out.web.items.push_back(sheet::Shape{sheet::contoursOf(part), keeps, Pen{moss, 0.4, Dash::dotted}});
        if (m_for == For::small || m_sheet.from.putAway) continue;
        const auto spot = shape::deepestPoint(part, 1.0);
        if (spot.depth < 16) continue;
        const double high = std::min(spot.depth * 0.3, 12.0);
        m_out.lines.items.push_back(sheet::Words{
            words::tr("to keep"), {spot.at.x, spot.at.y + high / 3}, high, moss, sheet::Align::centre, true});
    }
}

void Builder::chunk(const Chunk& chunk) {
    auto& items = m_out.web.items;
    if (isPaper()) {
        items.push_back(sheet::Shape{sheet::contoursOf(chunk.roughCut), std::nullopt, m_style.rough});
        for (const auto& [piece, window] : chunk.windows)
            items.push_back(sheet::Shape{sheet::contoursOf(window), std::nullopt, m_style.rough});
        m_out.box.take(chunk.roughCut.bounds());
        return;
    }
    Region cut = chunk.roughCut;
    for (const auto& [id, window] : chunk.windows)
        cut = shape::subtract(cut, window);
    items.push_back(sheet::Shape{sheet::contoursOf(cut), webPaper, std::nullopt});
    items.push_back(
        sheet::Shape{sheet::contoursOf(cut), clothOf(m.quilt, chunk.fabric), m_style.rough, {}, 0.22});
}

const Chunk* Builder::chunkOf(PieceId piece) const {
    for (const auto& chunk : m.plan.chunks)
        if (std::find(chunk.pieces.begin(), chunk.pieces.end(), piece) != chunk.pieces.end()) return &chunk;
    return nullptr;
}

/// The number stands on what stays of the web.
Region Builder::withoutWindow(PieceId piece, Region region) const {
    for (const auto& chunk : m.plan.chunks)
        for (const auto& [host, window] : chunk.windows)
            if (host == piece) return shape::subtract(region, window);
    return region;
}

Pen Builder::penFor(const Piece& piece) const {
    if (isPaper()) return m_style.line;
    const bool wrong =
        m.tooClose && std::any_of(m.tooClose->begin(), m.tooClose->end(), [&](const plan::TooClose& pair) {
            return pair.piece == piece.id || pair.other == piece.id;
        });
    if (wrong) return {rust, 1.2, Dash::dotted};
    if (piece.id == m.chosen) return {brass, 1.2};
    if (piece.work.step != quilt::Step::toTrace) return {moss, 0.9};
    return m_style.line;
}

/// An arrow the way a print's stripes are to run.
void Builder::grain(const Traced& traced, const Piece& piece, Point at) {
    const auto* fabric = find(m.quilt.fabrics, piece.fabric);
    if (!fabric || fabric->print == quilt::Print::plain || !piece.grain) return;
    const auto turn = measure::Angle::ofDegrees(180 - piece.grain->degrees() + traced.turn.degrees());
    const Point way = Point{std::cos(turn.radians()), std::sin(turn.radians())} * m_style.reach;
    m_out.lines.items.push_back(sheet::arrow(at - way, at + way, m_style.barb,
                                             fabric->print == quilt::Print::striped, m_style.grain));
}

void Builder::number(const Piece& piece, const Region& whole, const Region& shown,
                     const shape::Deepest& spot) {
    const auto label = quilt::labelOf(m.block, piece.id);
    if (isPaper()) {
        addLabel(m_out.numbers.items, shown, label, fabricName(m.quilt, piece.fabric));
        numberInMargin(piece.id, whole);
        return;
    }
    m_out.numbers.items.push_back(
        sheet::Flag{label, spot.at, true, clothOf(m.quilt, piece.fabric), spot.depth * 2, piece.id});
}

/// The number again outside the line, on what stays on when the chunk is rough cut: where there is most room
/// between this line, its neighbours and the scissors.
void Builder::numberInMargin(PieceId piece, const Region& region) {
    const auto* chunk = chunkOf(piece);
    if (!chunk) return;
    constexpr double clear = 0.6; // mm to any line
    std::vector<Region> taken;
    for (const auto& [id, outline] : m.plan.lines)
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
    m_out.numbers.items.push_back(sheet::Words{quilt::labelOf(m.block, piece),
                                               {spot.at.x, spot.at.y + height * 0.35},
                                               height,
                                               quiet,
                                               sheet::Align::centre,
                                               true});
}

void Builder::pin(const shape::Deepest& spot) {
    const Point at = spot.at + Point{0, -std::min(spot.depth, 7.0)};
    const shape::Ring head{at + Point{-1.6, -1.6}, at + Point{1.6, -1.6}, at + Point{0, 2.6}};
    m_out.lines.items.push_back(sheet::Shape{{shape::contourThrough(head)}, brass, Pen{ink, 0.3}});
}

void Builder::piece(const Traced& traced, const Piece& piece, const shape::Outline& outline) {
    const bool done = piece.work.step != quilt::Step::toTrace;
    ++m_out.pieces, m_out.traced += done ? 1 : 0;
    auto& items = m_out.lines.items;
    items.push_back(sheet::Shape{sheet::contoursOf(outline), std::nullopt, penFor(piece), piece.id});
    if (m_for == For::small) return;
    const auto onSheet = quilt::onSheet(traced) * shape::Transform::mirrorAcross(0);
    addMarks(items, piece, onSheet, m_style.marks);
    addDotted(items, piece, onSheet, m_style);
    const Region whole = shape::regionOf(outline), shown = withoutWindow(piece.id, whole);
    const auto spot = shape::deepestPoint(shown, 1.0);
    number(piece, whole, shown, spot);
    grain(traced, piece, spot.at);
    if (traced.pinned && !done && !isPaper()) pin(spot);
}

void Builder::endOfRoll() {
    if (!m_sheet.roll || m_for != For::screen || m_sheet.from.putAway) return;
    const double y = m_sheet.used.mm(), width = m_sheet.area.bounds().right;
    m_out.lines.items.push_back(sheet::line({0, y}, {width, y}, {rust, 0.5, Dash::dashed}));
    m_out.lines.items.push_back(sheet::Words{
        words::filled(words::tr("cut the roll here: {0}"), {measure::say(m_sheet.used, m.quilt.units)}),
        {width - 3, y + 12.5},
        6,
        rust,
        sheet::Align::right,
        true});
}

/// The largest first: what lies in a window is on top, to be seen and clicked.
std::vector<std::pair<const Traced*, const shape::Outline*>> Builder::placements() const {
    std::vector<std::pair<const Traced*, const shape::Outline*>> out;
    for (const auto& [id, outline] : m.plan.lines)
        for (const auto& traced : m.layout.traced)
            if (traced.piece == id && traced.sheet == m_sheet.number) out.emplace_back(&traced, &outline);
    const auto size = [](const auto& entry) {
        const auto box = boundsOf(*entry.second);
        return box.width() * box.height();
    };
    std::stable_sort(out.begin(), out.end(), [&](const auto& a, const auto& b) { return size(a) > size(b); });
    return out;
}

TracedSheet Builder::build() {
    area();
    offCuts();
    for (const auto& each : m.plan.chunks)
        if (each.sheet == m_sheet.number) chunk(each);
    for (const auto& [traced, outline] : placements())
        piece(*traced, the(m.block.pieces, traced->piece), *outline);
    endOfRoll();
    if (!isPaper()) m_out.web.clip = m_out.box;
    return std::move(m_out);
}

} // namespace

TracedSheet tracedSheet(const TraceDrawing& drawing, const SheetUse& sheet, For whom) {
    return Builder(drawing, sheet, whom).build();
}

int numberOf(const plan::TracePlan& plan, const SheetUse& sheet) {
    int number = 1;
    for (const auto& other : plan.sheets)
        if (other.number < sheet.number && (other.from.outline.empty() == sheet.from.outline.empty()))
            ++number;
    return number;
}

std::string nameOf(const TraceDrawing& drawing, const SheetUse& sheet) {
    const int number = numberOf(drawing.plan, sheet);
    const auto digits = std::to_string(number);
    if (!sheet.from.outline.empty()) return words::filled(words::tr("Off-cut {0}"), {digits});
    if (!sheet.roll) return words::filled(words::tr("Sheet {0}"), {digits});
    const auto* web = find(drawing.quilt.webs, drawing.layout.web);
    const std::string name = web ? web->name : words::tr("Web");
    return number > 1 ? words::filled(words::tr("{0}, again"), {name}) : name;
}

} // namespace up::drawn
