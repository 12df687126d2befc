// SPDX-License-Identifier: GPL-3.0-or-later
// How pieces lie on each other: knots, units, slivers, and how far lower ones reach under.
#include "core/plan/check/looking.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using check::Fine;
using check::Fix;
using check::Kind;
using measure::Length;

constexpr double coincides = 0.4; // mm: edges that near are one to the eye

bool areSettled(const Looking& look, std::size_t i, std::size_t j) {
    return look.isFused(i) && look.isFused(j);
}

void knots(Looking& look) {
    for (const auto& knot : look.plan.stack.knots) {
        std::vector<PieceId> pieces;
        for (const std::size_t i : knot)
            pieces.push_back(look.piece(i).id);
        auto& finding = look.add(Kind::interwoven, knot.front(), {}, {Fix::untie});
        finding.args = {pieces};
    }
}

/// Pieces of one unit that do not stand next to each other.
void units(Looking& look) {
    std::vector<int> seen;
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const int unit = look.piece(i).unit;
        if (unit == 0 || (i > 0 && look.piece(i - 1).unit == unit)) continue;
        if (std::find(seen.begin(), seen.end(), unit) != seen.end())
            look.add(Kind::unitBroken, i, {}, {Fix::noUnit});
        seen.push_back(unit);
    }
}

std::vector<Fix> answersTo(const Looking& look, std::size_t lower, const stack::Peek& peek) {
    std::vector<Fix> fixes;
    if (!look.isFused(lower)) fixes.push_back(Fix::trimLower);
    if (look.isFused(peek.upper)) return fixes;
    fixes.push_back(Fix::widenUpper);
    if (!look.piece(peek.upper).locked && stack::nudge(look.plan.regions[peek.upper], peek))
        fixes.push_back(Fix::nudgeUpper);
    return fixes;
}

void slivers(Looking& look, std::size_t lower) {
    for (const auto& peek : look.doubts.peeks[lower]) {
        if (areSettled(look, lower, peek.upper) || look.isLining(peek.upper)) continue;
        const auto wide = peek.distance < coincides ? Length() : Length::ofMm(peek.distance);
        auto& finding = look.addPair(peek.shows ? Kind::peeks : Kind::nearlyPeeks, lower, peek.upper,
                                     {Fine{wide}, Length::ofMm(peek.length)}, answersTo(look, lower, peek));
        finding.spot = peek.spot;
        finding.where = peek.where;
        finding.weight = peek.length;
    }
}

void borders(Looking& look, std::size_t lower) {
    for (const auto& border : look.doubts.shorts[lower]) {
        if (areSettled(look, border.lower, border.upper) || look.isLining(border.upper)) continue;
        std::vector<Fix> fixes;
        if (!look.isFused(border.lower)) fixes.push_back(Fix::tuck);
        const auto reaches = Length::ofMm(std::max(border.least, 0.0));
        auto& finding = look.addPair(Kind::reachesTooShort, border.lower, border.upper,
                                     {Fine{reaches}, Length::ofMm(border.wanted)}, std::move(fixes));
        finding.spot = border.spot;
        finding.weight = border.wanted - border.least;
    }
}

} // namespace

void checkStack(Looking& look) {
    knots(look);
    units(look);
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        slivers(look, i);
        borders(look, i);
    }
}

} // namespace up::plan
