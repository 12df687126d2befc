// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/showing.hpp"
#include "core/stack/underlap.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/mosaics.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::stack {
namespace {

using shape::Region;
using test::squareRegion;

/// Everything about how pieces lie that the questions ask for.
struct Lying {
    explicit Lying(std::vector<Region> all)
        : pieces(std::move(all)), above(aboveOf(pieces, {}, usualUnderlap + meetingGap)) {
        for (std::size_t i = 0; i < pieces.size(); ++i) {
            cover.push_back(together(pieces, above[i]));
            visible.push_back(visiblePart(pieces[i], cover[i]));
        }
    }
    [[nodiscard]] Tucked at(std::size_t i) const { return {pieces, i, above[i], cover[i], visible[i]}; }
    [[nodiscard]] Lying tucked(double amount) const {
        std::vector<Region> grown;
        for (std::size_t i = 0; i < pieces.size(); ++i)
            grown.push_back(grownUnder(at(i), amount));
        return Lying(grown);
    }
    [[nodiscard]] double shortBorder(double amount) const {
        double out = 0;
        for (std::size_t i = 0; i < pieces.size(); ++i)
            for (const auto& s : shortfalls(at(i), amount))
                out += s.border;
        return out;
    }
    std::vector<Region> pieces;
    std::vector<std::vector<std::size_t>> above;
    std::vector<Region> cover, visible;
};

Region bar(double l, double t, double r, double b) {
    return shape::rectangle({l, t, r, b});
}

TEST(Shortfalls, TwoThatMerelyMeet) {
    const Lying lying({bar(0, 0, 40, 30), bar(40, 0, 80, 30)});
    const auto found = shortfalls(lying.at(0));
    ASSERT_EQ(found.size(), 1U);
    EXPECT_EQ(found[0].upper, 1U);
    EXPECT_EQ(found[0].least, 0);
    EXPECT_NEAR(found[0].wanted, usualUnderlap, 0.01);
    EXPECT_NEAR(found[0].border, 30, 4);
}

TEST(Shortfalls, OneThatReachesFarEnoughIsWell) {
    EXPECT_TRUE(shortfalls(Lying({bar(0, 0, 47, 30), bar(40, -10, 80, 40)}).at(0)).empty());
}

TEST(Shortfalls, OneThatReachesALittleIsMeasured) {
    const Lying lying({bar(0, 0, 42, 30), bar(40, -10, 80, 40)});
    const auto found = shortfalls(lying.at(0));
    ASSERT_EQ(found.size(), 1U);
    EXPECT_NEAR(found[0].least, 2, 0.05);
}

TEST(Shortfalls, AnEyeOnAHeadIsWell) {
    EXPECT_TRUE(shortfalls(Lying({bar(0, 0, 60, 60), bar(20, 20, 26, 26)}).at(0)).empty());
}

TEST(Shortfalls, AnEyeInAHoleIsNot) {
    const auto head = shape::subtract(bar(0, 0, 60, 60), bar(20, 20, 40, 40));
    const auto found = shortfalls(Lying({head, bar(20, 20, 40, 40)}).at(0));
    ASSERT_EQ(found.size(), 1U);
    EXPECT_NEAR(found[0].border, 80, 4);
}

TEST(Shortfalls, AStripThatComesInAslantIsWell) {
    // A stem at 45° beneath a leaf: its acute side is near the border all the way, and that is as it should
    // be.
    const auto stem = shape::regionOf({{{0, 60}, {60, 0}, {66, 6}, {6, 66}}});
    EXPECT_TRUE(shortfalls(Lying({stem, bar(40, -20, 100, 80)}).at(0)).empty());
}

TEST(Shortfalls, LessIsWantedUnderANarrowPiece) {
    const Lying lying({bar(0, 0, 40, 30), bar(40, 0, 43, 30), bar(43, 0, 80, 30)});
    const auto found = shortfalls(lying.at(0));
    ASSERT_EQ(found.size(), 1U);
    // Beneath the bar 3 mm wide and on beneath the next: the whole ¼ in. Beneath the bar alone: half of it.
    EXPECT_NEAR(found[0].wanted, usualUnderlap, 0.05);
    const auto alone = shortfalls(Lying({bar(0, 0, 40, 30), bar(40, 0, 43, 30)}).at(0));
    ASSERT_EQ(alone.size(), 1U);
    EXPECT_NEAR(alone[0].wanted, 1.5, 0.1);
}

TEST(GrownUnder, NeverComesOutOfTheOtherSide) {
    for (const double wide : {0.8, 1.5, 3.0, 5.0, 8.0}) {
        const Lying lying({bar(0, 0, 40, 30), bar(40, -5, 40 + wide, 35)});
        const auto grown = grownUnder(lying.at(0));
        EXPECT_LT(grown.bounds().right, 40 + wide - 0.1) << wide;
        EXPECT_GT(grown.bounds().right, 40 + std::min(wide / 4, 4.0)) << wide;
    }
}

TEST(GrownUnder, AHairBetweenTheTwoIsBridged) {
    const Lying lying({bar(0, 0, 40, 30), bar(40.2, -5, 80, 35)});
    const auto grown = grownUnder(lying.at(0));
    EXPECT_EQ(shape::islands(grown).size(), 1U);
    EXPECT_NEAR(grown.bounds().right, 40.2 + usualUnderlap, 0.4);
}

TEST(GrownUnder, OnlyBeneathTheOneThatIsNamed) {
    const Lying lying({bar(0, 0, 40, 30), bar(40, -5, 80, 35), bar(-40, -5, 0, 35)});
    const auto grown = grownUnder(lying.at(0), usualUnderlap, {1});
    EXPECT_NEAR(grown.bounds().right, 40 + usualUnderlap, 0.1);
    EXPECT_NEAR(grown.bounds().left, 0, 0.01);
}

TEST(GrownUnder, AHoleClosesUpFromItsEdge) {
    const auto head = shape::subtract(bar(0, 0, 60, 60), bar(20, 20, 40, 40));
    const auto grown = grownUnder(Lying({head, bar(20, 20, 40, 40)}).at(0));
    EXPECT_NEAR(head.area() + 20 * 20 - (20 - 2 * usualUnderlap) * (20 - 2 * usualUnderlap), grown.area(), 3);
}

double symmetricDifference(const Region& a, const Region& b) {
    return test::geosArea(a, b, test::Boolean::subtract) + test::geosArea(b, a, test::Boolean::subtract);
}

/// Each piece laid `off` mm beside its place: where the drawing was whole and now is not, mm².
double gaps(const Lying& lying, double off) {
    Random random(7);
    std::vector<Region> laid;
    for (const auto& piece : lying.pieces) {
        const double a = random.between(0, 6.2832);
        laid.push_back(
            shape::transformed(piece, shape::Transform::moveBy(off * std::cos(a), off * std::sin(a))));
    }
    const auto inner = shape::offset(shape::unite(lying.visible), -2 * off);
    return test::geosArea(inner, shape::unite(laid), test::Boolean::subtract);
}

class Mosaics : public testing::TestWithParam<test::Mosaic> {};

/// What was asked of 50 abutting drawings: no gap, no overhang, the picture unchanged to 0.1 %.
TEST_P(Mosaics, TuckUnderWithoutGapOrOverhang) {
    const Lying before(GetParam().pieces);
    ASSERT_GT(before.shortBorder(usualUnderlap), 20) << "the shapes must merely meet";
    const Lying after = before.tucked(usualUnderlap);
    const double whole = test::geosArea(shape::unite(before.pieces));

    EXPECT_LT(symmetricDifference(shape::unite(before.pieces), shape::unite(after.pieces)), 0.0005 * whole)
        << "overhang";
    double changed = 0;
    for (std::size_t i = 0; i < before.pieces.size(); ++i)
        changed += symmetricDifference(before.visible[i], after.visible[i]);
    EXPECT_LT(changed, 0.001 * whole) << "the picture";
    EXPECT_LT(after.shortBorder(usualUnderlap), 0.02 * before.shortBorder(usualUnderlap)) << "short";

    const double off = 25.4 / 64; // a thread or two
    const double open = gaps(before, off), closed = gaps(after, off);
    EXPECT_LE(closed, 0.02 * open + 0.01)
        << "gaps when each piece lies beside its place: " << open << " before";
}

INSTANTIATE_TEST_SUITE_P(Fifty, Mosaics, testing::ValuesIn(test::mosaics()),
                         [](const auto& which) { return std::to_string(which.index); });

TEST(Mosaics, AreFifty) {
    EXPECT_EQ(test::mosaics().size(), 50U);
}

} // namespace
} // namespace up::stack
