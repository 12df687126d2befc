// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/line.hpp"

#include "core/quilt/stitches.hpp"

namespace up::quilt {

Length usualLength(LineStitch stitch) {
    switch (stitch) {
    case LineStitch::back: return Length::ofInches(3, 32);
    case LineStitch::stem: return Length::ofInches(3, 16);
    case LineStitch::running: return Length::ofInches(1, 8);
    case LineStitch::machineStraight: return usualLength(StitchKind::straight);
    case LineStitch::machineSatin: return usualLength(StitchKind::satin);
    }
    return {};
}

namespace {
shape::Point middleOfStrokes(const Line& line) {
    shape::Box box;
    for (const auto& stroke : *line.strokes)
        box.take(boundsOf(stroke));
    return box.isEmpty() ? shape::Point{} : box.centre();
}
} // namespace

shape::Point middleOf(const Line& line) {
    return middleOfStrokes(line) + shape::Point{line.place.right.mm(), line.place.down.mm()};
}

shape::Transform placing(const Line& line) {
    const auto middle = middleOfStrokes(line);
    return shape::Transform::moveBy(line.place.right.mm(), line.place.down.mm()) *
           shape::Transform::turnAbout(middle, line.place.turn);
}

std::vector<shape::Contour> placed(const Line& line) {
    std::vector<shape::Contour> out;
    for (const auto& stroke : *line.strokes)
        out.push_back(transformed(stroke, placing(line)));
    return out;
}

} // namespace up::quilt
