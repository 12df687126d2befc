// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/cloth_shape.hpp"

#include "core/base/spoken.hpp"

#include <algorithm>
#include <cmath>

namespace up::quilt {

Result<shape::Region> clothShape(const shape::Rings& rings, const std::string& name) {
    if (const auto at = shape::firstCrossing(rings))
        return failure(Code::clothCrosses, {name}, {0, std::pair{at->x, at->y}});
    const auto region = shape::regionOf(rings);
    constexpr double nothing = 1; // mm²
    if (region.area() < nothing || shape::islands(region).size() != 1)
        return failure(Code::clothNoArea, {name});
    auto out = rings; // point by point as they came, the outer one first
    const auto size = [](const shape::Ring& ring) { return std::abs(shape::signedArea(ring)); };
    std::stable_sort(out.begin(), out.end(), [&](const auto& a, const auto& b) { return size(a) > size(b); });
    for (auto& ring : out)
        if ((shape::signedArea(ring) > 0) != (&ring == &out.front())) std::reverse(ring.begin(), ring.end());
    return shape::Region{std::move(out)};
}

Result<shape::Region> clothShape(measure::Length width, measure::Length height, measure::System units) {
    for (const auto side : {width, height})
        if (!(side >= leastCloth && side <= mostCloth))
            return failure(Code::absurdSize,
                           {spoken("cloth"), measure::say(side, units), measure::say(leastCloth, units),
                            measure::say(mostCloth, units)});
    return shape::rectangle({0, 0, width.mm(), height.mm()});
}

Result<shape::Region> largestShape(const Drawing& drawing, const std::string& file) {
    shape::Region largest;
    for (const auto& drawn : drawing.shapes)
        for (auto& island : shape::islands(shape::regionOf(drawn.outline)))
            if (island.area() > largest.area()) largest = std::move(island);
    if (largest.isEmpty()) return failure(Code::emptyDrawing, {file});
    constexpr double finger = 12; // mm; common practice, no source
    const auto isSmall = [&](const shape::Ring& ring) {
        return shape::signedArea(ring) < 0 &&
               shape::offset(shape::regionOf(shape::Rings{ring}), -finger / 2).isEmpty();
    };
    std::erase_if(largest.rings, isSmall);
    const auto box = largest.bounds();
    return shape::transformed(largest, shape::Transform::moveBy(-box.left, -box.top));
}

} // namespace up::quilt
