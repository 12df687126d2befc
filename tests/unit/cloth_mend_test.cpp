// SPDX-License-Identifier: GPL-3.0-or-later
// What is said, and done, when no cloth will do.
#include "core/base/lab.hpp"
#include "core/edit/stacking.hpp"
#include "core/edit/stashing.hpp"
#include "core/mend/mend.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/trace/by_hand.hpp"
#include "tests/support/on_cloths.hpp"
#include "words/finding_words.hpp"

namespace up::mend {
namespace {

using check::Fix;
using check::Kind;
using measure::Angle;
using test::must;
using test::OnCloths;

std::vector<check::Finding> aboutCloth(const quilt::Quilt& quilt) {
    auto all = plan::checkQuilt(quilt).open;
    std::erase_if(all, [](const check::Finding& f) {
        return f.kind != Kind::clothShort && f.kind != Kind::printAcross && f.kind != Kind::clothTaken;
    });
    return all;
}

bool offers(const check::Finding& finding, Fix fix) {
    return std::find(finding.fixes.begin(), finding.fixes.end(), fix) != finding.fixes.end();
}

TEST_F(OnCloths, NobodyIsToldOfFabricsThatTheStashHasNothingOf) {
    EXPECT_TRUE(aboutCloth(quilt).empty());
    add("sky", fabric(2), 200, 200);
    EXPECT_TRUE(aboutCloth(quilt).empty()) << "there is no red, and room for the sky";
}

TEST_F(OnCloths, ClothThatIsTooSmallIsNamedWithItsSize) {
    add("narrow", fabric(2), 50.8, 254);
    const auto found = aboutCloth(quilt);
    ASSERT_EQ(found.size(), 1U);
    EXPECT_EQ(found[0].kind, Kind::clothShort);
    // 60 mm, a rough cut of 1/4 in and 1/8 in of cloth on either side: 79.05 mm, up to 3 1/4 in.
    EXPECT_EQ(words::sentence(quilt, found[0]),
              "3 1/4 in × 3 1/4 in of " + the(quilt.fabrics, fabric(2)).name +
                  " are wanted for 3 sky; the largest piece in the stash is 10 in × 2 in.");
    EXPECT_FALSE(offers(found[0], Fix::nearFabric)) << "red is not near blue";
}

TEST_F(OnCloths, AFabricNearInColourStandsIn) {
    add("narrow", fabric(2), 50, 250);
    const auto blue = the(quilt.fabrics, fabric(2)).colour;
    const auto fabricOf = [&](const char* name, Colour colour, double side) {
        quilt = must(edit::addFabric(quilt, name, colour));
        const auto id = quilt.fabrics.back().id;
        add(name, id, side, side);
        return id;
    };
    const Colour nearer{0x24, 0x47, 0xa6}, near{0x30, 0x52, 0xb2}, light{0xa0, 0xb8, 0xf0};
    fabricOf("nearest, but small", nearer, 40);
    const auto wanted = fabricOf("near", near, 100);
    fabricOf("sky of noon", light, 300);
    ASSERT_LT(difference(labOf(blue), labOf(near)), plan::nearColour);
    ASSERT_GT(std::abs(labOf(blue).lightness - labOf(light).lightness), plan::nearLightness);
    const auto found = aboutCloth(quilt);
    ASSERT_EQ(found.size(), 1U);
    ASSERT_TRUE(offers(found[0], Fix::nearFabric));
    const auto mended = must(mend::mended(quilt, found[0], Fix::nearFabric));
    const auto& after = the(mended.blocks, block);
    EXPECT_EQ(after.pieces[2].fabric, wanted);
    EXPECT_TRUE(aboutCloth(mended).empty());
    ASSERT_EQ(after.onCloth.size(), 1U) << "and it is laid on it at once";
    EXPECT_EQ(plan::planBonding(mended, after, plan::planTrace(mended, after)).cloths[0].chunks[0].lies,
              plan::Lies::well);
}

TEST_F(OnCloths, APrintThatWouldRunAcrossMayRunAnyWay) {
    quilt = must(edit::setPrint(quilt, fabric(2), quilt::Print::striped, Angle::ofDegrees(5)));
    the(the(quilt.blocks, block).pieces, pieces[2]).grain = Angle::ofDegrees(45);
    // Lying square on 85 mm it fits, turned by 45° it does not; its corners are round.
    const auto cloth = add("sky", fabric(2), 85, 85);
    const double turned = trace().chunks[chunkOf(2)].made.front().first.turn.degrees();
    the(quilt.cloths, cloth).stripes = Angle::ofDegrees(turned);
    const auto found = aboutCloth(quilt);
    ASSERT_EQ(found.size(), 1U);
    EXPECT_EQ(found[0].kind, Kind::printAcross);
    ASSERT_TRUE(offers(found[0], Fix::anyWay));
    const auto mended = must(mend::mended(quilt, found[0], Fix::anyWay));
    EXPECT_FALSE(the(mended.blocks, block).pieces[2].grain);
    EXPECT_EQ(the(mended.blocks, block).onCloth.size(), 1U);
    EXPECT_TRUE(aboutCloth(mended).empty());
}

/// The two red squares as one chunk, 6 mm apart.
quilt::Quilt joined(quilt::Quilt quilt, BlockId block, PieceId left, PieceId right) {
    auto& traced = the(quilt.blocks, block).layout->traced;
    const auto of = [&](PieceId piece) -> quilt::Traced& {
        return *std::find_if(traced.begin(), traced.end(), [&](const auto& t) { return t.piece == piece; });
    };
    auto &one = of(left), &two = of(right);
    one.turn = two.turn = Angle();
    two.chunk = one.chunk, two.sheet = one.sheet;
    two.x = one.x + 146, two.y = one.y; // mirrored, they lie 100 mm apart, the second to the left
    return quilt;
}

TEST_F(OnCloths, AChunkThatFindsNoRoomIsPartedWhereTheCutIsShortest) {
    quilt = joined(std::move(quilt), block, pieces[0], pieces[1]);
    ASSERT_EQ(trace().chunks.size(), 2U);
    add("scrap", fabric(0), 60, 60);
    const auto half = must(mend::mended(quilt, aboutCloth(quilt).at(0), Fix::part));
    EXPECT_EQ(the(half.blocks, block).onCloth.size(), 1U) << "one of them at least";
    add("another", fabric(0), 60, 60);
    const auto found = aboutCloth(quilt);
    ASSERT_EQ(found.size(), 1U);
    EXPECT_EQ(found[0].kind, Kind::clothShort);
    ASSERT_TRUE(offers(found[0], Fix::part));
    quilt = must(mend::mended(quilt, found[0], Fix::part));
    EXPECT_TRUE(aboutCloth(quilt).empty());
    const auto after = trace();
    ASSERT_EQ(after.chunks.size(), 3U);
    const auto &one = after.chunks[chunkOf(0)].roughCut, &two = after.chunks[chunkOf(1)].roughCut;
    EXPECT_NEAR(test::geosArea(shape::intersect(one, two)), 0, 0.5) << "the web is cut, not shared";
    // 40 mm and a rough cut of 1/4 in, but for the side where the other lies: half of 6 mm.
    EXPECT_NEAR(one.bounds().width(), 40 + 6.35 + 3, 0.1);
    EXPECT_EQ(of().onCloth.size(), 2U);
    for (const auto& use : plan::planBonding(quilt, of(), after).cloths)
        for (const auto& laid : use.chunks)
            EXPECT_EQ(laid.lies, plan::Lies::well);
}

/// A long red piece beside a square one, 6 mm apart, nothing traced yet.
TEST_F(OnCloths, APieceIsTurnedOnTheWebWhereThatHelps) {
    auto& all = the(quilt.blocks, block).pieces;
    all[1].outline = shape::outlinesOf(shape::rectangle({100, 30, 190, 50})).front();
    for (auto& piece : all)
        piece.work.step = quilt::Step::toTrace;
    auto& traced = the(quilt.blocks, block).layout->traced;
    const auto put = [&](PieceId piece, double left, double top) {
        for (auto& one : traced)
            if (one.piece == piece) {
                one.turn = Angle(), one.sheet = 0, one.chunk = piece == pieces[2] ? 1 : 0;
                const auto box = boundsOf(quilt::reversed(the(all, piece)));
                one.x = left - box.left, one.y = top - box.top;
            }
    };
    put(pieces[0], 20, 60), put(pieces[1], 66, 70), put(pieces[2], 300, 60);
    ASSERT_EQ(trace().chunks.size(), 2U);
    add("scrap", fabric(0), 60, 60),
        add("strip", fabric(0), 40, 112); // 136 mm together, and a margin all round
    const auto found = aboutCloth(quilt);
    ASSERT_EQ(found.size(), 1U);
    ASSERT_TRUE(offers(found[0], Fix::turnPiece));
    const auto mended = must(mend::mended(quilt, found[0], Fix::turnPiece));
    const auto& after = the(mended.blocks, block);
    EXPECT_TRUE(aboutCloth(mended).empty());
    EXPECT_TRUE(plan::tooClose(mended, after, *after.layout).empty());
    for (const auto& use : plan::planBonding(mended, after, plan::planTrace(mended, after)).cloths)
        for (const auto& laid : use.chunks)
            EXPECT_EQ(laid.lies, plan::Lies::well);
    the(the(quilt.blocks, block).pieces, pieces[0]).work.step = quilt::Step::traced;
    the(the(quilt.blocks, block).pieces, pieces[1]).work.step = quilt::Step::traced;
    EXPECT_FALSE(offers(aboutCloth(quilt).at(0), Fix::turnPiece)) << "drawn is drawn";
}

TEST_F(OnCloths, AChunkThatWasPartedStaysSoWhenAnotherPieceIsMoved) {
    quilt = joined(std::move(quilt), block, pieces[0], pieces[1]);
    for (auto& piece : the(quilt.blocks, block).pieces)
        piece.work.step = quilt::Step::toTrace;
    const auto before = plan::tooClose(quilt, of(), *of().layout);
    add("scrap", fabric(0), 60, 60), add("another", fabric(0), 60, 60);
    quilt = must(mend::mended(quilt, aboutCloth(quilt).at(0), Fix::part));
    EXPECT_EQ(trace().chunks.size(), 3U);
    EXPECT_EQ(plan::tooClose(quilt, of(), *of().layout), before) << "the scissors have room between them";
    auto layout = plan::movedByHand(of(), *of().layout, {pieces[2]}, 1, 1, Angle());
    EXPECT_EQ(plan::planTrace(quilt, of(), layout).chunks.size(), 3U);
    layout = plan::movedByHand(of(), *of().layout, {pieces[1]}, 1, 1, Angle());
    EXPECT_EQ(plan::planTrace(quilt, of(), layout).chunks.size(), 2U) << "who is moved there is cut together";
}

TEST_F(OnCloths, WhatIsMissingGoesOnTheShoppingListOnce) {
    add("narrow", fabric(2), 50.8, 254);
    auto found = aboutCloth(quilt);
    ASSERT_EQ(found.size(), 1U);
    ASSERT_TRUE(offers(found[0], Fix::shoppingList));
    quilt = must(mend::mended(quilt, found[0], Fix::shoppingList));
    ASSERT_EQ(quilt.wants.size(), 1U);
    EXPECT_EQ(quilt.wants[0].fabric, fabric(2));
    EXPECT_EQ(quilt.wants[0].block, block);
    EXPECT_EQ(quilt.wants[0].width, measure::Length::ofInches(13, 4));
    found = aboutCloth(quilt);
    ASSERT_EQ(found.size(), 1U) << "it is still missing";
    EXPECT_FALSE(offers(found[0], Fix::shoppingList));
    EXPECT_EQ(must(edit::removeWant(quilt, quilt.wants[0].id)).wants.size(), 0U);
}

TEST_F(OnCloths, RoomThatOthersTakeIsSaidAndWhatLiesStays) {
    add("scrap", fabric(0), 62, 62);
    lay();
    ASSERT_EQ(of().onCloth.size(), 1U);
    const auto found = aboutCloth(quilt);
    ASSERT_EQ(found.size(), 1U);
    EXPECT_EQ(found[0].kind, Kind::clothTaken);
    const auto before = of().onCloth;
    add("another", fabric(0), 62, 62);
    const auto rest = plan::layTheRest(quilt, of(), trace());
    ASSERT_EQ(rest.size(), 2U);
    EXPECT_TRUE(std::find(rest.begin(), rest.end(), before[0]) != rest.end()) << "where it lay";
    const auto left = must(mend::mended(quilt, found[0], Fix::leaveSo));
    EXPECT_TRUE(must(mend::mended(quilt, found, Fix::leaveSo)).blocks[0].leftSo.size() == 1);
    EXPECT_TRUE(left.cloths == quilt.cloths);
}

} // namespace
} // namespace up::mend
