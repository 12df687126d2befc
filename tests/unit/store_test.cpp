// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/shapes.hpp"
#include "core/pattern/pattern.hpp"
#include "core/store/exchange.hpp"
#include "core/store/quilt_file.hpp"
#include "core/store/time.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::store {
namespace {

using test::must;

quilt::Quilt workedQuilt() {
    auto quilt = test::smallQuilt();
    const auto block = quilt.blocks[0].id;
    const auto id = quilt.blocks[0].pieces[1].id;
    quilt =
        must(edit::movePiece(quilt, block, id, measure::Length::ofInches(1, 16), measure::Length::ofMm(-3)));
    quilt = must(edit::turnPiece(quilt, block, id, measure::Angle::ofDegrees(12.5)));
    quilt = must(edit::setLayout(quilt, block,
                                 {quilt.webs[0].id,
                                  {{id, 0, 2, 10.25, 20.5, measure::Angle::ofDegrees(90)}},
                                  {{quilt.blocks[0].pieces[0].id, quilt::WhyNot::webUsedUp}}},
                                 50));
    quilt = must(edit::record(quilt, block, {id}, quilt::Step::traced, 60));
    auto star = pattern::usualRecipe(quilt::RecipeKind::star);
    star.at = shape::Transform::moveBy(50, 60);
    auto letter = pattern::usualRecipe(quilt::RecipeKind::letter);
    letter.text = "W", letter.family = "Sans", letter.italic = true;
    auto line = pattern::usualRecipe(quilt::RecipeKind::line);
    line.line.closed = false;
    line.line.curveTo({1, 2}, {3, 4}, {5, 6});
    const auto outline = must(pattern::outlineOf(star));
    quilt = must(edit::addShapes(
        quilt, block, {{"Star", outline, star}, {"W", outline, letter}, {"Reed", outline, line}}, {}));
    return must(edit::ruin(quilt, block, id, "cut wrong", 70));
}

TEST(QuiltFile, ReadsBackTheSameQuilt) {
    const auto quilt = workedQuilt();
    EXPECT_TRUE(must(readQuilt(writeQuilt(quilt), "q")) == quilt);
}

TEST(QuiltFile, KeepsTheRecipeOfAKindItDoesNotKnow) {
    auto text = writeQuilt(workedQuilt());
    text.replace(text.find("\"star\""), 6, "\"cloud\"");
    const auto quilt = must(readQuilt(text, "q"));
    EXPECT_FALSE(quilt.blocks[0].pieces[3].recipe);
    EXPECT_EQ(writeQuilt(quilt), text);
}

TEST(QuiltFile, WritesTheSameBytesForTheSameQuilt) {
    const auto text = writeQuilt(workedQuilt());
    EXPECT_EQ(writeQuilt(must(readQuilt(text, "q"))), text);
}

TEST(QuiltFile, KeepsCurvesAsCurves) {
    auto quilt = test::smallQuilt();
    quilt.blocks[0].pieces[0].outline =
        shape::Outline{test::circle({60, 60}, 20), {test::circle({60, 60}, 5)}};
    const auto again = must(readQuilt(writeQuilt(quilt), "q"));
    EXPECT_EQ(again.blocks[0].pieces[0].outline->edge.curves.size(), 4U);
    EXPECT_TRUE(again == quilt);
}

TEST(QuiltFile, UnknownKeysSurviveARoundTrip) {
    auto text = writeQuilt(test::smallQuilt());
    text.insert(text.find("\"name\""), "\"future\": {\"deep\": [1, 2]},\n ");
    const auto at = text.find("\"runsOff\"");
    text.insert(at, "\"lining\": true, ");
    const auto again = writeQuilt(must(readQuilt(text, "q")));
    EXPECT_NE(again.find("\"future\""), std::string::npos);
    EXPECT_NE(again.find("\"deep\""), std::string::npos);
    EXPECT_NE(again.find("\"lining\": true"), std::string::npos);
}

TEST(QuiltFile, IsReadableAndOnePointALine) {
    const auto text = writeQuilt(test::smallQuilt());
    EXPECT_TRUE(text.starts_with("{\n \"format\": \"upstairs-quilt\",\n \"version\": 2,\n"));
    EXPECT_TRUE(text.ends_with("}\n"));
}

/// Files of earlier versions stay here for ever and must be read by every later one.
TEST(QuiltFile, ReadsEveryOlderVersion) {
    const auto quilt = must(loadQuilt(test::source("tests/formats/v1/towpath.upstairs")));
    EXPECT_EQ(quilt.name, "Towpath");
    EXPECT_EQ(quilt.blocks.size(), 9U);
    EXPECT_EQ(quilt.blocks[0].name, "Narrowboat");
    EXPECT_EQ(quilt.blocks[0].pieces.size(), 22U);
    EXPECT_GT(quilt.log->size(), 300U);
}

// Source: ISO 8601; 2026-03-01T19:30:00Z is 1772393400 s after 1970 by `date -u -d … +%s`.
TEST(Time, IsWrittenAsIso8601) {
    EXPECT_EQ(writeTime(1772393400), "2026-03-01T19:30:00Z");
    EXPECT_EQ(readTime("2026-03-01T19:30:00Z"), 1772393400);
    EXPECT_EQ(readTime("2024-02-29T00:00:00Z").has_value(), true);
    EXPECT_FALSE(readTime("2023-02-29T00:00:00Z"));
    EXPECT_FALSE(readTime("yesterday"));
    EXPECT_FALSE(readTime("2026-03-01T19:30:00Z "));
}

TEST(Pieces, ReadBackWithinTheFlattening) {
    auto drawing =
        test::drawingOf({{"a", test::square(10, 10, 40), {1, 2, 3}}, {"b", test::square(60, 30, 20)}});
    drawing.shapes[0].outline.holes.push_back(test::circle({30, 30}, 8));
    const auto again = must(readPieces(writePieces(drawing, {"note"}), "p"));
    ASSERT_EQ(again.shapes.size(), 2U);
    EXPECT_EQ(again.shapes[0].name, "a");
    EXPECT_EQ(again.shapes[0].fill, (Colour{1, 2, 3}));
    EXPECT_EQ(again.shapes[0].outline.holes.size(), 1U);
    EXPECT_NEAR(shape::regionOf(again.shapes[0].outline).area(),
                shape::regionOf(drawing.shapes[0].outline, 0.001).area(), 1.5);
}

TEST(NestJob, ReadsWhatTheFormatSays) {
    const auto job = must(readNestJob(R"({"format":"upstairs-nest-job","version":1,"unit":"mm",
        "sheets":[{"id":"roll","width":431.8,"height":2000.0,"count":1},{"id":"off","outline":[[0,0],[90,0],[0,70]]}],
        "spacing":6.35,
        "pieces":[{"id":"p1","copies":2,"rotations":"any","outline":[[0,0],[60,0],[60,40]],"holes":[],"group":"red"},
                  {"id":"p2","rotations":[0,90.5],"outline":[[0,0],[10,0],[10,10]]}]})",
                                      "j"));
    ASSERT_EQ(job.sheets.size(), 2U);
    EXPECT_EQ(job.sheets[1].outline.rings.at(0).size(), 3U);
    EXPECT_EQ(job.spacing, 6.35);
    EXPECT_EQ(job.parts[0].copies, 2);
    EXPECT_TRUE(job.parts[0].rotations.empty());
    EXPECT_EQ(job.parts[1].rotations, (std::vector{0.0, 90.5}));
}

TEST(LooksLike, KnowsItsFormat) {
    EXPECT_TRUE(looksLike(R"({"format":"upstairs-pieces"})", "upstairs-pieces"));
    EXPECT_FALSE(looksLike("<svg/>", "upstairs-pieces"));
    EXPECT_FALSE(looksLike("[1]", "upstairs-pieces"));
}

} // namespace
} // namespace up::store
