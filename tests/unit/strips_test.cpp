// SPDX-License-Identifier: GPL-3.0-or-later
// Strips at 45°: how long they can be, where they lie, and that no other way takes less cloth.
#include "core/base/random.hpp"
#include "core/shape/region.hpp"
#include "core/strips/cutting.hpp"
#include "tests/support/geos.hpp"

#include <algorithm>
#include <boost/geometry.hpp>
#include <boost/geometry/geometries/point_xy.hpp>
#include <boost/geometry/geometries/polygon.hpp>
#include <cmath>
#include <functional>
#include <gtest/gtest.h>
#include <numeric>
#include <optional>

namespace up::strips {
namespace {

constexpr double inch = 25.4;

namespace bg = boost::geometry;
using Spot = bg::model::d2::point_xy<double>;
using Polygon = bg::model::polygon<Spot>;

Polygon polygonOf(const std::vector<shape::Point>& corners) {
    Polygon out;
    for (const auto p : corners)
        bg::append(out.outer(), Spot(p.x, p.y));
    bg::correct(out);
    return out;
}

/// Worked out by hand: along the diagonal of a fat quarter lie 18 √2 in, of which the two slanting ends take one width.
TEST(LongestStrip, OfAFatQuarter) {
    const Cloth quarter{22 * inch, 18 * inch};
    EXPECT_NEAR(longestOf(quarter, 1.25 * inch), (18 * std::sqrt(2) - 1.25) * inch, 1e-6);
    EXPECT_NEAR(longestOf({18 * inch, 22 * inch}, 1.25 * inch), longestOf(quarter, 1.25 * inch), 1e-6);
    EXPECT_NEAR(longestOf({10, 10}, 2), 10 * std::sqrt(2) - 2, 1e-9) << "a square too";
    EXPECT_LE(longestOf({10, 10}, 15), 0) << "no strip so wide";
    EXPECT_NEAR(longestIn({100, 100}, 0, 10), 0, 1e-9) << "it begins in the corner itself";
}

void expectValid(const std::vector<Cloth>& cloths, const std::vector<Strip>& strips, const Cutting& cut) {
    std::vector<double> lengths(strips.size());
    std::vector<std::size_t> parts(strips.size());
    std::vector<std::vector<shape::Region>> lying(cloths.size());
    for (const auto& band : cut.bands)
        for (std::size_t i = 0; i < band.parts.size(); ++i) {
            const auto corners = cornersOf(cloths[band.cloth], band, i);
            for (const auto p : corners) {
                EXPECT_GE(p.x, -1e-4);
                EXPECT_GE(p.y, -1e-4);
                EXPECT_LE(p.x, cloths[band.cloth].wide + 1e-4);
                EXPECT_LE(p.y, cloths[band.cloth].high + 1e-4);
            }
            const auto way = corners[1] - corners[0];
            EXPECT_NEAR(way.x, way.y, 1e-6) << "at 45° to the threads";
            EXPECT_NEAR(shape::distance(corners[1], corners[2]), strips[band.parts[i].strip].wide, 1e-6);
            EXPECT_NEAR(shape::distance(corners[0], corners[1]), band.parts[i].length, 1e-6);
            lengths[band.parts[i].strip] += band.parts[i].length;
            ++parts[band.parts[i].strip];
            lying[band.cloth].push_back(shape::regionOf(shape::Rings{corners}));
        }
    for (const auto& on : lying)
        for (std::size_t a = 0; a < on.size(); ++a)
            for (std::size_t b = a + 1; b < on.size(); ++b)
                EXPECT_NEAR(test::geosArea(on[a], on[b], test::Boolean::intersect), 0, 0.05)
                    << "strips lie beside each other";
    std::size_t joins = 0;
    for (std::size_t i = 0; i < strips.size(); ++i) {
        if (std::find(cut.unmet.begin(), cut.unmet.end(), i) != cut.unmet.end()) {
            EXPECT_EQ(parts[i], 0u);
            continue;
        }
        ASSERT_GE(parts[i], 1u);
        joins += parts[i] - 1;
        EXPECT_GE(lengths[i] - static_cast<double>(parts[i] - 1) * lostByJoin(cloths.front(), strips[i].wide),
                  strips[i].length - 1e-6);
    }
    EXPECT_EQ(joins, cut.joins);
}

/// Where a rectangle so long and wide can lie in its band: each corner must keep to each side of the cloth.
bool fits(const Cloth& cloth, double at, double wide, double length) {
    double least = -1e9, most = 1e9; // of where it begins along the strip
    const double root = std::sqrt(2);
    for (const double t : {at, at + wide})
        for (const double s : {0.0, length}) {
            // x = (s + t)/√2 − h/2 …: measured from the lower left corner, along (1, 1)/√2 and (1, −1)/√2
            const double x = (s + t) / root, y = cloth.high + (s - t) / root;
            least = std::max({least, -x * root, -y * root});
            most = std::min({most, (cloth.wide - x) * root, (cloth.high - y) * root});
        }
    return least <= most + 1e-6;
}

double bandArea(const Cloth& cloth, double from, double to) {
    const double far = cloth.wide + cloth.high;
    const auto corner = [&](double t) { // of the cloth with x − y + high < t √2, by Boost.Geometry
        Polygon cut, whole = polygonOf({{0, 0}, {cloth.wide, 0}, {cloth.wide, cloth.high}, {0, cloth.high}});
        const double c = t * std::sqrt(2) - cloth.high;
        cut = polygonOf({{c - far, -far}, {c + far, far}, {c - 2 * far, far}, {c - 2 * far, -far}});
        std::vector<Polygon> both;
        bg::intersection(cut, whole, both);
        double area = 0;
        for (const auto& part : both)
            area += bg::area(part);
        return area;
    };
    return corner(to) - corner(from);
}

/// Every order of strips, every way to lay neighbours in one band, every place by half a millimetre.
std::optional<double> leastByTrying(const Cloth& cloth, const std::vector<Strip>& strips) {
    constexpr double step = 0.5;
    std::vector<std::size_t> order(strips.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::optional<double> least;
    const double depth = (cloth.wide + cloth.high) / std::sqrt(2);
    do {
        for (unsigned together = 0; together < (1U << (strips.size() - 1)); ++together) {
            std::vector<Strip> bands{strips[order[0]]};
            bool may = true;
            for (std::size_t i = 1; i < order.size(); ++i) {
                const auto& strip = strips[order[i]];
                if (((together >> (i - 1)) & 1U) == 0)
                    bands.push_back(strip);
                else if (bands.back().wide != strip.wide)
                    may = false;
                else
                    bands.back().length += strip.length;
            }
            double all = 0;
            for (const auto& band : bands)
                all += band.wide;
            for (double from = 0; may && from + all <= depth; from += step) {
                double at = from;
                bool fit = true;
                for (const auto& band : bands) {
                    fit = fit && fits(cloth, at, band.wide, band.length);
                    at += band.wide;
                }
                if (!fit) continue;
                const double area = bandArea(cloth, from, from + all);
                if (!least || area < *least) least = area;
            }
        }
    } while (std::next_permutation(order.begin(), order.end()));
    return least;
}

TEST(CutStrips, NoOtherWayTakesLessCloth) {
    Random random(3);
    int laid = 0;
    for (int round = 0; round < 25; ++round) {
        const Cloth cloth{random.between(120, 300), random.between(120, 300)};
        std::vector<Strip> strips;
        for (std::size_t i = 0, count = 1 + random.below(3); i < count; ++i)
            strips.push_back({random.below(2) == 0 ? 20.0 : 32.0, random.between(30, 120)});
        const auto cut = cutStrips({cloth}, strips);
        expectValid({cloth}, strips, cut);
        const auto least = leastByTrying(cloth, strips);
        if (!cut.unmet.empty() || cut.joins > 0) {
            EXPECT_FALSE(least);
            continue;
        }
        ++laid;
        EXPECT_TRUE(cut.least);
        ASSERT_TRUE(least) << "what fits between two steps fits";
        EXPECT_LE(cut.area, *least + 1e-3);
        EXPECT_GE(cut.area, *least - 2 * 0.5 * 300 * std::sqrt(2)) << "within a step";
    }
    EXPECT_GT(laid, 15);
}

TEST(CutStrips, LongOnesAreJoinedFromAsFewAsCanBe) {
    const Cloth quarter{22 * inch, 18 * inch};
    const double wide = 1.25 * inch, most = longestOf(quarter, wide);
    const auto one = cutStrips({quarter}, {{wide, most}});
    EXPECT_EQ(one.joins, 0u);
    const auto two = cutStrips({quarter}, {{wide, most + 1}});
    EXPECT_EQ(two.joins, 1u);
    const auto most2 = cutStrips({quarter}, {{wide, 2 * most - wide}});
    EXPECT_EQ(most2.joins, 1u) << "two whole ones, less the strip's width";
    const auto three = cutStrips({quarter}, {{wide, 2 * most - wide + 1}});
    EXPECT_EQ(three.joins, 2u);
    for (const auto* cut : {&one, &two, &most2, &three})
        EXPECT_TRUE(cut->unmet.empty());
    expectValid({quarter}, {{wide, 2 * most - wide + 1}}, three);
}

TEST(CutStrips, WhatHasNoRoomIsTold) {
    const auto cut = cutStrips({{100, 60}}, {{20, 40}, {200, 40}, {20, 5000}});
    expectValid({{100, 60}}, {{20, 40}, {200, 40}, {20, 5000}}, cut);
    EXPECT_EQ(cut.unmet, (std::vector<std::size_t>{1, 2}));
    EXPECT_EQ(cutStrips({}, {{20, 40}}).unmet.size(), 1u);
    EXPECT_TRUE(cutStrips({{100, 100}}, {}).bands.empty());
}

TEST(CutStrips, ManyStripsFromSeveralCloths) {
    Random random(11);
    for (int round = 0; round < 8; ++round) {
        std::vector<Cloth> cloths;
        for (std::size_t i = 0, count = 1 + random.below(3); i < count; ++i)
            cloths.push_back({random.between(150, 500), random.between(150, 500)});
        std::vector<Strip> strips;
        for (std::size_t i = 0, count = 6 + random.below(16); i < count; ++i)
            strips.push_back({random.below(3) == 0 ? 32.0 : 25.0, random.between(40, 260)});
        expectValid(cloths, strips, cutStrips(cloths, strips));
    }
}

/// Along the width: as many lengths as go into it, and cuts as high as their strips.
TEST(CutStrips, StraightOnesLieAcrossTheCloth) {
    const Cloth cloth{40 * inch, 18 * inch, true};
    const double wide = 1.5 * inch;
    std::vector<Strip> strips(8, {wide, 9.5 * inch}); // four to a cut
    auto cut = cutStrips({cloth}, strips);
    EXPECT_TRUE(cut.unmet.empty());
    EXPECT_EQ(cut.bands.size(), 2u);
    EXPECT_NEAR(cut.area, 2 * wide * cloth.wide, 1e-6);
    cut = cutStrips({cloth}, {{wide, 79.5 * inch}});
    EXPECT_EQ(cut.joins, 1u) << "two of 40 in less a seam of 1/4 in on either side";
    cut = cutStrips({cloth}, {{wide, 79.6 * inch}});
    EXPECT_EQ(cut.joins, 2u);
    cut = cutStrips({cloth}, {{wide, 10 * inch}, {2 * wide, 10 * inch}});
    for (const auto& band : cut.bands)
        for (const auto p : cornersOf(cloth, band, 0))
            EXPECT_TRUE(p.x > -1e-9 && p.x < cloth.wide + 1e-9 && p.y > -1e-9 && p.y < cloth.high + 1e-9);
    EXPECT_NEAR(lengthFor(42 * inch, strips, inch / 8, true), 2 * wide, 1e-6);
}

/// Source of the least number of cuts: every way to put lengths into cuts, tried.
TEST(CutStrips, NoOtherWayTakesFewerCuts) {
    Random random(17);
    for (int round = 0; round < 40; ++round) {
        std::vector<Strip> strips;
        for (std::size_t i = 0, count = 2 + random.below(5); i < count; ++i)
            strips.push_back({30, random.between(100, 600)});
        std::size_t least = strips.size();
        std::vector<double> cuts;
        const std::function<void(std::size_t)> put = [&](std::size_t next) {
            if (cuts.size() >= least) return;
            if (next == strips.size()) {
                least = cuts.size();
                return;
            }
            for (std::size_t i = 0; i < cuts.size(); ++i) {
                if (cuts[i] + strips[next].length > 1000) continue;
                cuts[i] += strips[next].length;
                put(next + 1);
                cuts[i] -= strips[next].length;
            }
            cuts.push_back(strips[next].length);
            put(next + 1);
            cuts.pop_back();
        };
        put(0);
        const auto cut = cutStrips({{1000, 300, true}}, strips);
        EXPECT_TRUE(cut.least);
        EXPECT_EQ(cut.bands.size(), least);
        EXPECT_NEAR(cut.area, static_cast<double>(least) * 30 * 1000, 1e-3);
    }
}

TEST(LengthFor, IsEnoughAndNoLessIs) {
    const std::vector<Strip> strips{
        {1.25 * inch, 20 * inch}, {1.25 * inch, 12 * inch}, {0.75 * inch, 9 * inch}};
    const double step = inch / 8, length = lengthFor(42 * inch, strips, step);
    EXPECT_TRUE(cutStrips({{42 * inch, length}}, strips).unmet.empty());
    EXPECT_EQ(cutStrips({{42 * inch, length}}, strips).joins, 0u);
    const auto less = cutStrips({{42 * inch, length - step}}, strips);
    EXPECT_TRUE(!less.unmet.empty() || less.joins > 0);
    EXPECT_EQ(lengthFor(42 * inch, {}, step), 0);
}

} // namespace
} // namespace up::strips
