// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/press/heat.hpp"

#include "core/base/job.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace up::press {
namespace {

constexpr double narrow = 0.05; // mm: half the width of what is left out

/// Seconds are the same when they are to a thousandth.
long keyOf(double seconds) {
    return std::lround(seconds * 1000);
}

} // namespace

std::vector<HeatedPart> heatedParts(const shape::Region& piece, const std::vector<Heating>& heatings) {
    std::map<long, shape::Region> parts{{0, piece}};
    for (const auto& heating : heatings) {
        if (!heating.where.bounds().meets(piece.bounds())) continue;
        breathe();
        std::map<long, shape::Region> next;
        const auto add = [&](long seconds, shape::Region part) {
            if (part.isEmpty()) return;
            auto& there = next[seconds];
            there = there.isEmpty() ? std::move(part) : shape::unite(there, part);
        };
        for (const auto& [seconds, part] : parts) {
            add(seconds, shape::subtract(part, heating.where));
            add(seconds + keyOf(heating.seconds), shape::intersect(part, heating.where));
        }
        parts = std::move(next);
    }
    std::vector<HeatedPart> out, slight;
    for (auto& [seconds, part] : parts) {
        const bool counts = !shape::offset(part, -narrow).isEmpty();
        (counts ? out : slight).push_back({std::move(part), static_cast<double>(seconds) / 1000});
    }
    return out.empty() ? slight : out; // a piece that is so narrow all over
}

Heat heatOf(const shape::Region& piece, const std::vector<Heating>& heatings) {
    const auto parts = heatedParts(piece, heatings);
    return parts.empty() ? Heat{} : Heat{parts.front().seconds, parts.back().seconds};
}

} // namespace up::press
