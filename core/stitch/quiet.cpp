// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/quiet.hpp"

#include "core/shape/along.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::stitch {

using shape::Along;
using shape::Point;
using shape::Polyline;

double quietStart(const Polyline& closed) {
    const Along along(closed);
    const double turning = shape::signedArea({closed.begin(), closed.end() - 1}) < 0 ? -1 : 1;
    constexpr double least = 30, arm = 1.0; // degrees; mm looked along to either side
    struct Corner {
        double at, turn;
    };
    std::vector<Corner> corners;
    double at = 0;
    for (std::size_t i = 0; i + 1 < closed.size(); at += shape::distance(closed[i], closed[i + 1]), ++i) {
        const Point in = along.pointRound(at) - along.pointRound(at - arm);
        const Point out = along.pointRound(at + arm) - along.pointRound(at);
        const double turn = turning * std::atan2(in.x * out.y - in.y * out.x, in.x * out.x + in.y * out.y) *
                            180 / std::numbers::pi;
        if (std::abs(turn) >= least) corners.push_back({at, turn});
    }
    if (corners.empty()) return 0;
    const auto inner = std::min_element(corners.begin(), corners.end(),
                                        [](const Corner& a, const Corner& b) { return a.turn < b.turn; });
    if (inner->turn < 0) return inner->at;
    Corner longest{0, -1}; // its middle, its length
    for (std::size_t i = 0; i < corners.size(); ++i) {
        const double next = i + 1 < corners.size() ? corners[i + 1].at : corners.front().at + along.length();
        if (next - corners[i].at > longest.turn) longest = {(corners[i].at + next) / 2, next - corners[i].at};
    }
    return std::fmod(longest.at, along.length());
}

} // namespace up::stitch
