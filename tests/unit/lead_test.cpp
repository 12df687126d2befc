// SPDX-License-Identifier: GPL-3.0-or-later
// Leading: which border runs on into which, and in which order tapes are laid.
#include "core/base/random.hpp"
#include "core/lead/tapes.hpp"
#include "core/plan/finish/leading_plan.hpp"
#include "tests/support/shapes.hpp"

#include <algorithm>
#include <boost/graph/adjacency_list.hpp>
#include <boost/graph/topological_sort.hpp>
#include <cmath>
#include <gtest/gtest.h>
#include <numbers>
#include <set>

namespace up::lead {
namespace {

using shape::Point;

std::size_t placeOf(Borders& to, Point p, bool atEdge = false) {
    for (std::size_t i = 0; i < to.places.size(); ++i)
        if (shape::distance(to.places[i], p) < 1e-6) return i;
    to.places.push_back(p);
    to.atEdge.push_back(atEdge);
    return to.places.size() - 1;
}
void addBorder(Borders& to, Point a, Point b) {
    const auto from = placeOf(to, a), end = placeOf(to, b);
    to.borders.push_back({{a, b}, from, end});
}

/// A segment that grows both ways until it meets one that is there.
struct Segment {
    Point from, to;
    std::size_t stopsFrom = 0, stopsTo = 0; ///< at which one; 0…3 are the frame
    std::vector<double> cuts{};             ///< 0…1, where others end on it
};

std::vector<Segment> frame() {
    const Point a{0, 0}, b{100, 0}, c{100, 100}, d{0, 100};
    return {{a, b}, {b, c}, {c, d}, {d, a}};
}

/// How far along the ray it meets the segment, and where on that.
std::optional<std::pair<double, double>> meets(Point from, Point way, const Segment& segment) {
    const auto u = segment.to - segment.from, w = segment.from - from;
    const double cross = way.x * u.y - way.y * u.x;
    if (std::abs(cross) < 1e-9) return {};
    const double along = (w.x * u.y - w.y * u.x) / cross, on = (w.x * way.y - w.y * way.x) / cross;
    if (along <= 1e-6 || on < 0.02 || on > 0.98) return {};
    return std::pair{along, on};
}

bool grow(std::vector<Segment>& all, Random& random) {
    const Point middle{random.between(10, 90), random.between(10, 90)};
    const double turn = random.between(0, std::numbers::pi);
    Segment fresh;
    std::array<std::pair<std::size_t, double>, 2> ends;
    for (const bool forth : {false, true}) {
        const Point way = Point{std::cos(turn), std::sin(turn)} * (forth ? 1.0 : -1.0);
        double nearest = 1e9;
        for (std::size_t i = 0; i < all.size(); ++i)
            if (const auto at = meets(middle, way, all[i]); at && at->first < nearest)
                nearest = at->first, ends[forth ? 1 : 0] = {i, at->second};
        if (nearest > 1e8 || nearest < 3) return false;
        (forth ? fresh.to : fresh.from) = middle + way * nearest;
    }
    for (const auto& [i, on] : ends)
        for (const double other : all[i].cuts)
            if (std::abs(other - on) * shape::distance(all[i].from, all[i].to) < 1) return false;
    fresh.stopsFrom = ends[0].first, fresh.stopsTo = ends[1].first;
    for (const auto& [i, on] : ends)
        all[i].cuts.push_back(on);
    all.push_back(fresh);
    return true;
}

Borders bordersOf(std::vector<Segment> all) {
    Borders out;
    for (auto& segment : all) {
        std::sort(segment.cuts.begin(), segment.cuts.end());
        auto at = segment.from;
        for (const double cut : segment.cuts) {
            const auto next = segment.from + (segment.to - segment.from) * cut;
            addBorder(out, at, next);
            at = next;
        }
        addBorder(out, at, segment.to);
    }
    return out;
}

/// Source of the order that must be possible: Boost.Graph, topological_sort, over "this one ends on that one".
TEST(Leading, EveryEndLiesUnderALaterTape) {
    using Graph = boost::adjacency_list<boost::vecS, boost::vecS, boost::directedS>;
    Random random(5);
    for (int round = 0; round < 40; ++round) {
        auto segments = frame();
        for (int tries = 0; tries < 60 && segments.size() < 16; ++tries)
            grow(segments, random);
        const auto borders = bordersOf(segments);
        const auto leading = leadingOf(borders);
        Graph graph(segments.size());
        for (std::size_t i = 4; i < segments.size(); ++i)
            add_edge(i, segments[i].stopsFrom, graph), add_edge(i, segments[i].stopsTo, graph);
        std::vector<std::size_t> sorted;
        ASSERT_NO_THROW(topological_sort(graph, std::back_inserter(sorted)));
        EXPECT_TRUE(leading.bare.empty());
        EXPECT_TRUE(leading.circles.empty());
        ASSERT_EQ(leading.tapes.size(), segments.size() - 3)
            << "one along each segment, and one round the frame";
        EXPECT_TRUE(leading.tapes.back().closed)
            << "the frame is laid last: something ends on it, and it on nothing";
        const auto numberOf = [&](const Segment& segment) { // of the tape along it
            for (std::size_t i = 0; i < leading.tapes.size(); ++i) {
                const auto& tape = leading.tapes[i];
                const auto is = [&](Point a, Point b) {
                    return shape::distance(tape.line.front(), a) < 1e-6 &&
                           shape::distance(tape.line.back(), b) < 1e-6;
                };
                if (!tape.closed && (is(segment.from, segment.to) || is(segment.to, segment.from))) return i;
            }
            return leading.tapes.size() - 1;
        };
        for (std::size_t i = 4; i < segments.size(); ++i) {
            EXPECT_LT(numberOf(segments[i]), numberOf(segments[segments[i].stopsFrom]));
            EXPECT_LT(numberOf(segments[i]), numberOf(segments[segments[i].stopsTo]));
        }
    }
}

/// Four segments each of which ends on the next: whichever is laid first, one end stays bare.
TEST(Leading, ACircleIsToldAndBroken) {
    Borders borders;
    const Point a{40, 40}, b{60, 40}, c{60, 60}, d{40, 60}; // each ends at the next one's, going on beyond
    for (const auto& [from, over, to] : {std::tuple{Point{40, 0}, a, d},
                                         {Point{100, 40}, b, a},
                                         {Point{60, 100}, c, b},
                                         {Point{0, 60}, d, c}}) {
        borders.atEdge.resize(borders.places.size());
        placeOf(borders, from, true);
        addBorder(borders, from, over);
        addBorder(borders, over, to);
    }
    const auto leading = leadingOf(borders);
    EXPECT_EQ(leading.tapes.size(), 4u);
    ASSERT_EQ(leading.circles.size(), 1u);
    EXPECT_EQ(leading.circles[0].size(), 4u);
    EXPECT_EQ(leading.bare.size(), 1u);
    EXPECT_NEAR(leading.turned, 0, 1e-9);
}

/// Straight lines across a square cross each other: the smoothest way through each crossing is straight on.
TEST(Leading, ChordsStayWhole) {
    Random random(8);
    for (int round = 0; round < 20; ++round) {
        std::vector<Segment> chords;
        for (std::size_t i = 0, count = 2 + random.below(5); i < count; ++i)
            chords.push_back({{random.between(0, 100), 0}, {random.between(0, 100), 100}});
        Borders borders;
        for (auto& chord : chords) {
            placeOf(borders, chord.from, true), placeOf(borders, chord.to, true);
            for (const auto& other : chords)
                if (&other != &chord)
                    if (const auto at = meets(chord.from, chord.to - chord.from, other); at && at->first < 1)
                        chord.cuts.push_back(at->first);
        }
        const auto inner = bordersOf(chords);
        borders = inner;
        for (std::size_t i = 0; i < borders.places.size(); ++i)
            borders.atEdge[i] = borders.places[i].y < 1e-6 || borders.places[i].y > 100 - 1e-6;
        const auto leading = leadingOf(borders);
        if (inner.places.size() > 2 * chords.size() + chords.size() * (chords.size() - 1) / 2)
            continue; // nearly met
        EXPECT_EQ(leading.tapes.size(), chords.size());
        EXPECT_NEAR(leading.turned, 0, 1e-6);
        EXPECT_TRUE(leading.bare.empty());
    }
}

/// All sets of pairs, each end in one at most.
void everyPairs(std::size_t count, std::size_t from, std::vector<bool>& used, Pairs& now,
                std::vector<Pairs>& all) {
    all.push_back(now);
    for (std::size_t a = from; a < count; ++a)
        for (std::size_t b = a + 1; b < count && !used[a]; ++b) {
            if (used[b]) continue;
            used[a] = used[b] = true;
            now.emplace_back(a, b);
            everyPairs(count, a + 1, used, now, all);
            now.pop_back();
            used[a] = used[b] = false;
        }
}

TEST(Leading, NoOtherWayThroughACrossingHasFewerEndsOrTurnsLess) {
    Random random(21);
    for (int round = 0; round < 300; ++round) {
        std::vector<End> ends;
        for (std::size_t i = 0, count = 2 + random.below(5); i < count; ++i)
            ends.push_back({i, true, random.between(-3.14, 3.14)});
        const auto pairs = pairsAt(ends);
        std::vector<bool> used(ends.size());
        Pairs now;
        std::vector<Pairs> all;
        everyPairs(ends.size(), 0, used, now, all);
        const auto turnedIn = [&](const Pairs& of) {
            double turned = 0;
            for (const auto& [a, b] : of)
                turned += turnOf(ends[a], ends[b]);
            return turned;
        };
        std::size_t most = 0;
        for (const auto& other : all)
            if (std::all_of(other.begin(), other.end(),
                            [&](const auto& p) { return turnOf(ends[p.first], ends[p.second]) <= mostTurn; }))
                most = std::max(most, other.size());
        const auto wanted = std::max<std::size_t>(most, 1);
        ASSERT_EQ(pairs.size(), wanted);
        for (const auto& other : all) {
            const bool may =
                most == 0 || ends.size() == 2 || std::all_of(other.begin(), other.end(), [&](const auto& p) {
                    return turnOf(ends[p.first], ends[p.second]) <= mostTurn;
                });
            if (may && other.size() == wanted) {
                EXPECT_LE(turnedIn(pairs), turnedIn(other) + 1e-9);
            }
        }
    }
}

/// Fewest tapes on small drawings, against every set of ways through all their crossings.
TEST(Leading, NoOtherTapesAreFewer) {
    Random random(31);
    for (int round = 0; round < 60; ++round) {
        // a grid of 3 × 3 places a little out of line, some of its borders missing
        Borders borders;
        const auto at = [](std::size_t x, std::size_t y) {
            return Point{static_cast<double>(20 * x), static_cast<double>(20 * y)};
        };
        std::vector<Point> shifted;
        for (std::size_t i = 0; i < 9; ++i)
            shifted.push_back(at(i % 3, i / 3) + Point{random.between(-5, 5), random.between(-5, 5)});
        for (std::size_t i = 0; i < 9; ++i)
            for (const std::size_t next : {i + 1, i + 3}) {
                const bool isThere = next == i + 1 ? i % 3 < 2 : next < 9;
                if (isThere && random.below(4) > 0) addBorder(borders, shifted[i], shifted[next]);
            }
        if (borders.borders.empty()) continue;
        const auto leading = leadingOf(borders);
        std::size_t endsLeft = 0;
        std::set<std::size_t> covered;
        for (const auto& tape : leading.tapes) {
            endsLeft += tape.closed ? 0 : 2;
            for (const auto border : tape.borders)
                EXPECT_TRUE(covered.insert(border).second) << "each border once";
        }
        EXPECT_EQ(covered.size(), borders.borders.size());
        std::size_t least = 0; // ends are counted place by place
        for (const auto& ends : endsOf(borders)) {
            std::vector<bool> used(ends.size());
            Pairs now;
            std::vector<Pairs> all;
            everyPairs(ends.size(), 0, used, now, all);
            std::size_t most = ends.size() > 1 ? 1 : 0;
            for (const auto& pairs : all)
                if (std::all_of(pairs.begin(), pairs.end(), [&](const auto& p) {
                        return turnOf(ends[p.first], ends[p.second]) <= mostTurn;
                    }))
                    most = std::max(most, pairs.size());
            least += ends.size() - 2 * most;
        }
        EXPECT_EQ(endsLeft, least);
    }
}

// --- from pieces

using test::Drawn;

/// Two squares side by side: the border between them once, the outline round both.
TEST(BordersOf, SharedOnesAreTakenOnce) {
    const auto left = shape::rectangle({20, 20, 60, 60}), right = shape::rectangle({60.2, 20, 100, 60});
    const auto borders = plan::bordersOf({left, right}, {0, 0, 228.6, 228.6});
    double length = 0;
    for (const auto& border : borders.borders)
        length += shape::lengthOf(border.line);
    EXPECT_NEAR(length, 2 * 80 + 3 * 40, 2);
    const auto leading = leadingOf(borders);
    ASSERT_EQ(leading.tapes.size(), 2u);
    EXPECT_FALSE(leading.tapes[0].closed) << "between them: both its ends lie under the other";
    EXPECT_TRUE(leading.tapes[1].closed);
    EXPECT_TRUE(leading.bare.empty());
}

TEST(BordersOf, TheBlocksOwnEdgeIsLeftToTheSeam) {
    const auto whole = shape::rectangle({0, 0, 100, 100});
    const auto left = shape::rectangle({0, 0, 50, 100}), right = shape::subtract(whole, left);
    const auto borders = plan::bordersOf({left, right}, {0, 0, 100, 100});
    ASSERT_EQ(borders.borders.size(), 1u);
    EXPECT_NEAR(shape::lengthOf(borders.borders[0].line), 100, 1.5);
    const auto leading = leadingOf(borders);
    EXPECT_EQ(leading.tapes.size(), 1u);
    EXPECT_TRUE(leading.bare.empty()) << "both ends run into the seam";
}

} // namespace
} // namespace up::lead
