// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/svg.hpp"
#include "output/pages/pages.hpp"
#include "output/pages/tiling.hpp"
#include "output/svg/svg.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::output {
namespace {

using test::must;

Content rectangle(double width, double height) {
    return {{sheet::box({0, 0, width, height}, Colour{1, 2, 3}, std::nullopt)},
            {0, 0, width, height},
            "Title",
            "Side",
            "Advice"};
}

bool says(const sheet::Page& page, const std::string& words) {
    for (const auto& layer : page.layers)
        for (const auto& item : layer.items)
            if (const auto* text = std::get_if<sheet::Words>(&item);
                text && text->text.find(words) != std::string::npos)
                return true;
    return false;
}

TEST(Tiled, WhatFitsIsOnePage) {
    const auto pages = tiled(rectangle(150, 150), measure::letter);
    ASSERT_EQ(pages.size(), 1U);
    EXPECT_DOUBLE_EQ(pages[0].width, 215.9);
    EXPECT_TRUE(says(pages[0], "Row 1 of 1, column 1 of 1"));
}

TEST(Tiled, EveryPageNamesRowColumnAndSide) {
    const auto pages = tiled(rectangle(500, 500), measure::a4);
    EXPECT_GE(pages.size(), 9U);
    for (const auto& page : pages) {
        EXPECT_TRUE(says(page, "Row "));
        EXPECT_TRUE(says(page, "Side"));
        EXPECT_TRUE(says(page, "exactly 1 in"));
    }
}

/// Every point of the drawing lies in some page's clip, at true size.
TEST(Tiled, CoversTheDrawingWithoutGaps) {
    const auto content = rectangle(400, 330);
    const auto pages = tiled(content, measure::letter);
    for (double x = 0.5; x < 400; x += 7)
        for (double y = 0.5; y < 330; y += 7) {
            const bool on = std::any_of(pages.begin(), pages.end(), [&](const auto& page) {
                const auto& drawing = page.layers.front();
                return drawing.clip->holds(drawing.place(shape::Point{x, y}));
            });
            EXPECT_TRUE(on) << x << ", " << y;
        }
    for (const auto& page : pages)
        EXPECT_DOUBLE_EQ(page.layers.front().place.determinant(), 1.0) << "not scaled, not mirrored";
}

TEST(Tiled, LeavesOutPagesWithNothingOnThem) {
    Content content{{sheet::box({0, 0, 20, 20}, Colour{}, std::nullopt),
                     sheet::box({480, 480, 500, 500}, Colour{}, std::nullopt)},
                    {0, 0, 500, 500},
                    "T",
                    "S",
                    "A"};
    EXPECT_EQ(tiled(content, measure::letter).size(), 2U);
}

TEST(CutSheet, IsReversedAtTrueSizeWithALayerPerFabric) {
    const shape::Ring ell{{20, 20}, {60, 20}, {60, 30}, {32, 30}, {32, 90}, {20, 90}};
    const auto quilt =
        test::quiltOf({{"ell", ell, {10, 20, 30}}, {"dot", test::square(120, 120, 10), {200, 0, 0}}});
    const auto page = must(cutSheet(quilt, quilt.blocks[0]));
    EXPECT_EQ(page.layers.size(), 2U);
    const auto again = must(intake::readSvg(writeSvg(page), "cut.svg"));
    ASSERT_EQ(again.shapes.size(), 2U);
    EXPECT_NEAR(boundsOf(again.shapes[0].outline).width(), 40, 0.001);
    // The foot of the L points right when seen, left when cut from the web's side.
    const auto box = boundsOf(again.shapes[0].outline);
    const auto region = shape::regionOf(again.shapes[0].outline);
    EXPECT_TRUE(region.contains({box.left + 35, box.top + 50})) << "the upright is on the right now";
    EXPECT_FALSE(region.contains({box.left + 5, box.top + 50}));
}

TEST(Sheets, OfABlockWithoutPiecesAreRefused) {
    auto quilt = test::smallQuilt();
    quilt.blocks[0].pieces.clear();
    EXPECT_EQ(placementPages(quilt, quilt.blocks[0], {}).error().code, Code::nothingToDo);
    EXPECT_EQ(cutSheet(quilt, quilt.blocks[0]).error().code, Code::nothingToDo);
    EXPECT_EQ(tracingPages(quilt, quilt.blocks[0], {}).error().code, Code::nothingToDo);
}

} // namespace
} // namespace up::output
