// SPDX-License-Identifier: GPL-3.0-or-later
// Each piece against the block's edges, and what shows of it.
#include "core/plan/check/looking.hpp"

#include <algorithm>
#include <array>

namespace up::plan {
namespace {

using check::Fix;
using check::Kind;
using measure::Length;

constexpr double leastDotted = 5; // mm: the ends of a dotted line lie on edges that show
constexpr double tolerated = 0.1; // mm: flattening and drawing noise

/// Stretches of edges, added up.
struct Along {
    double length = 0;
    std::optional<shape::Point> spot; ///< the middle of the first
    void add(const shape::Polyline& part) {
        length += shape::lengthOf(part);
        if (!spot) spot = shape::pointAlong(part, shape::lengthOf(part) / 2);
    }
};

void finishedEdge(Looking& look, std::size_t i) {
    const auto box = look.plan.regions[i].bounds();
    if (box.isEmpty()) return;
    const double width = look.block.width.mm(), height = look.block.height.mm();
    const std::array over{-box.left, -box.top, box.right - width, box.bottom - height};
    const double most = *std::max_element(over.begin(), over.end());
    if (!look.piece(i).runsOff && most > tolerated) {
        std::vector<Fix> fixes{Fix::markRunsOff};
        if (moveInside(look.block, look.plan.regions[i])) fixes.insert(fixes.begin(), Fix::moveInside);
        look.add(Kind::outsideFinished, i, {Length::ofMm(most)}, fixes).weight = most;
    }
    if (!look.piece(i).runsOff) return;
    const double seam = quilt::seamAllowance.mm();
    for (const double by : over)
        if (by > tolerated && by < seam - tolerated) {
            look.add(Kind::runsOffTooShort, i, {Length::ofMm(seam - by)}, {Fix::carryOn}).weight = seam - by;
            return;
        }
}

/// An edge that stops in the finished line will show as a gap, or as a thread of the piece, once sewn.
void seamLine(Looking& look, std::size_t i) {
    if (look.piece(i).runsOff || look.isFused(i) || look.isLining(i) || look.plan.visible[i].isEmpty())
        return;
    const auto finished = quilt::finishedBox(look.block);
    const auto line = shape::offset(shape::rectangle(finished), -seamLineNear.mm());
    Along along;
    for (const auto& edge : look.plan.visibleEdges[i])
        for (const auto& part : shape::outside(edge, line))
            along.add(part);
    const auto box = look.plan.regions[i].bounds();
    const auto all = finished.grownBy(seamLineNear.mm());
    if (along.length < stack::leastPeek || !all.holds({box.left, box.top}) ||
        !all.holds({box.right, box.bottom}))
        return;
    auto& finding = look.add(Kind::inTheSeamLine, i, {}, {Fix::carryOn});
    finding.spot = along.spot;
    finding.weight = along.length;
}

void hidden(Looking& look, std::size_t i) {
    if (!look.isLining(i) && look.plan.visible[i].area() < stack::leastOverlap)
        look.add(Kind::hiddenWholly, i, {}, {Fix::leaveOut, Fix::bringUp});
}

/// Within the finished block; what runs off lies in the seam.
void dotted(Looking& look, std::size_t i) {
    if (look.piece(i).dotted->empty()) return;
    const auto within = shape::rectangle(quilt::finishedBox(look.block).grownBy(-tolerated));
    const auto where = shape::intersect(alongDotted(look.piece(i)), within);
    Along shows;
    for (const auto& edge : look.plan.visibleEdges[i])
        for (const auto& part : shape::inside(edge, where))
            shows.add(part);
    if (shows.length <= leastDotted) return;
    auto& finding = look.add(Kind::dottedShows, i, {Length::ofMm(shows.length)});
    finding.spot = shows.spot;
    finding.weight = shows.length;
}

} // namespace

void checkEdges(Looking& look) {
    if (look.block.pieces.empty()) look.addOfBlock(Kind::noPieces, {look.block.id}).fixes.clear();
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        finishedEdge(look, i);
        seamLine(look, i);
        hidden(look, i);
        dotted(look, i);
    }
}

std::optional<shape::Point> moveInside(const quilt::Block& block, const shape::Region& piece) {
    const auto box = piece.bounds();
    if (box.width() > block.width.mm() || box.height() > block.height.mm()) return std::nullopt;
    const auto shift = [](double low, double high, double room) {
        return low < 0 ? -low : high > room ? room - high : 0;
    };
    return shape::Point{shift(box.left, box.right, block.width.mm()),
                        shift(box.top, box.bottom, block.height.mm())};
}

} // namespace up::plan
