// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/repeat.hpp"

namespace up::stitch {
namespace {

/// mm from hole to hole in one repeat, the first of the next one among them.
double wayOf(const Repeat& repeat) {
    double out = 0;
    for (std::size_t i = 1; i < repeat.holes.size(); ++i)
        out += shape::distance(repeat.holes[i - 1], repeat.holes[i]);
    return out + shape::distance(repeat.holes.back(), repeat.holes.front() + shape::Point{repeat.length, 0});
}

} // namespace

Use lockstitchUse(const Repeat& repeat, double thick) {
    const double each = (wayOf(repeat) + static_cast<double>(repeat.holes.size()) * thick) / repeat.length;
    return {each, each};
}

Use handUse(const Repeat& repeat, double thick) {
    return {(wayOf(repeat) + static_cast<double>(repeat.holes.size()) * thick) / repeat.length, 0};
}

} // namespace up::stitch
