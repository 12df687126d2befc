// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/fit/trimming.hpp"

#include <algorithm>
#include <cmath>

namespace up::fit {
namespace {

Length above(Length length) {
    return std::max(length, Length());
}

/// In whole parts of an inch, none larger or none smaller.
Length downTo(Length length, std::int64_t parts) {
    const auto step = measure::nanometresPerInch / parts;
    const auto nm = length.nanometres();
    return Length::ofNanometres((nm / step - (nm % step < 0 ? 1 : 0)) * step);
}
Length upTo(Length length, std::int64_t parts) {
    return -downTo(-length, parts);
}

Length half(Length length) {
    return Length::ofNanometres(length.nanometres() / 2);
}

} // namespace

Trimming trimmingOf(const Extent& place, const Extent& has) {
    const Extent wanted{place.wide + usualSeam * 2, place.high + usualSeam * 2};
    Trimming out;
    out.trimTo = {std::min(wanted.wide, has.wide), std::min(wanted.high, has.high)};
    out.lacking = {above(wanted.wide - has.wide), above(wanted.high - has.high)};
    out.over = {above(has.wide - wanted.wide), above(has.high - wanted.high)};
    if (!out.isShort()) return out;
    const auto least = std::min(has.wide - place.wide, has.high - place.high);
    if (const auto seam = downTo(half(least), 32); seam >= leastSeam) out.seam = std::min(seam, usualSeam);
    const auto lack = std::max(out.lacking.wide, out.lacking.high);
    const auto width = std::max(leastFrame, upTo(half(lack), 8));
    const Extent inner{wanted.wide - width * 2, wanted.high - width * 2};
    if (inner.wide > usualSeam * 4 && inner.high > usualSeam * 4) // else little of the block is left
        out.frame = Frame{width, width + usualSeam * 2, inner};
    return out;
}

double drawnIn(Length cut, Length has) {
    return cut > Length() ? 1 - has.mm() / cut.mm() : 0;
}

Length oversizeFor(Length size, double share) {
    const auto wanted = size + Length::ofInches(1, 4); // 1/8 in to trim on either side
    return std::max(Length::ofInches(1, 4), upTo(Length::ofMm(wanted.mm() / (1 - share)) - size, 4));
}

} // namespace up::fit
