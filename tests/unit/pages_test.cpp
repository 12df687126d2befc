// SPDX-License-Identifier: GPL-3.0-or-later
// A pattern cut up into pages and joined again is the pattern.
#include "core/shape/cutting.hpp"
#include "intake/found/collector.hpp"
#include "intake/pages/pages.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::intake {
namespace {

using quilt::Drawing;
using shape::Point;
using shape::Transform;
using test::must;

/// Filled shapes over a page of 300 × 200 mm: a disc and a ring across the middle, a bar along it, a leaf
/// beside it.
std::vector<Painted> pattern() {
    const auto painted = [](std::vector<shape::Contour> contours, Colour colour) {
        Painted out;
        out.contours = std::move(contours);
        out.fill = colour;
        out.rule = shape::Fill::evenOdd;
        return out;
    };
    return {painted({test::circle({150, 100}, 70)}, {40, 90, 60}),
            painted({test::circle({150, 100}, 40), test::circle({150, 100}, 25)}, {200, 160, 60}),
            painted({shape::contourThrough({{20, 20}, {280, 30}, {280, 40}, {20, 34}})}, {90, 60, 120}),
            painted({test::circle({40, 160}, 20)}, {160, 40, 40})};
}

/// The part of the pattern that a page shows, as its file would: everything beyond the page is cut off.
Drawing pageAt(Point corner, double width, double height, bool lines = false) {
    auto clip = std::make_shared<Clip>();
    clip->region = shape::rectangle({0, 0, width, height});
    clip->outlines = shape::outlinesOf(clip->region);
    Collector collector;
    collector.setPage(width, height);
    for (auto painted : pattern()) {
        for (auto& contour : painted.contours)
            contour = transformed(contour, Transform::moveBy(-corner.x, -corner.y));
        painted.clip = clip;
        if (!lines) {
            collector.add(std::move(painted));
            continue;
        }
        // Drawn with a thin pen: what leaves the page is an open line.
        for (const auto& contour : painted.contours) {
            auto points = flattened(contour, 0.01);
            points.push_back(points.front());
            for (const auto& part : shape::inside(points, clip->region)) {
                Painted line;
                line.contours = {shape::contourThrough(part)};
                line.contours[0].closed = distance(part.front(), part.back()) < 0.01;
                line.pen = Colour{0, 0, 0};
                line.penWidth = 0.5;
                collector.add(std::move(line));
            }
        }
    }
    return collector.finish().value();
}

std::vector<double> areas(const Drawing& drawing) {
    std::vector<double> out;
    for (const auto& drawn : drawing.shapes)
        out.push_back(shape::regionOf(drawn.outline, 0.01).area());
    std::sort(out.begin(), out.end());
    return out;
}

void expectWhole(const Drawing& joined, bool lines = false) {
    auto whole = areas(pageAt({0, 0}, 300, 200, lines));
    const auto found = areas(joined);
    ASSERT_EQ(found.size(), whole.size());
    for (std::size_t i = 0; i < whole.size(); ++i)
        EXPECT_NEAR(found[i] / whole[i], 1, 0.003);
}

TEST(JoinPages, TwoThatAbut) {
    const auto joined = must(joinPages({pageAt({0, 0}, 150, 200), pageAt({150, 0}, 150, 200)}, {2, 0, 0}));
    EXPECT_NEAR(joined.width, 300, 1e-6);
    expectWhole(joined);
}

TEST(JoinPages, FourThatOverlap) {
    constexpr double w = 160, h = 110, over = 20;
    std::vector<Drawing> pages;
    for (const Point corner : {Point{0, 0}, {140, 0}, {0, 90}, {140, 90}})
        pages.push_back(pageAt(corner, w, h));
    const auto joined = must(joinPages(pages, {2, over, over}));
    EXPECT_NEAR(joined.width, 300, 1e-6);
    EXPECT_NEAR(joined.height, 200, 1e-6);
    expectWhole(joined);
}

TEST(JoinPages, LinesAcrossTheJoinBecomeOne) {
    const auto left = pageAt({0, 0}, 150, 200, true), right = pageAt({150, 0}, 150, 200, true);
    EXPECT_FALSE(left.loose.empty());
    expectWhole(must(joinPages({left, right}, {2, 0, 0})), true);
    const auto wide =
        must(joinPages({pageAt({0, 0}, 165, 200, true), pageAt({135, 0}, 165, 200, true)}, {2, 30, 0}));
    expectWhole(wide, true);
}

TEST(JoinPages, APageMovedByHandCounts) {
    const auto left = pageAt({0, 0}, 160, 200), right = pageAt({140, 0}, 160, 200);
    expectWhole(must(joinPages({left, right}, {2, 0, 0, {{0, 0}, {-20, 0}}})));
}

TEST(JoinPages, KeepsCurves) {
    const auto joined = must(joinPages({pageAt({0, 0}, 150, 200), pageAt({150, 0}, 150, 200)}, {2, 0, 0}));
    std::size_t fewest = 1000;
    for (const auto& drawn : joined.shapes)
        fewest = std::min(fewest, drawn.outline.edge.curves.size());
    EXPECT_LE(fewest, 5U); // the disc that no page cuts
}

TEST(MatchPages, FindsTheMoveThatLaysLinesOnLines) {
    const auto left = pageAt({0, 0}, 170, 200), right = pageAt({130, 0}, 170, 200);
    for (const Point off : {Point{6, -3}, {-8, 5}, {0, 0}}) {
        const auto found = matchPages(left, right, Point{130, 0} + off, 12);
        ASSERT_TRUE(found);
        EXPECT_NEAR(found->x, -off.x, 0.15);
        EXPECT_NEAR(found->y, -off.y, 0.15);
    }
    EXPECT_FALSE(matchPages(left, Drawing{{}, 170, 200, {}, {}, {}}, {130, 0}, 12));
}

} // namespace
} // namespace up::intake
