// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/lab.hpp"
#include "core/edit/saying.hpp"
#include "core/edit/shapes.hpp"
#include "core/edit/stacking.hpp"
#include "core/mend/mend.hpp"
#include "core/plan/block/shine_plan.hpp"
#include "core/plan/check/check_plan.hpp"
#include "tests/support/mosaics.hpp"
#include "tests/support/shapes.hpp"

#include <algorithm>
#include <gtest/gtest.h>

namespace up::mend {
namespace {

using check::Finding;
using check::Fix;
using check::Kind;
using measure::Length;
using test::must;
using test::quiltOf;

constexpr Colour white{250, 250, 248}, navy{28, 44, 84}, rust{178, 90, 44};

shape::Ring bar(double l, double t, double r, double b) {
    return {{l, t}, {r, t}, {r, b}, {l, b}};
}

const quilt::Block& blockOf(const Quilt& quilt) {
    return quilt.blocks.front();
}
PieceId pieceId(const Quilt& quilt, std::size_t i) {
    return blockOf(quilt).pieces[i].id;
}

std::vector<Finding> found(const Quilt& quilt, Kind kind) {
    auto all = plan::checkQuilt(quilt).open;
    std::erase_if(all, [&](const Finding& f) { return f.kind != kind; });
    return all;
}

Quilt put(const Quilt& quilt, const Finding& finding, Fix fix) {
    EXPECT_NE(std::find(finding.fixes.begin(), finding.fixes.end(), fix), finding.fixes.end());
    return must(mended(quilt, finding, fix));
}

std::vector<std::string> names(const Quilt& quilt) {
    std::vector<std::string> out;
    for (const auto& piece : blockOf(quilt).pieces)
        out.push_back(piece.name);
    return out;
}

// --- peeking

class Peeking : public testing::TestWithParam<std::pair<double, Fix>> {};

TEST_P(Peeking, IsGoneAfterOneClick) {
    const auto [beside, fix] = GetParam();
    const auto quilt =
        quiltOf({{"lower", bar(60, 20, 120, 120), rust}, {"upper", bar(60 + beside, 50, 160, 130), navy}});
    const auto kind = beside > 0 ? Kind::peeks : Kind::nearlyPeeks;
    const auto before = found(quilt, kind);
    ASSERT_EQ(before.size(), 1U);
    EXPECT_EQ(before[0].piece, pieceId(quilt, 0));
    EXPECT_EQ(before[0].other, pieceId(quilt, 1));
    EXPECT_FALSE(before[0].where.isEmpty());
    const auto after = put(quilt, before[0], fix);
    EXPECT_TRUE(found(after, Kind::peeks).empty());
    EXPECT_TRUE(found(after, Kind::nearlyPeeks).empty());
}

INSTANTIATE_TEST_SUITE_P(Remedies, Peeking,
                         testing::Values(std::pair{1.0, Fix::trimLower}, std::pair{1.0, Fix::widenUpper},
                                         std::pair{1.0, Fix::nudgeUpper}, std::pair{-0.8, Fix::trimLower},
                                         std::pair{-0.8, Fix::widenUpper}, std::pair{-0.8, Fix::nudgeUpper}));

TEST(Peeking, APieceThatNobodySeesIsToldOfOnce) {
    const auto quilt =
        quiltOf({{"lower", bar(60, 60, 120, 120), rust}, {"same", bar(60, 60, 120, 120), rust}});
    EXPECT_EQ(found(quilt, Kind::hiddenWholly).size(), 1U);
    EXPECT_TRUE(found(quilt, Kind::nearlyPeeks).empty());
}

TEST(Trimming, OfACutPieceIsASnipNotANewPiece) {
    auto quilt = quiltOf({{"lower", bar(60, 60, 120, 120), rust}, {"upper", bar(61, 50, 160, 130), navy}});
    const std::vector<PieceId> lower{pieceId(quilt, 0)};
    for (const auto step :
         {quilt::Step::traced, quilt::Step::roughCut, quilt::Step::bonded, quilt::Step::cleanCut})
        quilt = must(edit::record(quilt, blockOf(quilt).id, lower, step, 0));
    const auto after = put(quilt, found(quilt, Kind::peeks).at(0), Fix::trimLower);
    EXPECT_EQ(blockOf(after).pieces[0].work.step, quilt::Step::cleanCut);
}

TEST(Peeking, OfFusedPiecesIsHistory) {
    auto quilt = quiltOf({{"lower", bar(60, 60, 120, 120), rust}, {"upper", bar(61, 50, 160, 130), navy}});
    for (auto& piece : quilt.blocks[0].pieces)
        piece.work.step = quilt::Step::fused;
    EXPECT_TRUE(found(quilt, Kind::peeks).empty());
}

// --- underlap

TEST(Tuck, TwoThatMerelyMeet) {
    const auto quilt =
        quiltOf({{"left", bar(60, 60, 100, 120), rust}, {"right", bar(100, 60, 160, 120), navy}});
    const auto before = found(quilt, Kind::reachesTooShort);
    ASSERT_EQ(before.size(), 1U);
    const auto after = put(quilt, before[0], Fix::tuck);
    EXPECT_TRUE(found(after, Kind::reachesTooShort).empty());
    EXPECT_NEAR(boundsOf(quilt::placed(blockOf(after).pieces[0])).right, 106.35, 0.1);
}

TEST(Tuck, OneThatReachesTooShort) {
    const auto quilt =
        quiltOf({{"left", bar(60, 60, 102.5, 120), rust}, {"right", bar(100, 50, 160, 130), navy}});
    const auto before = found(quilt, Kind::reachesTooShort);
    ASSERT_EQ(before.size(), 1U);
    EXPECT_TRUE(found(put(quilt, before[0], Fix::tuck), Kind::reachesTooShort).empty());
}

Quilt mosaicQuilt(std::size_t which) {
    std::vector<test::Drawn> drawn;
    int i = 0;
    const auto mosaic = test::mosaics().at(which);
    for (const auto& piece : mosaic.pieces) {
        const auto shade = static_cast<std::uint8_t>(30 + (i * 67) % 220);
        drawn.push_back({"pane " + std::to_string(++i), piece.rings.front(), {shade, shade, shade}});
    }
    return quiltOf(drawn);
}

TEST(TuckAll, TurnsADrawingOfPanesIntoPieces) {
    const auto quilt = mosaicQuilt(3);
    const auto before = found(quilt, Kind::reachesTooShort);
    ASSERT_GT(before.size(), manyBorders);
    const auto after = must(mended(quilt, before, Fix::tuck));
    EXPECT_LT(found(after, Kind::reachesTooShort).size(), 3U);
    // As seen from the front nothing has changed.
    const auto was = plan::planBlock(blockOf(quilt)), is = plan::planBlock(blockOf(after));
    for (std::size_t i = 0; i < was.visible.size(); ++i)
        EXPECT_NEAR(was.visible[i].area(), is.visible[i].area(), 0.001 * was.visible[i].area() + 0.3);
}

TEST(TuckedUnder, TheLighterGoesBelowWhenAskedFor) {
    const auto quilt = mosaicQuilt(2);
    const auto plan =
        plan::planUnderlap(quilt, blockOf(quilt), plan::planBlock(blockOf(quilt)), plan::Below::lighter);
    ASSERT_FALSE(plan.borders.empty());
    const auto lightness = [&](PieceId id) {
        return labOf(find(quilt.fabrics, find(blockOf(quilt).pieces, id)->fabric)->colour).lightness;
    };
    for (const auto& border : plan.borders) {
        if (border.reason == stack::Reason::lighter) {
            EXPECT_GT(lightness(border.lower), lightness(border.upper));
        }
    }
    const auto after = must(tuckedUnder(quilt, blockOf(quilt).id, plan::Below::lighter));
    for (const auto& border : plan.borders)
        EXPECT_LT(quilt::numberOf(blockOf(after), border.lower),
                  quilt::numberOf(blockOf(after), border.upper));
}

// --- order

TEST(PutOver, ChangesTheOrderAsLittleAsNeeded) {
    const auto quilt =
        quiltOf({{"a", bar(20, 20, 60, 60)}, {"b", bar(50, 20, 90, 60)}, {"c", bar(150, 20, 190, 60)}});
    const auto after = must(putOver(quilt, blockOf(quilt).id, pieceId(quilt, 0), pieceId(quilt, 1)));
    EXPECT_EQ(names(after), (std::vector<std::string>{"b", "a", "c"}));
}

TEST(PutOver, AKnotIsToldAndCutApart) {
    // Four bars woven into a square, drawn 0 … 3 from below; 0 is wanted over 3 too.
    const auto quilt = quiltOf({{"top", bar(60, 60, 160, 75), rust},
                                {"right", bar(140, 50, 155, 150), navy},
                                {"bottom", bar(50, 130, 170, 145), rust},
                                {"left", bar(70, 50, 85, 150), navy}});
    const auto knotted = must(putOver(quilt, blockOf(quilt).id, pieceId(quilt, 0), pieceId(quilt, 3)));
    const auto before = found(knotted, Kind::interwoven);
    ASSERT_EQ(before.size(), 1U);
    EXPECT_EQ(before[0].severity(), check::Severity::blocked);
    const auto after = put(knotted, before[0], Fix::untie);
    EXPECT_TRUE(found(after, Kind::interwoven).empty());
    EXPECT_EQ(blockOf(after).pieces.size(), 5U);
    // The picture is as it was wanted: the same areas are seen, the two halves taken together.
    const auto was = plan::planBlock(blockOf(knotted)), is = plan::planBlock(blockOf(after));
    const auto seen = [](const quilt::Block& block, const plan::BlockPlan& plan, const std::string& name) {
        double sum = 0;
        for (std::size_t i = 0; i < block.pieces.size(); ++i)
            if (block.pieces[i].name.starts_with(name)) sum += plan.visible[i].area();
        return sum;
    };
    for (const char* name : {"top", "right", "bottom", "left"})
        EXPECT_NEAR(seen(blockOf(knotted), was, name), seen(blockOf(after), is, name), 1) << name;
}

TEST(NumberedAnew, GoesByStepThenFabricThenPlace) {
    const auto quilt = quiltOf({{"low right", bar(150, 20, 190, 60), rust},
                                {"on it", bar(160, 30, 180, 50), navy},
                                {"low left", bar(20, 20, 60, 60), rust},
                                {"other", bar(80, 20, 120, 60), navy}});
    const auto after = must(numberedAnew(quilt, blockOf(quilt).id));
    EXPECT_EQ(names(after), (std::vector<std::string>{"low left", "low right", "other", "on it"}));
    const auto again = must(numberedAnew(after, blockOf(after).id));
    EXPECT_EQ(names(again), names(after)) << "stable";
    const auto moved =
        must(edit::movePiece(after, blockOf(after).id, pieceId(after, 0), Length::ofMm(3), Length::ofMm(1)));
    EXPECT_EQ(names(moved), names(after)) << "a move numbers nothing anew";
}

// --- units

TEST(Units, AreBroughtTogetherAndShareANumber) {
    auto quilt = quiltOf({{"head", bar(20, 20, 80, 80)},
                          {"leaf", bar(150, 20, 190, 60)},
                          {"eye", bar(30, 30, 40, 40)},
                          {"beak", bar(60, 30, 70, 40)}});
    quilt =
        must(madeUnit(quilt, blockOf(quilt).id, {pieceId(quilt, 0), pieceId(quilt, 2), pieceId(quilt, 3)}));
    const auto& block = blockOf(quilt);
    EXPECT_EQ(quilt::labelOf(block, find(block.pieces, pieceId(quilt, 0))->id), "1a");
    EXPECT_EQ(names(quilt), (std::vector<std::string>{"head", "eye", "beak", "leaf"}));
    EXPECT_EQ(quilt::labelOf(block, block.pieces[2].id), "1c");
    EXPECT_EQ(quilt::labelOf(block, block.pieces[3].id), "2");
    EXPECT_TRUE(found(quilt, Kind::unitBroken).empty());
}

TEST(Units, CannotHaveAnotherPieceBetweenThem) {
    const auto quilt =
        quiltOf({{"a", bar(20, 20, 80, 80)}, {"b", bar(40, 40, 100, 100)}, {"c", bar(60, 60, 120, 120)}});
    const auto result = madeUnit(quilt, blockOf(quilt).id, {pieceId(quilt, 0), pieceId(quilt, 2)});
    ASSERT_FALSE(result);
    EXPECT_EQ(result.error().code, Code::comesBetween);
    EXPECT_EQ(result.error().args.at(0), "2 b");
}

TEST(Units, APieceThatIsMovedOutOfOneLeavesIt) {
    auto quilt = quiltOf(
        {{"head", bar(20, 20, 80, 80)}, {"eye", bar(30, 30, 40, 40)}, {"leaf", bar(150, 20, 190, 60)}});
    quilt = must(madeUnit(quilt, blockOf(quilt).id, {pieceId(quilt, 0), pieceId(quilt, 1)}));
    const auto eye = pieceId(quilt, 1), leaf = pieceId(quilt, 2);
    const auto out = must(edit::restack(quilt, blockOf(quilt).id, eye, 1));
    EXPECT_EQ(names(out), (std::vector<std::string>{"head", "leaf", "eye"}));
    EXPECT_EQ(find(blockOf(out).pieces, eye)->unit, 0);
    const auto past = must(edit::restack(quilt, blockOf(quilt).id, leaf, -1));
    EXPECT_EQ(names(past), (std::vector<std::string>{"leaf", "head", "eye"})) << "past the unit as a whole";
}

// --- shine and linings

TEST(Shine, LightOnDarkIsFoundAndALiningHelps) {
    const auto quilt =
        quiltOf({{"ground", bar(20, 20, 150, 150), navy}, {"breast", bar(40, 40, 100, 100), white}});
    const auto before = found(quilt, Kind::shinesThrough);
    ASSERT_EQ(before.size(), 1U);
    EXPECT_EQ(before[0].piece, pieceId(quilt, 1));
    EXPECT_EQ(before[0].other, pieceId(quilt, 0));
    const auto after = put(quilt, before[0], Fix::line);
    EXPECT_TRUE(found(after, Kind::shinesThrough).empty());
    const auto& block = blockOf(after);
    ASSERT_EQ(block.pieces.size(), 3U);
    EXPECT_EQ(block.pieces[1].liningOf, block.pieces[2].id) << "one number before";
    // Just inside: 1/32 to 1/16 in. Source: common practice.
    const auto lining = boundsOf(quilt::placed(block.pieces[1])),
               own = boundsOf(quilt::placed(block.pieces[2]));
    EXPECT_GE(lining.left - own.left, 25.4 / 32);
    EXPECT_LE(lining.left - own.left, 25.4 / 16);
    EXPECT_TRUE(found(after, Kind::hiddenWholly).empty()) << "a lining is meant to be hidden";
    EXPECT_TRUE(found(after, Kind::nearlyPeeks).empty()) << "and to lie just inside";
}

TEST(Shine, OnlyThePartOverTheDark) {
    const auto quilt =
        quiltOf({{"ground", bar(20, 20, 70, 150), navy}, {"breast", bar(40, 40, 100, 100), white}});
    const auto before = found(quilt, Kind::shinesThrough);
    ASSERT_EQ(before.size(), 1U);
    EXPECT_NEAR(before[0].where.area(), 30 * 60, 30);
}

TEST(Shine, DarkOnLightAndDenseClothAreWell) {
    EXPECT_TRUE(
        found(quiltOf({{"ground", bar(20, 20, 150, 150), white}, {"breast", bar(40, 40, 100, 100), navy}}),
              Kind::shinesThrough)
            .empty());
    auto dense = quiltOf({{"ground", bar(20, 20, 150, 150), navy}, {"breast", bar(40, 40, 100, 100), white}});
    dense = must(edit::setOpacity(dense, blockOf(dense).pieces[1].fabric, 0.99));
    EXPECT_TRUE(found(dense, Kind::shinesThrough).empty());
}

TEST(Mended, AllOfARowAtOnceAndWhatCannotBeStays) {
    auto quilt = quiltOf({{"a", bar(-3, 20, 30, 10), white},
                          {"b", bar(-4, 60, 30, 10), white},
                          {"c", bar(-5, 100, 30, 10), white}});
    for (auto& piece : quilt.blocks[0].pieces)
        piece.runsOff = false;
    quilt.blocks[0].pieces[1].work.step = quilt::Step::fused;
    const auto before = found(quilt, Kind::outsideFinished);
    ASSERT_EQ(before.size(), 3U);
    const auto after = must(mended(quilt, before, Fix::moveInside));
    const auto rest = found(after, Kind::outsideFinished);
    ASSERT_EQ(rest.size(), 1U);
    EXPECT_EQ(rest[0].piece, pieceId(quilt, 1));
    EXPECT_EQ(mended(after, rest, Fix::moveInside).error().code, Code::alreadyFused);
    EXPECT_EQ(must(mended(after, rest, Fix::leaveSo)).blocks[0].leftSo.size(), 1U);
}

TEST(Shine, CuttingAwayAndAcceptingSettleIt) {
    const auto quilt =
        quiltOf({{"ground", bar(20, 20, 150, 150), navy}, {"breast", bar(40, 40, 100, 100), white}});
    const auto finding = found(quilt, Kind::shinesThrough).at(0);
    for (const auto fix : {Fix::cutAway, Fix::leaveSo})
        EXPECT_TRUE(found(put(quilt, finding, fix), Kind::shinesThrough).empty());
}

TEST(Lining, GoesWhereItsPieceGoes) {
    auto quilt = quiltOf({{"ground", bar(20, 20, 180, 180), navy}, {"leg", bar(40, 40, 60, 100), white}});
    const auto leg = pieceId(quilt, 1);
    const auto block = blockOf(quilt).id;
    quilt = must(lined(quilt, block, leg));
    quilt = must(edit::turnPiece(quilt, block, leg, measure::Angle::ofDegrees(37)));
    quilt = must(edit::movePiece(quilt, block, leg, Length::ofMm(20), Length::ofMm(5)));
    const auto plan = plan::planBlock(blockOf(quilt));
    EXPECT_LT(shape::subtract(plan.regions[1], plan.regions[2]).area(), 0.01) << "still beneath it";
    quilt = must(edit::restack(quilt, block, leg, -1));
    EXPECT_EQ(names(quilt), (std::vector<std::string>{"lining of leg", "leg", "ground"}));
    quilt = must(edit::removePiece(quilt, block, leg));
    EXPECT_EQ(names(quilt), (std::vector<std::string>{"ground"}));
}

// --- the seam

TEST(SeamLine, AnEdgeInItIsToldAndCarriedOn) {
    const auto quilt = quiltOf({{"bank", bar(0.3, 100, 60, 160), rust}});
    const auto before = found(quilt, Kind::inTheSeamLine);
    ASSERT_EQ(before.size(), 1U);
    const auto after = put(quilt, before[0], Fix::carryOn);
    EXPECT_TRUE(found(after, Kind::inTheSeamLine).empty());
    EXPECT_TRUE(found(after, Kind::runsOffTooShort).empty());
    const auto& piece = blockOf(after).pieces[0];
    EXPECT_TRUE(piece.runsOff);
    EXPECT_NEAR(boundsOf(quilt::placed(piece)).left, -(25.4 / 4 + 25.4 / 8), 0.2) << "¼ in and a little";
}

TEST(Locked, PiecesStayWhereTheyAre) {
    auto quilt = quiltOf({{"a", bar(20, 20, 60, 60)}});
    quilt = must(edit::set(quilt, blockOf(quilt).id, {pieceId(quilt, 0)}, &quilt::Piece::locked, true));
    const auto moved =
        edit::movePiece(quilt, blockOf(quilt).id, pieceId(quilt, 0), Length::ofMm(1), Length());
    ASSERT_FALSE(moved);
    EXPECT_EQ(moved.error().code, Code::locked);
}

TEST(Stiff, ManyLayersAreToldWithTheWebThatWindowsFree) {
    const auto quilt = quiltOf({{"a", bar(20, 20, 180, 180), rust},
                                {"b", bar(30, 30, 170, 170), navy},
                                {"c", bar(45, 45, 150, 150), rust}});
    const auto before = found(quilt, Kind::stiff);
    ASSERT_EQ(before.size(), 1U);
    const auto after = put(quilt, before[0], Fix::windows);
    EXPECT_TRUE(found(after, Kind::stiff).empty());
    EXPECT_EQ(blockOf(after).school, quilt::School::windowed);
}

// --- hidden, and too short

TEST(HiddenWholly, IsLeftOutOrBroughtUp) {
    const auto quilt = quiltOf({{"lost", bar(40, 40, 60, 60), rust}, {"cover", bar(20, 20, 100, 100), navy}});
    const auto hidden = found(quilt, Kind::hiddenWholly);
    ASSERT_EQ(hidden.size(), 1U);
    EXPECT_EQ(names(put(quilt, hidden[0], Fix::leaveOut)), (std::vector<std::string>{"cover"}));
    const auto up = put(quilt, hidden[0], Fix::bringUp);
    EXPECT_EQ(names(up), (std::vector<std::string>{"cover", "lost"}));
    EXPECT_TRUE(found(up, Kind::hiddenWholly).empty());
}

/// Beyond the finished edge, but not through the seam allowance: carried on over the raw edge.
TEST(RunsOffTooShort, IsCarriedOnOverTheRawEdge) {
    auto quilt = quiltOf({{"bank", bar(-3, 150, 231, 200), rust}});
    quilt.blocks[0].pieces[0].runsOff = true;
    const auto tooShort = found(quilt, Kind::runsOffTooShort);
    ASSERT_EQ(tooShort.size(), 1U);
    const auto after = put(quilt, tooShort[0], Fix::carryOn);
    const auto box = boundsOf(quilt::placed(blockOf(after).pieces[0]));
    const double raw = (quilt::seamAllowance + beyondRaw).mm();
    EXPECT_NEAR(box.left, -raw, 0.1);
    EXPECT_NEAR(box.right, 228.6 + raw, 0.1);
    EXPECT_NEAR(box.top, 150, 0.1) << "and nowhere else";
    EXPECT_TRUE(found(after, Kind::runsOffTooShort).empty());
}

// --- as it was said

TEST(TuckedUnder, GoesByWhatWasSaidOfEachTwo) {
    const auto quilt = quiltOf({{"left", bar(20, 20, 80, 80), white}, {"right", bar(80, 20, 140, 80), navy}});
    const auto left = pieceId(quilt, 0), right = pieceId(quilt, 1);
    const auto width = [](const Quilt& q, PieceId piece) {
        return boundsOf(quilt::placed(*quilt::find(blockOf(q).pieces, piece))).width();
    };
    const Length eighth = Length::ofInches(1, 8);
    const auto drawn = must(tuckedUnder(quilt, blockOf(quilt).id, {eighth, plan::Below::drawn, {}}));
    EXPECT_NEAR(width(drawn, left), 60 + eighth.mm(), 0.1);
    EXPECT_NEAR(width(drawn, right), 60, 0.01);
    const auto said =
        must(tuckedUnder(quilt, blockOf(quilt).id, {eighth, plan::Below::drawn, {{left, right}}}));
    EXPECT_NEAR(width(said, right), 60 + eighth.mm(), 0.1);
    EXPECT_NEAR(width(said, left), 60, 0.01);
    EXPECT_EQ(names(said), (std::vector<std::string>{"right", "left"}));
    const auto much = tuckedUnder(quilt, blockOf(quilt).id, {Length::ofInches(3, 1), plan::Below::drawn, {}});
    ASSERT_FALSE(much);
    EXPECT_EQ(much.error().code, Code::absurdSize);
}

} // namespace
} // namespace up::mend
