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
    EXPECT_EQ(pages.size(), 8U);
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

/// Middles of the crosses, in the drawing's millimetres.
std::vector<shape::Point> crosses(const sheet::Page& page) {
    std::vector<shape::Point> out;
    const auto origin = page.layers[0].place(shape::Point{0, 0});
    for (const auto& item : page.layers[1].items)
        if (const auto* shape = std::get_if<sheet::Shape>(&item); shape && !shape->contours.front().closed) {
            const auto box = boundsOf(shape->contours.front());
            if (box.height() < 1e-9) out.push_back(box.centre() - origin);
        }
    return out;
}

TEST(Tiled, NeighboursShareTwoCrosses) {
    const auto pages = tiled(rectangle(450, 260), measure::letter);
    ASSERT_EQ(pages.size(), 4U);
    for (const auto& [a, b] : {std::pair{0, 1}, {2, 3}, {0, 2}, {1, 3}}) {
        int shared = 0;
        for (const auto p : crosses(pages[static_cast<std::size_t>(a)]))
            for (const auto q : crosses(pages[static_cast<std::size_t>(b)]))
                shared += shape::distance(p, q) < 1e-9;
        EXPECT_EQ(shared, 2) << a << " and " << b;
    }
}

TEST(Tiled, TurnsThePaperWhenThatSavesSheets) {
    const auto wide = tiled(rectangle(241, 140), measure::letter),
               tall = tiled(rectangle(140, 210), measure::letter);
    ASSERT_EQ(wide.size(), 1U);
    EXPECT_DOUBLE_EQ(wide[0].width, 279.4);
    ASSERT_EQ(tall.size(), 1U);
    EXPECT_DOUBLE_EQ(tall[0].width, 215.9);
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

TEST(WayPages, HaveEveryTrailThatIsLeftOnPagesThatNeedNoJoining) {
    auto quilt = test::quiltOf({{"low", test::square(20, 20, 60), {200, 0, 0}},
                                {"top", test::square(50, 30, 90), {0, 0, 200}},
                                {"far", test::square(150, 150, 60), {0, 0, 200}}});
    for (auto& piece : quilt.blocks[0].pieces)
        piece.work.step = quilt::Step::tested;
    const auto& block = quilt.blocks[0];
    const auto plan = plan::planStitching(block, plan::planBlock(block));
    const auto textOf = [](const std::vector<sheet::Page>& pages) {
        std::string out;
        for (const auto& page : pages)
            for (const auto& layer : page.layers)
                for (const auto& item : layer.items)
                    if (const auto* words = std::get_if<sheet::Words>(&item)) out += words->text + "\n";
        return out;
    };
    const auto pages = must(wayPages(quilt, block, plan, {}));
    EXPECT_EQ(pages.size(), 1U);
    const auto text = textOf(pages);
    for (std::size_t t = 0; t < plan.trails.size(); ++t)
        EXPECT_NE(text.find("Trail " + std::to_string(t + 1)), std::string::npos) << t;
    const auto one = textOf(must(wayPagesWith(quilt, block.pieces[0].thread, {})));
    EXPECT_NE(one.find("low"), std::string::npos);
    EXPECT_EQ(one.find("far"), std::string::npos) << "another thread";
    for (auto& piece : quilt.blocks[0].pieces)
        piece.work.step = quilt::Step::stitched;
    const auto none = plan::planStitching(block, plan::planBlock(block));
    EXPECT_EQ(wayPages(quilt, block, none, {}).error().code, Code::nothingToDo);
}

TEST(Sheets, OfABlockWithoutPiecesAreRefused) {
    auto quilt = test::smallQuilt();
    quilt.blocks[0].pieces.clear();
    EXPECT_EQ(placementPages(quilt, quilt.blocks[0], {}).error().code, Code::nothingToDo);
    EXPECT_EQ(cutSheet(quilt, quilt.blocks[0]).error().code, Code::nothingToDo);
    EXPECT_EQ(tracingPages(quilt, quilt.blocks[0], {}).error().code, Code::nothingToDo);
}

/// A bar longer than the paper: two half templates, joined on a line that both sheets show.
TEST(Tiled, APieceOnTwoSheetsHasItsHalvesMarkedAtTheJoin) {
    Content content{{}, {0, 0, 400, 60}, "Title", "Side", "Advice"};
    const shape::Ring bar{{0, 10}, {400, 10}, {400, 50}, {0, 50}};
    content.items.push_back(sheet::Shape{{shape::contourThrough(bar)},
                                         std::nullopt,
                                         sheet::Pen{{0, 0, 0}, 0.35, sheet::Dash::solid},
                                         PieceId{7}});
    const auto pages = tiled(content, measure::letter);
    ASSERT_EQ(pages.size(), 2U);
    std::vector<std::vector<shape::Point>> letters(2);
    for (std::size_t i = 0; i < 2; ++i) {
        const auto& drawing = pages[i].layers.front();
        for (const auto& item : drawing.items)
            if (const auto* words = std::get_if<sheet::Words>(&item);
                words && (words->text == "A" || words->text == "B")) {
                letters[i].push_back(words->at);
                EXPECT_TRUE(drawing.clip->holds(drawing.place(words->at))) << "on either sheet";
            }
    }
    EXPECT_EQ(letters[0].size(), 2U);
    EXPECT_EQ(letters[0], letters[1]) << "at the same places of the drawing";
    EXPECT_LT(letters[0][0].y, 10) << "outside of the piece";
    EXPECT_GT(letters[0][1].y, 50);
    EXPECT_DOUBLE_EQ(letters[0][0].x, letters[0][1].x);
    std::get<sheet::Shape>(content.items[0]).tag = {}; // no piece
    EXPECT_EQ(tiled(content, measure::letter)[0].layers.front().items.size(), 1U) << "is not marked";
}

/// What the light box shows: each sheet true to size, the paper side before the front.
TEST(WholeSheets, AreTheBlockFromTheFrontWhenNothingIsTraced) {
    const auto quilt = test::quiltOf({{"square", test::square(40, 50, 60), {200, 0, 0}}});
    const auto sheets = must(wholeSheets(quilt, quilt.blocks[0]));
    ASSERT_EQ(sheets.size(), 1U);
    EXPECT_FALSE(sheets[0].reversed);
    const auto& layer = sheets[0].page.layers.front();
    EXPECT_DOUBLE_EQ(layer.place.determinant(), 1.0);
    const double cut = quilt.blocks[0].width.mm() + 2 * 6.35;
    EXPECT_NEAR(sheets[0].page.width, cut + 6, 1e-6) << "and room for the pens";
    auto empty = quilt;
    empty.blocks[0].pieces = {};
    EXPECT_FALSE(wholeSheets(empty, empty.blocks[0]));
}

} // namespace
} // namespace up::output
