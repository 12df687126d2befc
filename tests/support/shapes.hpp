// SPDX-License-Identifier: GPL-3.0-or-later
// Shapes and quilts for tests.
#pragma once

#include "core/base/random.hpp"
#include "core/edit/edits.hpp"
#include "core/shape/region.hpp"

namespace up::test {

/// The answer, or the end of the test.
template<class T> T must(Result<T> result) {
    if (!result)
        throw std::runtime_error("unexpected error " + std::to_string(static_cast<int>(result.error().code)));
    return std::move(*result);
}

[[nodiscard]] shape::Ring square(double left, double top, double side);
[[nodiscard]] shape::Region squareRegion(double left, double top, double side);
/// Four quarter arcs; the usual cubic approximation, 0.03 % off the true circle.
[[nodiscard]] shape::Contour circle(shape::Point centre, double radius);

/// A star-shaped ring without crossings round a random centre, 5 to 40 points, 5 to 60 mm.
[[nodiscard]] shape::Ring randomStar(Random& random);
/// Points anywhere: crosses itself nearly always.
[[nodiscard]] shape::Ring randomScribble(Random& random);

struct Drawn {
    std::string name;
    shape::Ring ring;
    Colour colour{};
    bool marked = false; ///< with one inner mark
};

/// Stars and squares here and there on a 9 in page, some of them over its edges when they may; of so many colours.
[[nodiscard]] std::vector<Drawn> scattered(Random& random, std::size_t count, std::size_t colours,
                                           bool overTheEdge);

/// A drawing of a 9 in page.
[[nodiscard]] quilt::Drawing drawingOf(const std::vector<Drawn>& shapes);
/// A quilt with one 9 in block "Test" of these pieces, bottom first.
[[nodiscard]] quilt::Quilt quiltOf(const std::vector<Drawn>& shapes);
/// Two squares, the second on the first, and a third apart, in two colours.
[[nodiscard]] quilt::Quilt smallQuilt();

} // namespace up::test
