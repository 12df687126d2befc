// SPDX-License-Identifier: GPL-3.0-or-later
// DXF files written by ezdxf, a library of its own: their areas, names and layers.
#include "core/shape/region.hpp"
#include "intake/dxf/curves.hpp"
#include "intake/dxf/dxf.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"
#include "tests/support/tool.hpp"

#include <gtest/gtest.h>
#include <memory>
#include <numbers>
#include <sstream>

namespace up::intake {
namespace {

double areaOf(const quilt::Drawing& drawing) {
    double sum = 0;
    for (const auto& drawn : drawing.shapes)
        sum += shape::regionOf(drawn.outline, 0.002).area();
    return sum;
}

class Dxf : public testing::Test {
protected:
    /// Written once for all tests; each only reads.
    static void SetUpTestSuite() {
        m_dir = std::make_unique<test::TempDir>();
        const auto said = test::tool("/usr/bin/python3 '" + test::source("tests/outside/make_dxf.py") +
                                     "' '" + m_dir->path() + "'");
        if (said.code != 0) throw std::runtime_error(said.out);
        std::istringstream lines(said.out);
        std::string name;
        for (double area = 0; lines >> name >> area;)
            m_areas[name] = area;
    }
    static void TearDownTestSuite() { m_dir.reset(); }
    static std::string text(const std::string& name) { return test::readAll(m_dir->file(name + ".dxf")); }
    static quilt::Drawing read(const std::string& name) { return test::must(readDxf(text(name), name)); }

    static inline std::unique_ptr<test::TempDir> m_dir;
    static inline std::map<std::string, double> m_areas;
};

TEST_F(Dxf, AreasAreThoseOfTheDrawingsWithinATenthOfAPercent) {
    ASSERT_EQ(m_areas.size(), 19U);
    for (const auto& [name, area] : m_areas)
        EXPECT_NEAR(areaOf(read(name)), area, area * 0.001) << name;
}

// Source: DXF reference, HATCH: boundary paths within others are islands, and what lies in an island is
// filled again.
TEST_F(Dxf, FilledAreasAreShapesAndTheirIslandsHoles) {
    const auto drawing = read("hatch_with_islands");
    ASSERT_EQ(drawing.shapes.size(), 2U) << "the lines round them are their pen lines";
    EXPECT_EQ(drawing.shapes[0].origin, quilt::Origin::fill);
    EXPECT_EQ(drawing.shapes[0].fill, (Colour{255, 0, 0}));
    EXPECT_EQ(drawing.shapes[0].outline.holes.size(), 1U);
    EXPECT_EQ(drawing.linesOver.size(), 3U);
    EXPECT_EQ(read("hatch_of_edges").shapes.size(), 2U);
    EXPECT_LE(read("hatch_of_a_spline").shapes.at(0).outline.edge.curves.size(), 3U) << "curves stay curves";
}

TEST_F(Dxf, LinesDrawnTwiceOrInPartOrTurnedRoundStillJoin) {
    const auto drawing = read("drawn_twice");
    ASSERT_EQ(drawing.shapes.size(), 2U);
    EXPECT_TRUE(drawing.loose.empty());
    EXPECT_TRUE(drawing.shapes[0].marks.empty() && drawing.shapes[1].marks.empty());
    EXPECT_EQ(read("neighbours").shapes.size(), 2U) << "a side that two shapes share is no repeat";
}

TEST_F(Dxf, TheLimitCountsShapesNotTheLinesTheyAreJoinedFrom) {
    ASSERT_EQ(read("many_lines").shapes.size(), 1U);
}

TEST_F(Dxf, AFileCutShortAndWrongLettersAreTold) {
    const auto whole = text("names");
    const auto cut =
        test::must(readDxf(whole.substr(0, whole.find("hidden", whole.find("ENTITIES"))), "cut.dxf"));
    EXPECT_FALSE(cut.shapes.empty());
    EXPECT_EQ(cut.warnings.at(0).remark, quilt::Remark::cutShort);
    auto odd = whole;
    odd.replace(odd.find("window"), 6, "h\xE9ron ");
    const auto drawing = test::must(readDxf(odd, "odd.dxf"));
    EXPECT_EQ(drawing.warnings.at(0).remark, quilt::Remark::wrongLetters) << "a file of 2010 is UTF-8";
    EXPECT_EQ(drawing.shapes.at(1).name, "héron ");
}

TEST_F(Dxf, CurvesStayCurves) {
    EXPECT_EQ(read("circle").shapes[0].outline.edge.curves.size(), 4U);
    EXPECT_LE(read("cubic_spline").shapes[0].outline.edge.curves.size(), 2U);
}

TEST_F(Dxf, NamesComeFromTextsAndLayersAndHiddenLayersStayOut) {
    const auto drawing = read("names");
    ASSERT_EQ(drawing.shapes.size(), 2U);
    EXPECT_EQ(drawing.shapes[0].name, "hull");
    EXPECT_EQ(drawing.shapes[0].fill, (Colour{255, 0, 0}));
    EXPECT_EQ(drawing.shapes[1].name, "window") << "the larger lies beneath";
    EXPECT_EQ(drawing.shapes[0].marks.size(), 1U) << "a loose line on it";
    ASSERT_EQ(drawing.warnings.size(), 1U);
    EXPECT_EQ(drawing.warnings[0].remark, quilt::Remark::hiddenLeftOut);
}

TEST_F(Dxf, BlocksAreTurnedScaledAndMirrored) {
    const auto drawing = read("blocks");
    ASSERT_EQ(drawing.shapes.size(), 2U);
    EXPECT_LT(signedArea(drawing.shapes[0].outline.edge) * signedArea(drawing.shapes[1].outline.edge), 0)
        << "one is the mirror image of the other";
}

TEST_F(Dxf, YPointsUp) {
    const auto drawing = read("cubic_spline"); // an arch over a straight line
    const auto& edge = drawing.shapes[0].outline.edge;
    EXPECT_NEAR(boundsOf(edge).height(), 30, 1e-6);
    EXPECT_TRUE(shape::regionOf(drawing.shapes[0].outline).contains({3, 27})) << "wide at the bottom";
    EXPECT_FALSE(shape::regionOf(drawing.shapes[0].outline).contains({3, 3}));
}

TEST_F(Dxf, SaysWhichUnitItTook) {
    const auto drawing = read("old_slot"); // that old format names none
    EXPECT_EQ(drawing.warnings.at(0).remark, quilt::Remark::unitAssumed);
}

TEST_F(Dxf, CutOffAnywhereItIsReadOrRefusedWithASentence) {
    const auto whole = text("names");
    for (std::size_t length = 0; length < whole.size(); length += whole.size() / 60) {
        const auto answer = readDxf(whole.substr(0, length), "cut.dxf");
        if (answer) continue;
        EXPECT_TRUE(answer.error().code == Code::notDxf || answer.error().code == Code::emptyDrawing)
            << length;
    }
}

TEST(DxfHostile, CountsThatTheFileCannotHoldAreRefused) {
    const auto answer =
        readDxf("0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n90\n2000000000\n10\n1\n20\n1\n0\nENDSEC\n0\nEOF\n",
                "huge.dxf");
    ASSERT_FALSE(answer);
    EXPECT_EQ(answer.error().code, Code::notDxf);
    EXPECT_FALSE(readDxf(std::string("0\nSEC\0TION", 10), "binary.dxf"));
}

TEST(DxfHostile, BlocksWithinThemselvesComeToAnEnd) {
    std::string text =
        "0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nA\n10\n0\n20\n0\n0\nCIRCLE\n10\n0\n20\n0\n40\n20\n";
    for (int i = 0; i < 10; ++i)
        text += "0\nINSERT\n2\nA\n10\n1\n20\n1\n";
    text +=
        "0\nENDBLK\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nINSERT\n2\nA\n10\n0\n20\n0\n0\nENDSEC\n0\nEOF\n";
    const auto answer = readDxf(text, "self.dxf");
    ASSERT_TRUE(answer) << "the block itself is drawn";
    EXPECT_EQ(answer->shapes.size(), 1U);
    EXPECT_EQ(answer->warnings.back(), (quilt::Warning{quilt::Remark::endlessLeftOut, {"10"}}));
}

TEST(DxfHostile, BlocksOfBlocksOfBlocksAreTooMany) {
    std::string text = "0\nSECTION\n2\nBLOCKS\n";
    for (int level = 0; level < 6; ++level) {
        text +=
            "0\nBLOCK\n2\nB" + std::to_string(level) + "\n10\n0\n20\n0\n0\nCIRCLE\n10\n0\n20\n0\n40\n20\n";
        for (int i = 0; i < 10 && level > 0; ++i)
            text += "0\nINSERT\n2\nB" + std::to_string(level - 1) + "\n10\n1\n20\n1\n";
        text += "0\nENDBLK\n";
    }
    text += "0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nINSERT\n2\nB5\n10\n0\n20\n0\n0\nENDSEC\n0\nEOF\n";
    const auto answer = readDxf(text, "many.dxf");
    ASSERT_FALSE(answer);
    EXPECT_EQ(answer.error().code, Code::tooLarge);
}

// A bulge is the tangent of a quarter of the arc's angle: 1 is a half circle, tan(22.5°) a quarter circle.
TEST(DxfCurves, BulgesAreArcs) {
    const auto half = polyline({{{0, 0}, 1}, {{20, 0}, 0}}, true);
    EXPECT_NEAR(std::abs(signedArea(half)), std::numbers::pi * 50, 0.05);
    EXPECT_LT(boundsOf(half).top, -9.99) << "positive bulges lie to the right of the way";
    const auto quarter =
        polyline({{{10, 0}, std::tan(std::numbers::pi / 8)}, {{0, 10}, 0}, {{0, 0}, 0}}, true);
    EXPECT_NEAR(std::abs(signedArea(quarter)), std::numbers::pi * 25, 0.03);
}

TEST(DxfCurves, ThatDoNotBelongTogetherAreNone) {
    EXPECT_TRUE(curveOf({3, {0, 0, 1, 1}, {{0, 0}, {1, 1}}, {}, false}).curves.empty());
    EXPECT_TRUE(curveOf({0, {0, 1}, {{0, 0}}, {}, false}).curves.empty());
}

} // namespace
} // namespace up::intake
