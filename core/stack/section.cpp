// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/section.hpp"

#include <algorithm>

namespace up::stack {
namespace {

using shape::Point;

/// Where the line runs into and out of the piece, along it. Holes count: the line leaves the piece there.
std::vector<std::pair<double, double>> stretchesIn(const shape::Region& piece, Point a, Point b) {
    std::vector<std::pair<double, double>> out;
    for (const auto& part : shape::inside({a, b}, piece)) {
        const double s = shape::distance(a, part.front()), t = shape::distance(a, part.back());
        if (std::abs(t - s) >= leastLedge) out.emplace_back(std::min(s, t), std::max(s, t));
    }
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace

std::vector<Ledge> sectionOf(const std::vector<shape::Region>& pieces, const std::vector<std::size_t>& order,
                             Point a, Point b) {
    std::vector<Ledge> out;
    shape::Box line;
    line.take(a), line.take(b);
    for (const std::size_t piece : order) {
        if (pieces[piece].isEmpty() || !pieces[piece].bounds().meets(line)) continue;
        const std::size_t lower = out.size();
        for (const auto& [from, to] : stretchesIn(pieces[piece], a, b)) {
            int level = 0;
            for (std::size_t i = 0; i < lower; ++i)
                if (std::min(to, out[i].to) - std::max(from, out[i].from) >= leastLedge)
                    level = std::max(level, out[i].level + 1);
            out.push_back({piece, from, to, level});
        }
    }
    return out;
}

} // namespace up::stack
