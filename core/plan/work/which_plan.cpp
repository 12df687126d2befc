// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/work/which_plan.hpp"

#include "core/base/spoken.hpp"

#include "core/plan/block/block_plan.hpp"
#include "core/shape/likeness.hpp"
#include "core/shape/widths.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::plan {
namespace {

using measure::Angle;
using quilt::Piece;
using shape::Point;

/// Convex corners of the outline: enough to know its box however it is turned.
/// Source: Andrew, "Another efficient algorithm for convex hulls in two dimensions", 1979.
shape::Ring hullOf(shape::Ring points) {
    std::sort(points.begin(), points.end(), [](Point a, Point b) {
        return std::pair{a.x, a.y} < std::pair{b.x, b.y};
    });
    if (points.size() < 3) return points;
    shape::Ring hull;
    const auto take = [&](Point p, std::size_t least) {
        while (hull.size() >= least + 2 && shape::cross(hull[hull.size() - 2], hull.back(), p) <= 0)
            hull.pop_back();
        hull.push_back(p);
    };
    for (const Point p : points)
        take(p, 0);
    const auto lower = hull.size() - 1;
    for (auto p = points.rbegin() + 1; p != points.rend(); ++p)
        take(*p, lower);
    hull.pop_back();
    return hull;
}

shape::Box boxOf(const shape::Ring& hull, Angle turn) {
    const auto by = shape::Transform::turn(turn);
    shape::Box box;
    for (const Point p : hull)
        box.take(by(p));
    return box;
}

/// Turns in which somebody would lay it against a ruler.
std::vector<Angle> attitudes(const Piece& piece, const shape::Ring& hull) {
    std::vector<Angle> out{Angle{}, piece.place.turn};
    double longest = 0, direction = 0, least = 1e18;
    Angle narrowest;
    for (std::size_t i = 0; i < hull.size(); ++i) {
        for (std::size_t j = i + 1; j < hull.size(); ++j)
            if (const double d = shape::distance(hull[i], hull[j]); d > longest)
                longest = d, direction = std::atan2(hull[j].y - hull[i].y, hull[j].x - hull[i].x);
        // The smallest box lies along a side of the hull: Freeman & Shapira, 1975.
        const Point side = hull[(i + 1) % hull.size()] - hull[i];
        const auto turn = Angle::ofRadians(-std::atan2(side.y, side.x));
        const auto box = boxOf(hull, turn);
        if (box.width() * box.height() < least) least = box.width() * box.height(), narrowest = turn;
    }
    out.push_back(Angle::ofRadians(-direction));
    out.push_back(narrowest);
    return out;
}

Candidate bestFit(BlockId block, const Piece& piece, double width, double height) {
    Candidate best{block, piece.id, 1e18, {}, false, 0, 0};
    const auto hull = hullOf(flattened(piece.outline->edge, 0.2));
    for (const Angle lying : attitudes(piece, hull))
        for (const double quarter : {0.0, 90.0}) {
            const auto turn = (lying + Angle::ofDegrees(quarter)).normal();
            const auto box = boxOf(hull, turn);
            const double off = std::max(std::abs(box.width() - width), std::abs(box.height() - height));
            if (off < best.off - 1e-9)
                best.off = off, best.turn = turn, best.width = box.width(), best.height = box.height();
        }
    best.fits = best.off <= std::max(rulerTolerance.mm(), std::max(width, height) / 20);
    return best;
}

/// What one candidate is like.
struct Nature {
    const Piece* piece = nullptr;
    std::string called, fabric;
    shape::Profile profile;
    int holes = 0, points = 0, percent = 0;
    bool ownMirror = false;
};

Nature natureOf(const quilt::Quilt& quilt, const Candidate& candidate) {
    Nature out;
    const auto* block = find(quilt.blocks, candidate.block);
    out.piece = block ? find(block->pieces, candidate.piece) : nullptr;
    if (!out.piece) return out;
    out.called = calledOf(*block, *out.piece);
    const auto* fabric = find(quilt.fabrics, out.piece->fabric);
    out.fabric = fabric ? fabric->name : spoken("no fabric");
    const auto region = shape::regionOf(*out.piece->outline);
    out.profile = shape::Profile(region);
    out.holes = static_cast<int>(out.piece->outline->holes.size());
    for (const auto& corner : shape::widthsOf(region, 2).corners)
        if (corner.opening < std::numbers::pi) ++out.points;
    out.percent = static_cast<int>(
        std::lround(region.area() / std::max(candidate.width * candidate.height, 1e-6) * 100));
    out.ownMirror = shape::mirrorAxis(out.profile, shape::likenessTolerance(out.profile)).has_value();
    return out;
}

enum class Kin : std::uint8_t { other, same, mirrored };

Kin kinOf(const Nature& a, const Nature& b) {
    const auto match = shape::match(a.profile, b.profile, shape::likenessTolerance(a.profile));
    return !match ? Kin::other : match->mirrored ? Kin::mirrored : Kin::same;
}

/// What sets `i` apart from every other that is not of its kind, the plainest first.
std::vector<Fact> factsOf(const std::vector<Nature>& all, std::size_t i) {
    const auto& own = all[i];
    std::vector<Fact> out;
    std::vector<std::size_t> strangers;
    for (std::size_t j = 0; j < all.size(); ++j) {
        if (i == j || !all[j].piece) continue;
        const auto kin = kinOf(own, all[j]);
        if (kin == Kin::mirrored) out.push_back({Trait::mirrorOf, {all[j].called}});
        if (kin == Kin::same && own.fabric == all[j].fabric)
            out.push_back({Trait::sameAs, {all[j].called}});
        else
            strangers.push_back(j);
    }
    const auto differs = [&](auto trait, auto far) {
        return std::any_of(strangers.begin(), strangers.end(),
                           [&](std::size_t j) { return far(trait(own), trait(all[j])); });
    };
    const auto unequal = [](const auto& a, const auto& b) { return a != b; };
    if (differs([](const Nature& n) { return n.fabric; }, unequal))
        out.push_back({Trait::fabric, {own.fabric}});
    if (differs([](const Nature& n) { return n.holes; }, unequal))
        out.push_back({Trait::holes, {std::to_string(own.holes)}});
    if (differs([](const Nature& n) { return n.points; }, unequal))
        out.push_back({Trait::points, {std::to_string(own.points)}});
    if (differs([](const Nature& n) { return n.percent; },
                [](int a, int b) { return std::abs(a - b) >= 10; }))
        out.push_back({Trait::fullness, {std::to_string(own.percent)}});
    if (own.ownMirror && differs([](const Nature& n) { return n.ownMirror; }, unequal))
        out.push_back({Trait::ownMirror, {}});
    return out;
}

} // namespace

std::vector<Candidate> whichPiece(const quilt::Quilt& quilt, BlockId first, double width, double height) {
    std::vector<Candidate> out;
    for (const bool own : {true, false})
        for (const auto& block : quilt.blocks)
            if ((block.id == first) == own)
                for (const auto& piece : block.pieces)
                    out.push_back(bestFit(block.id, piece, width, height));
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) {
        return std::lround(a.off * 10) < std::lround(b.off * 10);
    });
    return out;
}

std::vector<std::vector<Fact>> tellApart(const quilt::Quilt& quilt,
                                         const std::vector<Candidate>& candidates) {
    std::vector<Nature> natures;
    for (const auto& candidate : candidates)
        natures.push_back(natureOf(quilt, candidate));
    std::vector<std::vector<Fact>> out;
    for (std::size_t i = 0; i < natures.size(); ++i)
        out.push_back(natures[i].piece ? factsOf(natures, i) : std::vector<Fact>{});
    return out;
}

} // namespace up::plan
