// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/fit/unit.hpp"

#include <algorithm>
#include <cmath>

namespace up::fit {
namespace {

Length toNextEighth(double inches) {
    constexpr double slack = 1e-9; // what is exact stays so
    return Length::ofInches(static_cast<std::int64_t>(std::ceil(inches * 8 - slack)), 8);
}

} // namespace

Unit unitOf(const UnitJob& job) {
    const auto& order = job.order;
    const auto isOn = [&](Side side) { return std::find(order.begin(), order.end(), side) != order.end(); };
    const auto block = Extent{job.cut.wide - job.seam * 2, job.cut.high - job.seam * 2}; // as it will be seen
    Unit out;
    out.lacking = {job.place.wide - block.wide, job.place.high - block.high};
    auto raw = job.cut;
    out.finished = block;
    const Extent lacks = out.lacking;
    for (const auto side : order) {
        const bool across = isUpright(side);
        const Length lack = across ? lacks.wide : lacks.high;
        const Length half = Length::ofNanometres(lack.nanometres() / 2);
        const bool isFirst = side == Side::top || side == Side::left;
        Strip strip;
        strip.side = side;
        strip.more = !isOn(facing(side)) ? lack : isFirst ? half : lack - half;
        strip.finished = job.planned[static_cast<std::size_t>(side)] + strip.more;
        strip.cutWide = strip.finished + job.seam + usualSeam;
        strip.cutLong = across ? raw.high : raw.wide;
        (across ? raw.wide : raw.high) = (across ? raw.wide : raw.high) + strip.cutWide - job.seam * 2;
        (across ? out.finished.wide : out.finished.high) =
            (across ? out.finished.wide : out.finished.high) + strip.finished;
        (across ? out.lacking.wide : out.lacking.high) = Length();
        out.strips.push_back(strip);
    }
    return out;
}

Length sideTriangleSquare(Length finished) {
    return toNextEighth(finished.inches() * std::sqrt(2.0) + 1.25);
}

Length cornerTriangleSquare(Length finished) {
    return toNextEighth(finished.inches() / std::sqrt(2.0) + 0.875);
}

} // namespace up::fit
