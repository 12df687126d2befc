// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/lay/snap.hpp"

#include <array>
#include <cmath>

namespace up::plan {
namespace {

/// The least way from one of the places to one of the lines; 0 when none is within reach.
double way(const std::array<double, 3>& places, const std::vector<double>& lines) {
    double best = snapReach.mm() + 1e-9, out = 0;
    for (const double line : lines)
        for (const double place : places)
            if (std::abs(line - place) < best) best = std::abs(line - place), out = line - place;
    return out;
}

} // namespace

std::optional<shape::Point> snapBy(const shape::Region& piece, const GroundPlan& ground) {
    if (piece.isEmpty()) return std::nullopt;
    std::vector<double> upright, level;
    for (const auto& [a, b] : ground.creases) {
        if (a.x == b.x) upright.push_back(a.x);
        if (a.y == b.y) level.push_back(a.y);
    }
    const auto box = piece.bounds();
    const auto middle = box.centre();
    const shape::Point by{way({middle.x, box.left, box.right}, upright),
                          way({middle.y, box.top, box.bottom}, level)};
    constexpr double nothing = 1e-4; // mm
    if (std::abs(by.x) < nothing && std::abs(by.y) < nothing) return std::nullopt;
    return by;
}

} // namespace up::plan
