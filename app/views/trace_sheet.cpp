// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/views/trace_sheet.hpp"

#include "app/look/look.hpp"
#include "app/views/pieces.hpp"
#include "core/shape/deepest.hpp"

#include <algorithm>
#include <cmath>

namespace up::app {
namespace {

using plan::Chunk;
using plan::SheetUse;
using quilt::Piece;
using shape::Point;
using sheet::Dash;
using sheet::Layer;
using sheet::Pen;

constexpr Colour waste{0xD8, 0xD2, 0xC0}, keeps{0xE3, 0xEC, 0xDC};

class Drawn {
public:
    Drawn(const TraceDrawing& what, const SheetUse& sheet) : m(what), m_sheet(sheet) {}
    Panel panel();

private:
    void paper();
    void offCuts();
    void chunk(const Chunk& chunk);
    void piece(const quilt::Traced& traced, const Piece& piece, const shape::Outline& outline);
    void grain(const quilt::Traced& traced, const Piece& piece, Point at);
    void endOfRoll();
    [[nodiscard]] std::vector<std::pair<const quilt::Traced*, const shape::Outline*>> placements() const;
    /// The number stands on what stays of the web.
    [[nodiscard]] shape::Region withoutWindow(PieceId piece, shape::Region region) const {
        for (const auto& chunk : m.plan.chunks)
            for (const auto& [host, window] : chunk.windows)
                if (host == piece) return shape::subtract(region, window);
        return region;
    }
    [[nodiscard]] bool isTooClose(PieceId piece) const {
        return std::any_of(m.tooClose.begin(), m.tooClose.end(), [&](const plan::TooClose& pair) {
            return pair.piece == piece || pair.other == piece;
        });
    }
    [[nodiscard]] std::string below() const;

    const TraceDrawing& m;
    const SheetUse& m_sheet;
    Panel m_panel;
    Layer m_paper{"paper", {}, {}, {}}, m_lines{"lines", {}, {}, {}}, m_flags{"flags", {}, {}, {}};
    int m_traced = 0, m_pieces = 0;
    std::size_t m_worth = 0; ///< off-cuts worth keeping
};

void Drawn::paper() {
    auto area = m_sheet.area;
    if (m_sheet.roll) { // a little more of it, so that the cut shows
        auto box = area.bounds();
        constexpr double beyond = 15; // mm
        box.bottom += beyond;
        area = shape::rectangle(box);
    }
    m_panel.box = area.bounds();
    m_paper.items.push_back(
        sheet::Shape{sheet::contoursOf(area), look::webPaper,
                     Pen{look::slate, m_sheet.from.outline.empty() ? 0 : 0.4, Dash::solid}});
}

/// What is left: the part worth keeping, and the rest as waste.
void Drawn::offCuts() {
    m_paper.items.push_back(sheet::Shape{sheet::contoursOf(m_sheet.area), waste, std::nullopt});
    for (const auto& part : m_sheet.offCuts) {
        ++m_worth;
        m_paper.items.push_back(
            sheet::Shape{sheet::contoursOf(part), keeps, Pen{look::moss, 0.4, Dash::dotted}});
        if (m.small || m_sheet.from.putAway) continue;
        const auto spot = shape::deepestPoint(part, 1.0);
        if (spot.depth < 16) continue;
        const double high = std::min(spot.depth * 0.3, 12.0);
        m_lines.items.push_back(sheet::Words{
            "to keep", {spot.at.x, spot.at.y + high / 3}, high, look::moss, sheet::Align::centre, true});
    }
}

void Drawn::chunk(const Chunk& chunk) {
    const Colour cloth = colourOf(m.quilt, chunk.fabric);
    shape::Region cut = chunk.roughCut;
    for (const auto& [id, window] : chunk.windows)
        cut = shape::subtract(cut, window);
    m_paper.items.push_back(sheet::Shape{sheet::contoursOf(cut), look::webPaper, std::nullopt});
    m_paper.items.push_back(
        sheet::Shape{sheet::contoursOf(cut), cloth, Pen{look::slate, 0.3, Dash::dashed}, {}, 0.22});
}

/// An arrow the way the stripes run.
void Drawn::grain(const quilt::Traced& traced, const Piece& piece, Point at) {
    const auto* fabric = find(m.quilt.fabrics, piece.fabric);
    if (!fabric || fabric->print == quilt::Print::plain || !piece.grain) return;
    const double degrees = 180 - piece.grain->degrees() + traced.turn.degrees();
    const double a = measure::Angle::ofDegrees(degrees).radians();
    const Point way{std::cos(a), std::sin(a)}, side{-way.y, way.x};
    constexpr double reach = 15; // mm: past the flag
    const Point tip = at + way * reach, tail = at - way * reach;
    const Pen pen{look::ochre, 0.7, Dash::solid};
    m_lines.items.push_back(sheet::line(tail, tip, pen));
    for (const auto& [end, back] : {std::pair{tip, -2.5}, std::pair{tail, 2.5}}) {
        if (back > 0 && fabric->print == quilt::Print::oneWay) continue;
        m_lines.items.push_back(sheet::line(end, end + way * back + side * 1.8, pen));
        m_lines.items.push_back(sheet::line(end, end + way * back - side * 1.8, pen));
    }
}

void Drawn::piece(const quilt::Traced& traced, const Piece& piece, const shape::Outline& outline) {
    const bool done = piece.work.step != quilt::Step::toTrace, chosen = piece.id == m.chosen;
    const bool wrong = isTooClose(piece.id);
    ++m_pieces, m_traced += done ? 1 : 0;
    const Colour colour = wrong ? look::rust : chosen ? look::brass : done ? look::moss : look::pencil;
    const Pen pen{colour, wrong || chosen ? 1.2 : done ? 0.9 : 0.5, wrong ? Dash::dotted : Dash::solid};
    m_lines.items.push_back(sheet::Shape{sheet::contoursOf(outline), std::nullopt, pen, piece.id});
    if (m.small) return;
    addMarks(m_lines, piece, quilt::onSheet(traced) * shape::Transform::mirrorAcross(0), look::slate);
    addDotted(m_lines, piece, quilt::onSheet(traced) * shape::Transform::mirrorAcross(0), look::webPaper);
    const auto spot = shape::deepestPoint(withoutWindow(piece.id, shape::regionOf(outline)), 1.0);
    grain(traced, piece, spot.at);
    m_flags.items.push_back(sheet::Flag{quilt::labelOf(m.block, piece.id), spot.at, true,
                                        colourOf(m.quilt, piece.fabric), spot.depth * 2, piece.id});
    if (traced.pinned && !done) {
        const Point pin = spot.at + Point{0, -std::min(spot.depth, 7.0)};
        m_lines.items.push_back(
            sheet::Shape{{shape::contourThrough(shape::Ring{pin + Point{-1.6, -1.6}, pin + Point{1.6, -1.6},
                                                            pin + Point{0, 2.6}})},
                         look::brass,
                         Pen{look::ink, 0.3, Dash::solid}});
    }
}

void Drawn::endOfRoll() {
    if (!m_sheet.roll || m.small || m_sheet.from.putAway) return;
    const double y = m_sheet.used.mm(), width = m_sheet.area.bounds().right;
    m_lines.items.push_back(sheet::line({0, y}, {width, y}, {look::rust, 0.5, Dash::dashed}));
    m_lines.items.push_back(sheet::Words{"cut the roll here: " + say(m.quilt, m_sheet.used),
                                         {width - 3, y + 12.5},
                                         6,
                                         look::rust,
                                         sheet::Align::right,
                                         true});
}

std::string Drawn::below() const {
    if (m_sheet.from.putAway) return "rough cut; what was left is in the stash";
    std::string out;
    if (m_traced > 0) out = std::to_string(m_traced) + " of " + std::to_string(m_pieces) + " traced · ";
    const double all = m_sheet.area.area();
    out +=
        std::to_string(static_cast<int>(std::lround(100 * m_sheet.taken / std::max(all, 1.0)))) + " % used";
    if (m_worth > 0)
        out +=
            m_worth == 1 ? " · one off-cut to keep" : " · " + std::to_string(m_worth) + " off-cuts to keep";
    return out;
}

/// The largest first: what lies in a window is on top, to be seen and clicked.
std::vector<std::pair<const quilt::Traced*, const shape::Outline*>> Drawn::placements() const {
    std::vector<std::pair<const quilt::Traced*, const shape::Outline*>> out;
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

Panel Drawn::panel() {
    m_panel.side = Side::paper;
    m_panel.caption = nameOf(m, m_sheet);
    paper();
    offCuts();
    for (const auto& each : m.plan.chunks)
        if (each.sheet == m_sheet.number) chunk(each);
    for (const auto& [traced, outline] : placements())
        piece(*traced, the(m.block.pieces, traced->piece), *outline);
    endOfRoll();
    if (!m.small) m_panel.below = below();
    m_panel.done = m_pieces > 0 && m_traced == m_pieces;
    m_paper.clip = m_panel.box;
    m_panel.layers = {std::move(m_paper), std::move(m_lines), std::move(m_flags)};
    return std::move(m_panel);
}

} // namespace

std::string nameOf(const TraceDrawing& drawing, const SheetUse& sheet) {
    const auto* web = find(drawing.quilt.webs, drawing.layout.web);
    int number = 1;
    for (const auto& other : drawing.plan.sheets)
        if (other.number < sheet.number && (other.from.outline.empty() == sheet.from.outline.empty()))
            ++number;
    if (!sheet.from.outline.empty()) return "Off-cut " + std::to_string(number);
    if (sheet.roll) return (web ? web->name : "Web") + (number > 1 ? ", again" : "");
    return "Sheet " + std::to_string(number);
}

Panel sheetPanel(const TraceDrawing& drawing, const SheetUse& sheet) {
    return Drawn(drawing, sheet).panel();
}

} // namespace up::app
