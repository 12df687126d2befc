// SPDX-License-Identifier: GPL-3.0-or-later
// Stitches by hand and their floss: lengths worked out with pencil and paper, plans against all that there are.
#include "core/base/random.hpp"
#include "core/hand/floss.hpp"
#include "core/hand/stitches.hpp"

#include <algorithm>
#include <cmath>
#include <functional>
#include <gtest/gtest.h>
#include <numbers>
#include <numeric>

namespace up::hand {
namespace {

using shape::Point;
using shape::Polyline;

double flossOf(const std::vector<Made>& made) {
    double out = 0;
    for (const auto& one : made)
        out += one.floss;
    return out;
}

/// Ten stitches of 2 mm on a straight line of 20 mm: 20 mm in front; behind, 4 mm before each stitch but the first; through
/// the cloth twice for each. Arithmetic.
TEST(Sewn, BackStitchTakesThreeTimesTheLineLessItsEnds) {
    const auto holes = holesAlong({{0, 0}, {20, 0}}, {Kind::back, 2});
    ASSERT_EQ(holes.size(), 11u);
    const auto made = sewn(holes, Kind::back);
    ASSERT_EQ(made.size(), 10u);
    EXPECT_NEAR(flossOf(made), 20 + 9 * 4 + 20 * throughCloth, 1e-6);
    EXPECT_NEAR(made[0].from.x, 2, 1e-6) << "up a stitch ahead, down at the beginning";
    EXPECT_NEAR(made[0].to.x, 0, 1e-6);
}

/// Stitches of 4 mm that begin every 2 mm: nine on 20 mm; behind, 2 mm back each time.
TEST(Sewn, StemStitchBeginsInTheMiddleOfTheOneBefore) {
    const auto holes = holesAlong({{0, 0}, {20, 0}}, {Kind::stem, 4});
    const auto made = sewn(holes, Kind::stem);
    ASSERT_EQ(made.size(), 9u);
    EXPECT_NEAR(flossOf(made), 9 * 4 + 8 * 2 + 18 * throughCloth, 1e-6);
    for (std::size_t i = 1; i < made.size(); ++i)
        EXPECT_NEAR(made[i].from.x, (made[i - 1].from.x + made[i - 1].to.x) / 2, 1e-6);
}

TEST(Sewn, RunningStitchEndsAsItBegan) {
    const auto made = sewn(holesAlong({{0, 0}, {20, 0}}, {Kind::running, 2}), Kind::running);
    ASSERT_FALSE(made.empty());
    EXPECT_NEAR(made.front().from.x, 0, 1e-6);
    EXPECT_NEAR(made.back().to.x, 20, 1e-6) << "a stitch shows at either end";
}

TEST(HolesAlong, ACornerGetsAHole) {
    const auto holes = holesAlong({{0, 0}, {7, 0}, {7, 5}}, {Kind::back, 2.5});
    EXPECT_TRUE(std::any_of(holes.begin(), holes.end(), [](Point p) {
        return shape::distance(p, {7, 0}) < 1e-6;
    }));
    for (std::size_t i = 1; i < holes.size(); ++i)
        EXPECT_LE(shape::distance(holes[i - 1], holes[i]), 2.5 + 1e-6);
}

/// On a circle a chord of c leaves an arc of radius r by about c²/8r. Geometry.
TEST(HolesAlong, StitchesTurnShortWhereTheLineBends) {
    Polyline circle;
    constexpr double radius = 2.5;
    for (int i = 0; i <= 200; ++i)
        circle.push_back(
            {radius * std::cos(i * std::numbers::pi / 100), radius * std::sin(i * std::numbers::pi / 100)});
    const auto holes = holesAlong(circle, {Kind::back, 6});
    for (std::size_t i = 1; i < holes.size(); ++i) {
        const double chord = shape::distance(holes[i - 1], holes[i]);
        EXPECT_LE(radius - std::sqrt(radius * radius - chord * chord / 4), mostOff + 0.02);
    }
    EXPECT_GE(holes.size(), 5u);
}

TEST(HolesAlong, StitchesOfASmoothLineAreAlike) {
    const auto holes = holesAlong({{0, 0}, {23.7, 0}}, {Kind::back, 2.4});
    ASSERT_EQ(holes.size(), 11u) << "ten of 2.37 mm, no short one at the end";
    for (std::size_t i = 1; i < holes.size(); ++i)
        EXPECT_NEAR(shape::distance(holes[i - 1], holes[i]), 2.37, 0.001);
}

/// "Four of six strands, the two left over paired with the next two": three needles of four take two cuts, and none is left.
/// Common practice, no source.
TEST(FlossFor, PairsWhatIsLeftOver) {
    const Demand words{300, 4};
    const auto plan = flossFor({words, words, words});
    ASSERT_EQ(plan.needlefuls.size(), 3u);
    ASSERT_EQ(plan.cuts.size(), 2u);
    EXPECT_DOUBLE_EQ(plan.cuts[0], 36 * 12.7) << "300 mm and two ends of 75, cut to half an inch";
    EXPECT_EQ(std::count_if(plan.needlefuls.begin(), plan.needlefuls.end(),
                            [](const Needleful& one) { return one.from.size() == 2; }),
              1)
        << "one of them is 2 + 2";
    EXPECT_EQ(plan.needlefuls.back().from, (std::vector<Split>{{0, 2}, {1, 2}})) << "the last one";
    EXPECT_NEAR(plan.left(), 0, 1e-9);
}

TEST(FlossFor, ShortLinesShareANeedle) {
    const auto plan = flossFor({{60, 4}, {60, 4}, {60, 4}});
    ASSERT_EQ(plan.needlefuls.size(), 1u);
    EXPECT_DOUBLE_EQ(plan.needlefuls[0].length, 30 * 12.7)
        << "two ends of 75, 60 each, 25 twice between: 380";
}

/// The least that can be cut for needles that are known, by trying all ways to cut strands together.
double leastCut(const std::vector<std::pair<double, int>>& needles) {
    std::vector<double> strands;
    for (const auto& [length, count] : needles)
        strands.insert(strands.end(), static_cast<std::size_t>(count), length);
    std::vector<std::pair<double, int>> cuts;
    double best = 1e9;
    const std::function<void(std::size_t)> place = [&](std::size_t i) {
        double so = 0;
        for (const auto& [length, count] : cuts)
            so += length;
        if (so >= best) return;
        if (i == strands.size()) {
            best = so;
            return;
        }
        for (std::size_t c = 0; c < cuts.size(); ++c) {
            if (cuts[c].second == 6) continue;
            const auto before = cuts[c];
            cuts[c] = {std::max(before.first, strands[i]), before.second + 1};
            place(i + 1);
            cuts[c] = before;
        }
        cuts.emplace_back(strands[i], 1);
        place(i + 1);
        cuts.pop_back();
    };
    place(0);
    return best;
}

/// All ways to put lines into needles, each cut in the best way: what no plan can better.
double leastOfAll(const std::vector<Demand>& demands, const Habits& habits) {
    double best = 1e9;
    std::vector<std::vector<std::size_t>> needles;
    const std::function<void(std::size_t)> place = [&](std::size_t i) {
        if (i == demands.size()) {
            std::vector<std::pair<double, int>> known;
            for (const auto& needle : needles) {
                double length = 2 * habits.end + habits.again * static_cast<double>(needle.size() - 1);
                for (const auto d : needle)
                    length += demands[d].length;
                if (needle.size() > 1 && length > habits.longest) return;
                known.emplace_back(std::ceil(length / habits.step - 1e-9) * habits.step,
                                   demands[needle.front()].strands);
            }
            best = std::min(best, leastCut(known));
            return;
        }
        for (std::size_t n = 0; n < needles.size(); ++n) {
            if (demands[needles[n].front()].strands != demands[i].strands) continue;
            needles[n].push_back(i);
            place(i + 1);
            needles[n].pop_back();
        }
        needles.push_back({i});
        place(i + 1);
        needles.pop_back();
    };
    place(0);
    return best;
}

/// So many, of up to that many strands.
std::vector<Demand> randomDemands(Random& random, std::size_t count, std::size_t strands) {
    std::vector<Demand> out(count);
    for (auto& demand : out)
        demand = {5 + static_cast<double>(random.below(300)), 1 + static_cast<int>(random.below(strands))};
    return out;
}

TEST(FlossFor, CutsNoMoreThanTheBestOfAllWays) {
    Random random(11);
    for (int i = 0; i < 60; ++i) {
        const auto demands = randomDemands(random, 2 + random.below(3), 3);
        const auto plan = flossFor(demands);
        EXPECT_TRUE(plan.least);
        EXPECT_NEAR(plan.length(), leastOfAll(demands, {}), 1e-6) << "case " << i;
    }
}

/// Whatever is asked for: each demand once, no needle too long, strands as they were cut, no more than six of a cut.
TEST(FlossFor, GivesEveryLineItsStrands) {
    Random random(5);
    for (int i = 0; i < 40; ++i) {
        const auto demands = randomDemands(random, 1 + random.below(30), 6);
        const Habits habits;
        const auto plan = flossFor(demands, habits);
        std::vector<int> times(demands.size(), 0), split(plan.cuts.size(), 0);
        for (const auto& needle : plan.needlefuls) {
            double length = 2 * habits.end + habits.again * static_cast<double>(needle.demands.size() - 1);
            for (const auto d : needle.demands) {
                ++times[d], length += demands[d].length;
                EXPECT_EQ(demands[d].strands, needle.strands);
            }
            EXPECT_GE(needle.length, length - 1e-6);
            EXPECT_LT(needle.length, length + habits.step);
            EXPECT_LE(length, habits.longest + 1e-6);
            int strands = 0;
            for (const auto& from : needle.from) {
                strands += from.strands, split[from.cut] += from.strands;
                EXPECT_GE(plan.cuts[from.cut], needle.length - 1e-9);
            }
            EXPECT_EQ(strands, needle.strands);
        }
        EXPECT_TRUE(std::all_of(times.begin(), times.end(), [](int n) { return n == 1; }));
        EXPECT_TRUE(std::all_of(split.begin(), split.end(), [](int n) { return n >= 1 && n <= 6; }));
    }
}

TEST(PartsOf, ALongLineIsStitchedWithSeveralLengths) {
    EXPECT_EQ(partsOf(307), 1u) << "18 in less two ends of 3 in";
    EXPECT_EQ(partsOf(308), 2u);
    EXPECT_EQ(partsOf(0), 1u);
}

} // namespace
} // namespace up::hand
