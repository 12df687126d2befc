// SPDX-License-Identifier: GPL-3.0-or-later
// What the layout engine stands on: turns, discs, overlaps; wholes put together again, rows, squeezing.
#include "core/layout/clash.hpp"
#include "core/layout/mosaic.hpp"
#include "core/layout/rows.hpp"
#include "core/layout/squeeze.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <memory>
#include <numbers>
#include <thread>

namespace up::layout {
namespace {

using shape::Point;
using shape::Region;

Laid laidAt(const Form& form, double degrees, Point at) {
    Laid out;
    out.lay(form, turnOf(degrees), at);
    return out;
}

Region whereIs(const Region& region, const Turn& turn, Point at) {
    return shape::transformed(region, {turn.cos, turn.sin, -turn.sin, turn.cos, at.x, at.y});
}

TEST(TurnOf, IsTheCosineAndSineAndExactForQuarters) {
    for (double degrees = -725; degrees < 725; degrees += 0.37) {
        const auto turn = turnOf(degrees);
        const double radians = degrees * std::numbers::pi / 180;
        EXPECT_NEAR(turn.cos, std::cos(radians), 4e-15) << degrees;
        EXPECT_NEAR(turn.sin, std::sin(radians), 4e-15) << degrees;
    }
    EXPECT_EQ(turnOf(90).cos, 0);
    EXPECT_EQ(turnOf(-90).sin, -1);
    EXPECT_EQ(turnOf(540).cos, -1);
    EXPECT_EQ(turnOf(360).sin, 0);
}

TEST(FormOf, DiscsLieWithinAndNoPointIsFartherThanTheRim) {
    Random random(81);
    for (int i = 0; i < 60; ++i) {
        const auto region = shape::regionOf({test::randomStar(random)});
        const auto form = formOf(region);
        ASSERT_FALSE(form.discs.empty());
        for (const auto& disc : form.discs) {
            EXPECT_TRUE(region.contains({disc.x, disc.y})) << i;
            for (const auto& ring : region.rings)
                EXPECT_GE(shape::distanceTo(ring, {disc.x, disc.y}), disc.radius - 1e-6) << i;
        }
        const auto box = region.bounds();
        for (int k = 0; k < 200; ++k) {
            const Point p{random.between(box.left, box.right), random.between(box.top, box.bottom)};
            if (!region.contains(p)) continue;
            double nearest = 1e9;
            for (const auto& disc : form.discs)
                nearest = std::min(nearest, std::hypot(disc.x - p.x, disc.y - p.y) - disc.radius);
            EXPECT_LE(nearest, form.rim) << i;
        }
    }
}

TEST(Meet, AgreesWithTheAreaThatTwoShapesShareByGeos) {
    Random random(82);
    int met = 0;
    for (int i = 0; i < 600; ++i) {
        const auto a = shape::regionOf({test::randomStar(random)}),
                   b = shape::regionOf({test::randomStar(random)});
        const Form forms[] = {formOf(a), formOf(b)};
        const double turns[] = {random.between(0, 360), random.between(0, 360)};
        const Point at{random.between(-90, 90), random.between(-90, 90)};
        const auto one = laidAt(forms[0], turns[0], {}), two = laidAt(forms[1], turns[1], at);
        const double shared =
            test::geosArea(whereIs(a, one.turn(), {}), whereIs(b, two.turn(), at), test::Boolean::intersect);
        const bool touching = shared > 0 && shared < 1e-4; // may go either way
        EXPECT_TRUE(touching || meet(one, two) == (shared > 0)) << i << ": " << shared;
        met += shared > 0 ? 1 : 0;
        EXPECT_EQ(clash(one, two) > 0, meet(one, two)) << i;
        EXPECT_NEAR(clash(one, two), clash(two, one), 1e-3 * clash(one, two)) << i;
    }
    EXPECT_GT(met, 100);
    EXPECT_LT(met, 500);
}

TEST(Meet, APieceInTheHoleOfAnotherDoesNotMeetIt) {
    const auto frame = formOf(shape::subtract(test::squareRegion(0, 0, 100), test::squareRegion(10, 10, 80)));
    const auto small = formOf(test::squareRegion(0, 0, 60));
    const auto outer = laidAt(frame, 0, {});
    EXPECT_FALSE(meet(outer, laidAt(small, 0, {20, 20})));
    EXPECT_TRUE(meet(outer, laidAt(small, 0, {5, 20})));
    EXPECT_TRUE(meet(laidAt(small, 0, {20, 20}), laidAt(formOf(test::squareRegion(0, 0, 10)), 0, {40, 40})))
        << "one wholly within the other";
}

TEST(Clash, IsLessTheNearerTheWayOut) {
    const auto form = formOf(test::squareRegion(0, 0, 50));
    const auto still = laidAt(form, 0, {});
    double before = 1e9;
    for (double x = 1; x < 50; x += 1) {
        const double now = clash(still, laidAt(form, 0, {x, 3}));
        EXPECT_LT(now, before) << x;
        before = now;
    }
    EXPECT_EQ(clash(still, laidAt(form, 0, {50.01, 3})), 0);
}

TEST(Clash, PastEnoughIsMoreThanEnough) {
    Random random(83);
    const auto a = formOf(shape::regionOf({test::randomStar(random)})),
               b = formOf(shape::regionOf({test::randomStar(random)}));
    for (int i = 0; i < 300; ++i) {
        const auto one = laidAt(a, random.between(0, 360), {});
        const auto two =
            laidAt(b, random.between(0, 360), {random.between(-60, 60), random.between(-60, 60)});
        const double whole = clash(one, two), enough = random.between(0, 20), asked = clash(one, two, enough);
        EXPECT_TRUE(whole <= enough ? asked == whole : asked > enough) << i;
    }
}

TEST(Laid, MovedIsAsLaidThere) {
    const auto form = formOf(test::squareRegion(3, 4, 20));
    auto moved = laidAt(form, 33, {1, 2});
    (void)moved.points();
    moved.moveTo({-40, 17});
    const auto laid = laidAt(form, 33, {-40, 17});
    for (std::size_t i = 0; i < laid.points().size(); ++i)
        EXPECT_LT(shape::distance(laid.points()[i], moved.points()[i]), 1e-9);
    EXPECT_NEAR(laid.slantBox().right, moved.slantBox().right, 1e-9);
}

/// A sheet cut into pieces along lines between points of a lattice that were pushed about.
NestJob cutUp(int across, int down, bool turned, bool freely) {
    Random random(84);
    const double width = 300, height = 200;
    std::vector<std::vector<Point>> at;
    for (int y = 0; y <= down; ++y) {
        at.emplace_back();
        for (int x = 0; x <= across; ++x) {
            const double dx = x == 0 || x == across ? 0 : random.between(-12, 12);
            const double dy = y == 0 || y == down ? 0 : random.between(-12, 12);
            at.back().push_back({width * x / across + dx, height * y / down + dy});
        }
    }
    NestJob job;
    job.sheets = {{"roll", width, 2000, 1, {}}};
    for (std::size_t y = 0; y < static_cast<std::size_t>(down); ++y)
        for (std::size_t x = 0; x < static_cast<std::size_t>(across); ++x) {
            const auto whole = shape::regionOf({{at[y][x], at[y][x + 1], at[y + 1][x + 1], at[y + 1][x]}});
            const auto turn = turnOf(freely   ? random.between(0, 360)
                                     : turned ? 90.0 * static_cast<double>(random.below(4))
                                              : 0);
            job.parts.push_back({std::to_string(job.parts.size()),
                                 whereIs(whole, turn, {random.between(-50, 50), 0}), 1,
                                 freely   ? std::vector<double>{}
                                 : turned ? std::vector<double>{0, 90, 180, 270}
                                          : std::vector<double>{0}});
        }
    random.shuffle(job.parts);
    return job;
}

TEST(Reassembled, WhatWasOneSheetIsOneAgain) {
    for (const bool turned : {false, true})
        for (const bool freely : {false, true}) {
            const auto job = cutUp(7, 5, turned, freely);
            const auto layout = reassembled(job);
            ASSERT_TRUE(layout) << turned << freely;
            EXPECT_EQ(layout->placed.size(), 35U);
            EXPECT_NEAR(layout->usedHeight, 200, 0.02);
            EXPECT_NEAR(density(job, *layout), 1, 1e-4);
            for (std::size_t i = 0; i < 35; ++i)
                for (std::size_t k = 0; k < i; ++k) {
                    const auto region = [&](const Placed& p) {
                        return whereIs(job.parts[p.part].shape, turnOf(p.rotation), {p.x, p.y});
                    };
                    EXPECT_LT(test::geosArea(region(layout->placed[i]), region(layout->placed[k]),
                                             test::Boolean::intersect),
                              0.02 * 60)
                        << "no deeper than 0.02 mm along an edge of 60";
                }
        }
}

TEST(Reassembled, WhatWasNeverOneIsLeftToOthers) {
    auto job = cutUp(4, 3, false, false);
    job.parts[5].shape = shape::transformed(job.parts[5].shape, shape::Transform::scale(1.01, 1.01));
    EXPECT_FALSE(reassembled(job));
    job = cutUp(4, 3, false, false);
    job.spacing = 3;
    EXPECT_FALSE(reassembled(job)) << "with room between them they are no whole";
    job = cutUp(4, 3, false, false);
    job.sheets[0].width = 150;
    EXPECT_FALSE(reassembled(job)) << "too wide for the roll, and it may not be turned";
}

// Two rows of 24 triangles, up and down in turn: 25 half bases are 431.25 mm. By arithmetic.
TEST(InRows, TrianglesStandOnTheirHeadsInTurn) {
    NestJob job;
    job.sheets = {{"roll", 431.8, 2000, 1, {}}};
    job.parts = {{"t", shape::regionOf({{{-17.25, -38.1}, {17.25, -38.1}, {0, 38.1}}}), 48, {0, 180}}};
    const auto found = rowsOf(job);
    ASSERT_TRUE(found);
    const auto* layout = &found->layout;
    EXPECT_NEAR(layout->usedHeight, 152.4, 0.01);
    EXPECT_EQ(layout->placed.size(), 48U);
    job.parts[0].rotations = {0};
    EXPECT_GT(rowsOf(job)->layout.usedHeight, 300) << "twelve in a row when none may be turned";
}

TEST(InRows, SquaresKeepTheirSpacingAndUseWhatIsLeast) {
    NestJob job;
    job.spacing = 5;
    job.sheets = {{"roll", 101, 2000, 1, {}}};
    job.parts = {{"s", test::squareRegion(0, 0, 30), 7, {}}};
    const auto found = rowsOf(job);
    ASSERT_TRUE(found);
    const auto* layout = &found->layout;
    EXPECT_NEAR(layout->usedHeight, 3 * 30 + 2 * 5, 0.1);
    job.parts.push_back(job.parts[0]);
    EXPECT_FALSE(rowsOf(job)) << "two kinds";
    job.parts.pop_back();
    job.sheets[0].height = 60;
    EXPECT_FALSE(rowsOf(job)) << "the roll is too short";
}

/// Squares in a loose column, to be squeezed.
struct Loose {
    Form form = formOf(test::squareRegion(0, 0, 30));
    std::vector<Piece> pieces;
    std::vector<Bay> bays{{100, 1000, {}}};
    std::vector<Place> places;
    explicit Loose(std::size_t count) {
        for (std::size_t i = 0; i < count; ++i) {
            pieces.push_back({&form, {0, 90}, false});
            places.push_back({0, turnOf(0), {5, 40.0 * static_cast<double>(i)}});
        }
    }
};

TEST(Squeezer, SqueezesWithoutOverlapsUntilItIsTight) {
    Loose loose(9);
    Squeezer squeezer(loose.pieces, loose.bays, loose.places, 1);
    const auto enough = [&] { return squeezer.steps() >= 500; };
    double before = squeezer.used();
    while (!enough() && squeezer.used() > 95) {
        squeezer.round(500, enough);
        EXPECT_LE(squeezer.used(), before);
        before = squeezer.used();
        EXPECT_TRUE(squeezer.best().clashes({{100, squeezer.used(), {}}}).empty());
    }
    EXPECT_LT(squeezer.used(), 120) << "three rows are 90 high, four 120";
}

TEST(Squeezer, GoesSoManyStepsAndNoFartherAndTheSameEachTime) {
    const auto squeezed = [] {
        Loose loose(9);
        auto squeezer = std::make_unique<Squeezer>(loose.pieces, loose.bays, loose.places, 7);
        for (int steps = 0; steps < 50; steps = squeezer->steps()) {
            squeezer->round(50 - steps, [] { return false; });
            EXPECT_GT(squeezer->steps(), steps);
        }
        EXPECT_EQ(squeezer->steps(), 50);
        std::vector<Point> out;
        for (std::size_t i = 0; i < 9; ++i)
            out.push_back(squeezer->best().place(i).at);
        return out;
    };
    EXPECT_EQ(squeezed(), squeezed());
}

// A small square in a wide hole, and a corner between others that is hardly wider than it.
TEST(Attempt, WhatLiesInAWideHoleGoesToATighterOneAndMeetsNothing) {
    const auto large = formOf(test::squareRegion(0, 0, 100)), small = formOf(test::squareRegion(0, 0, 30));
    const std::vector<Bay> bays{{240, 140, {}}};
    std::vector<Piece> pieces{{&large, {0}, true}, {&small, {0}, false}};
    const std::vector<Place> places{{0, turnOf(0), {34, 40}}, {0, turnOf(0), {170, 50}}};
    int moved = 0;
    for (std::uint64_t seed = 0; seed < 20; ++seed) {
        Attempt attempt(pieces, bays, {pieces, places}, seed);
        attempt.rehome();
        EXPECT_TRUE(attempt.arrangement().clashes(bays).empty());
        EXPECT_EQ(attempt.arrangement().place(0).at, places[0].at) << "it is fixed";
        moved += attempt.arrangement().laid(1).box().right < 135 ? 1 : 0;
    }
    EXPECT_EQ(moved, 0) << "half of one piece is none";
    pieces.push_back(pieces[1]);
    auto three = places;
    three.push_back({0, turnOf(0), {170, 95}});
    for (std::uint64_t seed = 0; seed < 20; ++seed) {
        Attempt attempt(pieces, bays, {pieces, three}, seed);
        attempt.rehome();
        EXPECT_TRUE(attempt.arrangement().clashes(bays).empty());
        for (const std::size_t i : {1U, 2U})
            moved += attempt.arrangement().laid(i).box().right < 135 ? 1 : 0;
    }
    EXPECT_GE(moved, 15) << "one of the two, nearly every time";
}

TEST(Attempt, AHoleInABayThatIsTooSmallIsPassedOver) {
    const auto strip = formOf(shape::rectangle({0, 0, 150, 30}));
    const std::vector<Bay> bays{{160, 400, {}}, {40, 40, {}}};
    const std::vector<Piece> pieces{{&strip, {}, false}, {&strip, {}, false}};
    const std::vector<Place> places{{0, turnOf(0), {5, 100}}, {0, turnOf(0), {5, 200}}};
    for (std::uint64_t seed = 0; seed < 20; ++seed) {
        Attempt attempt(pieces, bays, {pieces, places}, seed);
        attempt.rehome();
        EXPECT_EQ(attempt.arrangement().bay(0), 0U);
        EXPECT_EQ(attempt.arrangement().bay(1), 0U);
        EXPECT_TRUE(attempt.arrangement().clashes(bays).empty());
    }
}

TEST(Squeezer, WhatIsFixedStays) {
    Loose loose(6);
    loose.pieces[0].fixed = loose.pieces[3].fixed = true;
    Squeezer squeezer(loose.pieces, loose.bays, loose.places, 1);
    while (!squeezer.isDone() && squeezer.steps() < 1000)
        squeezer.round(1000, [] { return false; });
    EXPECT_EQ(squeezer.best().place(0).at, loose.places[0].at);
    EXPECT_EQ(squeezer.best().place(3).at, loose.places[3].at);
    EXPECT_TRUE(squeezer.isDone()); // nothing else lies below the lower of them
    EXPECT_NEAR(squeezer.used(), squeezer.best().laid(3).box().bottom, 1e-6);
}

} // namespace
} // namespace up::layout
