// SPDX-License-Identifier: GPL-3.0-or-later
// In which order pieces are cut out of a chunk.
#include "core/cut/cuts.hpp"
#include "core/cut/stretches.hpp"
#include "tests/support/shapes.hpp"

#include <cmath>
#include <gtest/gtest.h>
#include <numbers>

namespace up::cut {
namespace {

using shape::Region;
using shape::Ring;
using test::square;

double edgeOf(const Region& region) {
    double out = 0;
    for (auto ring : region.rings) {
        ring.push_back(ring.front());
        out += shape::lengthOf(ring);
    }
    return out;
}

std::vector<Why> whysOf(const std::vector<Cut>& cuts) {
    std::vector<Why> out;
    for (const auto& cut : cuts)
        out.push_back(cut.why);
    return out;
}

Ring disc(shape::Point middle, double radius) {
    Ring out;
    for (int i = 0; i < 180; ++i) {
        const double at = 2 * std::numbers::pi * i / 180;
        out.push_back({middle.x + radius * std::cos(at), middle.y + radius * std::sin(at)});
    }
    return out;
}

TEST(Cuts, InnerThenSmallThenLiningThenRulerThenTheRest) {
    const auto cuts = cutsOf(
        {{shape::regionOf({{{0, 0}, {100, 0}, {100, 60}, {50, 80}, {0, 60}}, disc({50, 30}, 12)}), false},
         {shape::regionOf({square(120, 0, 20)}), false},
         {shape::regionOf({disc({200, 50}, 40)}), true},
         {shape::regionOf({disc({300, 50}, 40)}), false}});
    ASSERT_EQ(cuts.size(), 1U + 1 + 1 + 5 + 1);
    EXPECT_EQ(whysOf(cuts), (std::vector{Why::inner, Why::small, Why::lining, Why::ruler, Why::ruler,
                                         Why::ruler, Why::ruler, Why::ruler, Why::rest}));
    EXPECT_EQ(cuts[1].shapes, std::vector<std::size_t>{1});
    EXPECT_EQ(cuts[2].shapes, std::vector<std::size_t>{2});
    EXPECT_NEAR(cuts[3].length, 100, 1e-9) << "the longest straight edge first";
    EXPECT_NEAR(cuts.back().length, 2 * std::numbers::pi * 40, 0.1);
    EXPECT_TRUE(cuts.back().closed);
}

TEST(Cuts, EdgesOnOneLineAreOneRulerCut) {
    // Two rectangles side by side: tops and bottoms lie on two lines.
    const std::vector<Shape> row{{shape::rectangle({0, 0, 60, 50}), false},
                                 {shape::rectangle({66, 0, 130, 50}), false}};
    const auto cuts = cutsOf(row);
    ASSERT_EQ(cuts.size(), 6U);
    EXPECT_NEAR(cuts[0].length, 130, 1e-6);
    EXPECT_EQ(cuts[0].shapes, (std::vector<std::size_t>{0, 1}));
    // With a piece between them the blade must not go on.
    auto between = row;
    between[1].area = shape::rectangle({166, 0, 230, 50});
    between.push_back({shape::rectangle({80, -30, 140, 20}), false});
    for (const auto& cut : cutsOf(between)) {
        if (cut.shapes.size() < 2) continue;
        EXPECT_NEAR(cut.line.front().y, cut.line.back().y, 1e-6);
        EXPECT_GT(cut.line.front().y, 40) << "only along the bottoms, below the piece between";
    }
}

TEST(Cuts, AWobblyStraightEdgeIsCutByRulerAndACurveIsNot) {
    Ring wobbly;
    Random random(4);
    for (int i = 0; i <= 50; ++i)
        wobbly.push_back({i * 2.0, random.between(-0.1, 0.1)});
    wobbly.push_back({100, 80});
    wobbly.push_back({0, 80});
    EXPECT_EQ(parted(wobbly, 38).straight.size(), 4U);
    EXPECT_TRUE(parted(disc({0, 0}, 120), 38).whole) << "38 mm of it rise 1.5 mm from the chord";
}

TEST(Cuts, WhateverTheShapesEveryEdgeIsCutOnce) {
    Random random(9);
    for (int round = 0; round < 200; ++round) {
        std::vector<Shape> shapes;
        double edges = 0, gaps = 0;
        for (int i = 0; i < 6; ++i) {
            auto area = shape::regionOf({test::randomStar(random)});
            area = shape::transformed(area, shape::Transform::moveBy(i * 150.0, random.between(0, 40)));
            edges += edgeOf(area);
            shapes.push_back({std::move(area), random.below(4) == 0});
        }
        double cut = 0;
        for (const auto& one : cutsOf(shapes)) {
            cut += one.length;
            if (one.why == Why::ruler && one.shapes.size() > 1) gaps = 1;
            EXPECT_NEAR(one.length, shape::lengthOf(one.line), 1e-6);
        }
        if (gaps > 0) continue;
        EXPECT_NEAR(cut, edges, 0.01 * edges + 0.01) << "round " << round;
    }
}

} // namespace
} // namespace up::cut
