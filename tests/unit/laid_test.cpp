// SPDX-License-Identifier: GPL-3.0-or-later
// What is laid on a block: how strips are cut, what covers their ends, what heat forbids, and in which order it is done.
#include "core/edit/lines.hpp"
#include "core/mend/mend.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/finish/bias_plan.hpp"
#include "core/plan/finish/laid_plan.hpp"
#include "core/plan/finish/leading_plan.hpp"
#include "core/plan/stitch/stitch_plan.hpp"
#include "core/plan/work/now_plan.hpp"
#include "core/quilt/laying.hpp"
#include "tests/support/shapes.hpp"

#include <algorithm>
#include <gtest/gtest.h>
#include <numbers>

namespace up {
namespace {

using quilt::Laid;
using quilt::LaidEnd;
using quilt::Length;
using quilt::Line;
using quilt::Quilt;
using quilt::Trim;
using test::must;

constexpr double inch = 25.4;

shape::Contour through(const std::vector<shape::Point>& points) {
    shape::Contour out;
    out.start = points.front(), out.closed = false;
    for (std::size_t i = 1; i < points.size(); ++i)
        out.lineTo(points[i]);
    if (points.size() == 1) out.lineTo(points.front());
    return out;
}

Line laidOn(const std::string& name, Trim trim, double wide, std::vector<shape::Contour> strokes) {
    Line line;
    line.name = name;
    line.strokes = std::move(strokes);
    line.laid = Laid{};
    line.laid->trim = trim, line.laid->width = Length::ofMm(wide);
    return line;
}

/// On a page 9 in wide two squares of 100 mm that meet.
Quilt twoPanes() {
    return test::quiltOf(
        {{"left", test::square(14, 60, 100), {9, 9, 99}}, {"right", test::square(114, 60, 100), {99, 9, 9}}});
}

Quilt with(const Quilt& quilt, const Line& line) {
    return must(edit::putLine(quilt, quilt.blocks[0].id, line));
}

Quilt upTo(Quilt quilt, quilt::Step last, std::vector<PieceId> pieces = {}) {
    if (pieces.empty())
        for (const auto& piece : quilt.blocks[0].pieces)
            pieces.push_back(piece.id);
    for (auto step : every<quilt::Step>())
        if (step != quilt::Step::toTrace && goesThrough(step, quilt::Way{}) && step <= last)
            quilt = must(edit::record(quilt, quilt.blocks[0].id, pieces, step, 1));
    return quilt;
}

std::vector<check::Finding> found(const Quilt& quilt, check::Kind kind) {
    auto all = plan::checkQuilt(quilt).open;
    std::erase_if(all, [&](const auto& finding) { return finding.kind != kind; });
    return all;
}

/// Source: TRADE, a strip 1¼ in wide, folded in half and sewn with ¼ in, finishes ⅜ in.
TEST(CutWide, OfAStemIsTwiceItAndTwoSeams) {
    Laid stem;
    stem.width = Length::ofInches(3, 8);
    EXPECT_EQ(plan::cutWide(stem), Length::ofInches(5, 4));
    EXPECT_NEAR(plan::cutWide(stem).mm() / 2 - quilt::stemSeam.mm(), stem.width.mm(), 1e-6)
        << "folded, less the seam";
    stem.trim = Trim::tape;
    EXPECT_EQ(plan::cutWide(stem), Length::ofInches(3, 4));
    stem.trim = Trim::ribbon;
    EXPECT_EQ(plan::cutWide(stem), stem.width);
}

TEST(LaidStrips, AreAsLongAsTheirLineAndTheirEnds) {
    auto line = laidOn("stem", Trim::stem, 9.525, {through({{50, 50}, {150, 50}})});
    line.laid->begin = LaidEnd::turnedIn, line.laid->end = LaidEnd::sealed;
    auto plan = plan::planLaid(with(twoPanes(), line).blocks[0]);
    ASSERT_EQ(plan.strips.size(), 1u);
    EXPECT_NEAR(plan.strips[0].along.mm(), 100, 1e-6);
    EXPECT_NEAR(plan.strips[0].cutLong.mm(), 100 + inch / 4, 1e-6);
    line.strokes = std::vector{through({{50, 50}, {50, 300}})}; // over the lower edge
    line.laid->end = LaidEnd::covered;
    plan = plan::planLaid(with(twoPanes(), line).blocks[0]);
    EXPECT_EQ(plan.strips[0].end, LaidEnd::runsOff) << "whatever was said";
    EXPECT_NEAR(plan.strips[0].along.mm(), 9 * inch - 50, 0.3);
    EXPECT_NEAR(plan.strips[0].cutLong.mm(), 9 * inch - 50 + inch / 4 + inch / 2, 0.3);
    EXPECT_TRUE(plan.bare.empty());
    line.strokes = std::vector{through({{50, 50}, {150, 50}, {150, 150}})};
    EXPECT_EQ(plan::planLaid(with(twoPanes(), line).blocks[0]).strips[0].corners, 1u);
}

/// Worked out by hand: along a quarter circle of 60 mm the outer edge of a strip 10 mm wide is π/2 · 65 mm.
TEST(LaidStrips, AreCutForTheirOuterEdge) {
    std::vector<shape::Point> arc;
    for (int i = 0; i <= 90; ++i)
        arc.push_back({100 + 60 * std::sin(i * std::numbers::pi / 180),
                       160 - 60 * std::cos(i * std::numbers::pi / 180)});
    auto line = laidOn("stem", Trim::stem, 10, {through(arc)});
    line.laid->begin = line.laid->end = LaidEnd::sealed;
    const auto strips = plan::planLaid(with(twoPanes(), line).blocks[0]).strips;
    EXPECT_NEAR(strips[0].cutLong.mm(), std::numbers::pi / 2 * 65, 0.2);
    EXPECT_FALSE(strips[0].tooTight) << "60 mm are more than three times 10";
}

/// Limits: common practice, no source.
TEST(Checks, AStripThatBendsTooTightlyIsMadeNarrower) {
    std::vector<shape::Point> arc;
    for (int i = 0; i <= 90; ++i)
        arc.push_back({100 + 25 * std::sin(i * std::numbers::pi / 180),
                       125 - 25 * std::cos(i * std::numbers::pi / 180)});
    const auto quilt = with(twoPanes(), laidOn("stem", Trim::stem, 10, {through(arc)}));
    const auto findings = found(quilt, check::Kind::bendsTightly);
    ASSERT_EQ(findings.size(), 1u);
    const auto mended = must(mend::mended(quilt, findings[0], check::Fix::narrower));
    EXPECT_TRUE(found(mended, check::Kind::bendsTightly).empty());
    EXPECT_NEAR(mended.blocks[0].lines[0].laid->width.mm(), 5 * inch / 16, 1e-6)
        << "25 / 3, to the sixteenth below";
}

TEST(Checks, EndsThatNothingCovers) {
    auto quilt = with(twoPanes(), laidOn("over", Trim::ribbon, 10, {through({{100, 20}, {100, 200}})}));
    auto end = laidOn("under", Trim::ribbon, 6, {through({{20, 100}, {100, 100}})});
    end.laid->begin = LaidEnd::turnedIn, end.laid->end = LaidEnd::covered;
    quilt = with(quilt, end);
    const auto findings = found(quilt, check::Kind::endBare);
    ASSERT_EQ(findings.size(), 1u) << "what lies over it is laid before";
    EXPECT_EQ(findings[0].fixes.front(), check::Fix::layBefore);
    const auto before = must(mend::mended(quilt, findings[0], check::Fix::layBefore));
    EXPECT_EQ(before.blocks[0].lines[0].name, "under");
    EXPECT_TRUE(found(before, check::Kind::endBare).empty());
    const auto in = must(mend::mended(quilt, findings[0], check::Fix::turnIn));
    EXPECT_EQ(in.blocks[0].lines[1].laid->end, LaidEnd::turnedIn);
    EXPECT_TRUE(found(in, check::Kind::endBare).empty());
    // a button does it too
    auto button = laidOn("button", Trim::button, 12, {through({{20, 100}})});
    end.laid->begin = LaidEnd::covered, end.laid->end = LaidEnd::sealed;
    EXPECT_TRUE(found(with(with(twoPanes(), end), button), check::Kind::endBare).empty());
}

TEST(Checks, ThingsAreCountedAgainstWhatIsCalledFor) {
    auto rivets = laidOn("rivets", Trim::dot, 3, {});
    std::vector<shape::Contour> dots;
    for (int i = 0; i < 11; ++i)
        dots.push_back(through({{20.0 + 10 * i, 30}}));
    rivets.strokes = dots;
    rivets.laid->called = 12;
    const auto quilt = with(twoPanes(), rivets);
    const auto findings = found(quilt, check::Kind::miscounted);
    ASSERT_EQ(findings.size(), 1u);
    EXPECT_EQ(std::get<check::Count>(findings[0].args[1]).number, 12u);
    EXPECT_EQ(std::get<check::Count>(findings[0].args[2]).number, 11u);
    const auto mended = must(mend::mended(quilt, findings[0], check::Fix::countIsRight));
    EXPECT_EQ(mended.blocks[0].lines[0].laid->called, 11);
    // the twelfth along a stroke
    dots.push_back(through({{20, 60}, {40, 60}}));
    rivets.strokes = dots;
    const auto places = thingsAt(rivets);
    ASSERT_EQ(places.size(), 12u);
    EXPECT_NEAR(shape::distance(places.back(), {30, 60}), 0, 1e-6) << "in the middle of it";
}

TEST(Things, AreSpreadEvenlyAlongALine) {
    auto line = laidOn("buttons", Trim::button, 10, {through({{0, 0}, {100, 0}})});
    line.laid->called = 4;
    const auto places = thingsAt(line);
    ASSERT_EQ(places.size(), 4u);
    for (std::size_t i = 0; i < 4; ++i)
        EXPECT_NEAR(places[i].x, 12.5 + 25.0 * static_cast<double>(i), 1e-6);
    line.laid->called = 0;
    EXPECT_EQ(thingsAt(line).size(), 5u) << "two widths apart";
}

/// Where raw edges are laid: half the width less the seam beside the middle, so that the fold comes to lie beyond them.
TEST(RawEdges, LieUnderTheStem) {
    const auto line = laidOn("stem", Trim::stem, 9.525, {through({{0, 50}, {100, 50}})});
    const auto edges = rawEdges(line);
    ASSERT_EQ(edges.size(), 1u);
    EXPECT_NEAR(edges[0].front().y, 50 + 9.525 / 2 - inch / 4, 1e-6);
    EXPECT_LT(std::abs(edges[0].front().y - 50), 9.525 / 2) << "covered once it is pressed over";
}

Line leadingOf(const Quilt& quilt) {
    auto line = laidOn("leading", Trim::tape, 6, plan::strokesOf(plan::planLeading(quilt.blocks[0])));
    line.laid->begin = line.laid->end = LaidEnd::covered;
    line.stitch = quilt::LineStitch::machineStraight;
    return line;
}

/// Panes that meet: one tape between them, laid before the one round both; edges of pieces beneath are not stitched.
TEST(LeadingOnABlock, HoldsTheEdgesOfPieces) {
    auto quilt = upTo(twoPanes(), quilt::Step::tested);
    quilt = with(quilt, leadingOf(quilt));
    const auto& block = quilt.blocks[0];
    const auto laid = plan::planLaid(block);
    ASSERT_EQ(laid.strips.size(), 2u);
    EXPECT_NEAR(laid.strips[0].along.mm(), 100, 0.5);
    EXPECT_NEAR(laid.strips[1].along.mm(), 600, 1);
    EXPECT_EQ(laid.strips[1].corners, 4u);
    EXPECT_TRUE(laid.bare.empty());
    const auto stitch = plan::planStitching(block, plan::planBlock(block));
    EXPECT_FALSE(stitch.runs.empty());
    for (const auto& run : stitch.runs)
        EXPECT_TRUE(run.of) << "no edge of a piece";
    double inner = 0;
    for (const auto& run : stitch.runs)
        for (const auto p : run.line)
            if (std::abs(p.x - 114) < 3) inner = std::max(inner, run.length().mm());
    EXPECT_GT(inner, 0) << "both sides of the tape between them";
}

plan::Now nowOn(const Quilt& quilt, quilt::Tread tread) {
    const auto& block = quilt.blocks[0];
    const auto plan = plan::planBlock(block);
    const auto trace = plan::planTrace(quilt, block);
    const auto lines = plan::planLines(block);
    const auto stitch = plan::planStitching(block, plan);
    return plan::nowOn(tread, block,
                       {plan,
                        trace,
                        {},
                        [&] { return &stitch; },
                        {},
                        {},
                        {},
                        [&]() -> const plan::LinesPlan& { return lines; }});
}

TEST(NowOnStitch, TapesAreLaidOneAfterTheOtherThenStitched) {
    auto quilt = upTo(twoPanes(), quilt::Step::tested);
    quilt = with(quilt, leadingOf(quilt));
    const auto block = quilt.blocks[0].id;
    const auto id = quilt.blocks[0].lines[0].id;
    for (int i = 1; i <= 2; ++i) {
        const auto now = nowOn(quilt, quilt::Tread::stitch);
        ASSERT_EQ(now.what, plan::What::layLine);
        EXPECT_EQ(now.laid->number, static_cast<std::size_t>(i));
        EXPECT_EQ(now.laid->of, 2u);
        EXPECT_EQ(now.laid->wide, Length::ofMm(12));
        quilt = must(edit::lineLaid(quilt, block, id, i, 2));
    }
    EXPECT_EQ(nowOn(quilt, quilt::Tread::stitch).what, plan::What::stitch);
    EXPECT_EQ(quilt.log->back().what, quilt::Event::lineLaid);
    EXPECT_EQ(edit::moveLine(quilt, block, id, Length::ofMm(3), {}).error().code, Code::lineIsSewn);
    const auto off = must(edit::lineTakenOff(quilt, block, id));
    EXPECT_EQ(off.blocks[0].lines[0].laid->done, 0);
}

/// What melts waits for the last pressing of all; what does not only for what lies beneath it.
TEST(MayLay, HeatKeepsItAway) {
    auto quilt = twoPanes();
    const auto left = quilt.blocks[0].pieces[0].id;
    quilt = upTo(quilt, quilt::Step::tested, {left});
    auto line = laidOn("ribbon", Trim::ribbon, 6, {through({{30, 100}, {80, 100}})});
    EXPECT_TRUE(plan::mayLay(quilt.blocks[0], line));
    line.laid->melts = true;
    EXPECT_FALSE(plan::mayLay(quilt.blocks[0], line));
    EXPECT_TRUE(plan::mayLay(upTo(twoPanes(), quilt::Step::tested).blocks[0], line));
    line.laid->melts = false;
    line.strokes = std::vector{through({{30, 100}, {150, 100}})}; // over the other pane too
    EXPECT_FALSE(plan::mayLay(quilt.blocks[0], line));
    line.laid->melts = true, line.laid->done = 1;
    const auto pressed = with(quilt, line);
    const auto findings = found(pressed, check::Kind::trimPressed);
    ASSERT_EQ(findings.size(), 1u);
    EXPECT_EQ(must(mend::mended(pressed, findings[0], check::Fix::takeOff)).blocks[0].lines[0].laid->done, 0);
}

TEST(NowOnFinish, TrimmingsComeLast) {
    auto quilt = upTo(twoPanes(), quilt::Step::stitched);
    const auto block = quilt.blocks[0].id;
    auto buttons = laidOn("buttons", Trim::button, 10, {through({{30, 100}}), through({{60, 100}})});
    auto ribbon = laidOn("ribbon", Trim::ribbon, 6, {through({{130, 100}, {180, 100}})});
    ribbon.laid->begin = ribbon.laid->end = LaidEnd::sealed;
    quilt = with(with(quilt, buttons), ribbon);
    auto now = nowOn(quilt, quilt::Tread::finish);
    ASSERT_EQ(now.what, plan::What::drawLines) << "their places are marked first";
    quilt = must(edit::linesDrawn(quilt, block, now.line->draw, 2));
    now = nowOn(quilt, quilt::Tread::finish);
    ASSERT_EQ(now.what, plan::What::layLine);
    EXPECT_EQ(now.laid->things, 2u);
    quilt = must(edit::lineLaid(quilt, block, now.laid->line, 2, 3));
    now = nowOn(quilt, quilt::Tread::finish);
    ASSERT_EQ(now.what, plan::What::layLine);
    EXPECT_EQ(now.caution, plan::Caution::flame) << "its ends are sealed";
    EXPECT_FALSE(now.laid->lies);
    quilt = must(edit::lineLaid(quilt, block, now.laid->line, 1, 4));
    now = nowOn(quilt, quilt::Tread::finish);
    ASSERT_EQ(now.what, plan::What::layLine);
    EXPECT_TRUE(now.laid->lies) << "stitched by hand now";
    quilt = must(edit::lineSewn(quilt, block, now.laid->line, 5));
    EXPECT_EQ(nowOn(quilt, quilt::Tread::finish).what, plan::What::trim);
}

TEST(TrimmingsToGet, AreAddedUpOverTheQuilt) {
    auto ribbon =
        laidOn("ribbon", Trim::ribbon, 6, {through({{30, 100}, {80, 100}}), through({{30, 120}, {60, 120}})});
    ribbon.laid->begin = ribbon.laid->end = LaidEnd::turnedIn;
    auto more = laidOn("more", Trim::ribbon, 6, {through({{100, 30}, {120, 30}})});
    more.laid->begin = more.laid->end = LaidEnd::sealed;
    auto rivets = laidOn("rivets", Trim::dot, 3, {through({{20, 20}}), through({{30, 20}})});
    rivets.laid->called = 12;
    auto quilt = with(with(with(twoPanes(), ribbon), more), rivets);
    quilt = with(quilt, laidOn("stem", Trim::stem, 9, {through({{30, 140}, {80, 140}})}));
    auto amounts = plan::trimmingsToGet(quilt);
    ASSERT_EQ(amounts.size(), 2u) << "the stem is cut from cloth";
    EXPECT_NEAR(amounts[0].length.mm(), 50 + 30 + 20 + 4 * inch / 4, 1e-6);
    EXPECT_EQ(amounts[1].things, 12u) << "as many as are called for";
    quilt = must(edit::lineLaid(quilt, quilt.blocks[0].id, quilt.blocks[0].lines[0].id, 1, 2));
    EXPECT_NEAR(plan::trimmingsToGet(quilt)[0].length.mm(), 30 + 20 + inch / 2, 1e-6);
}

TEST(BiasPlans, StripsOfTheWholeQuiltComeFromWhatThereIs) {
    auto quilt = twoPanes();
    const auto fabric = quilt.fabrics[0].id;
    auto stem =
        laidOn("stem", Trim::stem, 9.525, {through({{20, 30}, {200, 30}}), through({{20, 50}, {120, 50}})});
    stem.laid->fabric = fabric;
    quilt = with(quilt, stem);
    auto plans = plan::planBias(quilt);
    ASSERT_EQ(plans.size(), 1u);
    EXPECT_EQ(plans[0].strips.size(), 2u);
    ASSERT_TRUE(plans[0].buy) << "there is no cloth at all";
    EXPECT_TRUE(plans[0].cutting.unmet.empty());
    quilt::Cloth cloth;
    cloth.id = ClothId{quilt.nextId++}, cloth.name = "quarter", cloth.fabric = fabric;
    cloth.outline = shape::rectangle({0, 0, 457.2, 558.8}).rings;
    quilt.cloths.push_back(cloth);
    plans = plan::planBias(quilt);
    EXPECT_FALSE(plans[0].buy);
    EXPECT_EQ(plans[0].cutting.joins, 0u);
    // an L: the larger of its arms
    quilt.cloths[0].outline = {{{0, 0}, {457, 0}, {457, 200}, {200, 200}, {200, 300}, {0, 300}}};
    plans = plan::planBias(quilt);
    ASSERT_EQ(plans[0].sizes.size(), 1u);
    EXPECT_NEAR(plans[0].sizes[0].wide * plans[0].sizes[0].high, 457 * 200, 1);
    quilt = must(edit::lineLaid(quilt, quilt.blocks[0].id, quilt.blocks[0].lines[0].id, 1, 2));
    EXPECT_EQ(plan::planBias(quilt)[0].strips.size(), 1u) << "what is laid is cut";
    quilt = must(edit::lineLaid(quilt, quilt.blocks[0].id, quilt.blocks[0].lines[0].id, 2, 2));
    EXPECT_TRUE(plan::planBias(quilt).empty());
}

} // namespace
} // namespace up
