// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/mosaics.hpp"

#include "tests/support/shapes.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::test {
namespace {

using shape::Point;
using shape::Region;
using shape::Ring;

constexpr double side = 230; // mm

/// Corners of a grid, each moved a little.
std::vector<std::vector<Point>> grid(Random& random, int columns, int rows, double jitter) {
    std::vector<std::vector<Point>> out;
    for (int y = 0; y <= rows; ++y) {
        out.emplace_back();
        for (int x = 0; x <= columns; ++x) {
            const bool edge = x == 0 || y == 0 || x == columns || y == rows;
            const double j = edge ? 0 : jitter;
            out.back().push_back({x * side / columns + random.between(-j, j + 1e-9),
                                  y * side / rows + random.between(-j, j + 1e-9)});
        }
    }
    return out;
}

Mosaic quads(Random& random, int n) {
    Mosaic out{"quads " + std::to_string(n), {}};
    const auto p = grid(random, n, n, 0.25 * side / n);
    for (std::size_t y = 0; y + 1 < p.size(); ++y)
        for (std::size_t x = 0; x + 1 < p[y].size(); ++x)
            out.pieces.push_back(shape::regionOf({{p[y][x], p[y][x + 1], p[y + 1][x + 1], p[y + 1][x]}}));
    return out;
}

Mosaic triangles(Random& random, int n) {
    Mosaic out{"triangles " + std::to_string(n), {}};
    const auto p = grid(random, n, n, 0.15 * side / n);
    for (std::size_t y = 0; y + 1 < p.size(); ++y)
        for (std::size_t x = 0; x + 1 < p[y].size(); ++x) {
            out.pieces.push_back(shape::regionOf({{p[y][x], p[y][x + 1], p[y + 1][x]}}));
            out.pieces.push_back(shape::regionOf({{p[y][x + 1], p[y + 1][x + 1], p[y + 1][x]}}));
        }
    return out;
}

/// Each row begins half a brick further: borders end in the middle of others.
Mosaic bricks(int rows) {
    Mosaic out{"bricks " + std::to_string(rows), {}};
    const double high = side / rows, wide = 2.3 * high;
    for (int y = 0; y < rows; ++y)
        for (double x = y % 2 ? -wide / 2 : 0; x < side; x += wide)
            out.pieces.push_back(
                shape::rectangle({std::max(0.0, x), y * high, std::min(side, x + wide), (y + 1) * high}));
    return out;
}

Mosaic hexagons(double radius) {
    Mosaic out{"hexagons", {}};
    const double high = radius * std::numbers::sqrt3;
    int column = 0;
    for (double x = radius; x < side - radius; x += 1.5 * radius, ++column)
        for (double y = high / 2 + (column % 2 ? high / 2 : 0); y < side - high / 2; y += high) {
            Ring ring;
            for (int i = 0; i < 6; ++i)
                ring.push_back({x + radius * std::cos(i * std::numbers::pi / 3),
                                y + radius * std::sin(i * std::numbers::pi / 3)});
            out.pieces.push_back(shape::regionOf({ring}));
        }
    return out;
}

/// A pane cut again and again by wavy lines: curved borders that end on each other.
Mosaic pane(Random& random, int cuts) {
    Mosaic out{"pane " + std::to_string(cuts), {shape::rectangle({0, 0, side, side})}};
    for (int cut = 0; cut < cuts; ++cut) {
        const double angle = random.between(0, std::numbers::pi), wave = random.between(2, 9),
                     long_ = random.between(70, 160), phase = random.between(0, 6);
        const Point middle{random.between(0.2, 0.8) * side, random.between(0.2, 0.8) * side};
        const Point along{std::cos(angle), std::sin(angle)}, across{-along.y, along.x};
        Ring half;
        for (double s = -2 * side; s <= 2 * side; s += 2)
            half.push_back(middle + along * s +
                           across * (wave * std::sin(2 * std::numbers::pi * s / long_ + phase)));
        half.push_back(middle + along * (2 * side) + across * (3 * side));
        half.push_back(middle + along * (-2 * side) + across * (3 * side));
        const auto cutter = shape::regionOf({half}, shape::Fill::nonZero);
        // Only some of the panes are cut: the others' borders run on.
        std::vector<Region> next;
        for (const auto& piece : out.pieces) {
            const bool cuts_ = out.pieces.size() < 4 || random.unit() < 0.6;
            const auto in = shape::intersect(piece, cutter), rest = shape::subtract(piece, cutter);
            auto parts = shape::islands(in);
            for (auto& island : shape::islands(rest))
                parts.push_back(std::move(island));
            const bool crumbs =
                std::any_of(parts.begin(), parts.end(), [](const Region& r) { return r.area() < 150; });
            if (!cuts_ || crumbs) parts = {piece};
            next.insert(next.end(), parts.begin(), parts.end());
        }
        out.pieces = std::move(next);
    }
    return out;
}

/// Rings of glass round a middle, cut by spokes: a rose window.
Mosaic rose(int spokes, int rings) {
    Mosaic out{"rose " + std::to_string(spokes) + " × " + std::to_string(rings), {}};
    const auto at = [&](double r, double turn) {
        const double a = 2 * std::numbers::pi * turn / spokes;
        return Point{side / 2 + r * std::cos(a), side / 2 + r * std::sin(a)};
    };
    const double step = side / 2 / (rings + 1);
    constexpr int fine = 12;
    Ring middle;
    for (int i = 0; i < spokes * fine; ++i)
        middle.push_back(at(step, double(i) / fine));
    out.pieces.push_back(shape::regionOf({middle}));
    for (int ring = 1; ring <= rings; ++ring)
        for (int s = 0; s < spokes; ++s) {
            Ring pane;
            for (int i = 0; i <= fine; ++i)
                pane.push_back(at(ring * step, s + double(i) / fine));
            for (int i = fine; i >= 0; --i)
                pane.push_back(at((ring + 1) * step, s + double(i) / fine));
            out.pieces.push_back(shape::regionOf({pane}));
        }
    return out;
}

/// A maze: the walls are one piece full of holes and dead ends, the ways between them the others.
Mosaic maze(Random& random, int cells) {
    Mosaic out{"maze " + std::to_string(cells), {}};
    const double cell = side / cells, wall = cell * 0.28;
    std::vector<Region> walls{shape::subtract(shape::rectangle({0, 0, side, side}),
                                              shape::rectangle({wall, wall, side - wall, side - wall}))};
    for (int y = 1; y < cells; ++y)
        for (int x = 1; x < cells; ++x) {
            const double px = x * cell, py = y * cell;
            const auto way = random.below(4);
            const double reach = cell + wall / 2;
            walls.push_back(
                shape::rectangle({px - (way == 0 ? reach : wall / 2), py - (way == 1 ? reach : wall / 2),
                                  px + (way == 2 ? reach : wall / 2), py + (way == 3 ? reach : wall / 2)}));
        }
    const auto all = shape::intersect(shape::unite(walls), shape::rectangle({0, 0, side, side}));
    for (auto& island : shape::islands(shape::subtract(shape::rectangle({0, 0, side, side}), all)))
        if (island.area() > 20) out.pieces.push_back(std::move(island));
    for (auto& island : shape::islands(all))
        out.pieces.push_back(std::move(island));
    return out;
}

} // namespace

std::vector<Region> randomStack(std::uint64_t seed, std::size_t count) {
    Random random(seed);
    std::vector<Region> out;
    for (std::size_t i = 0; i < count; ++i)
        out.push_back(shape::regionOf({randomStar(random)}));
    return out;
}

std::vector<Mosaic> mosaics() {
    Random random(2026);
    std::vector<Mosaic> out;
    for (const int n : {2, 3, 4, 5, 6, 7, 8, 9})
        out.push_back(quads(random, n));
    for (const int n : {2, 3, 4, 5, 6})
        out.push_back(triangles(random, n));
    for (const int rows : {2, 3, 4, 5, 6})
        out.push_back(bricks(rows));
    for (const double radius : {18.0, 22.0, 27.0, 33.0})
        out.push_back(hexagons(radius));
    for (int cuts = 2; cuts < 16; ++cuts)
        out.push_back(pane(random, cuts));
    for (const int spokes : {4, 5, 6, 8, 12})
        out.push_back(rose(spokes, 1 + spokes % 3));
    for (const int cells : {3, 4, 4, 5, 5, 6, 6, 7, 8})
        out.push_back(maze(random, cells));
    return out;
}

} // namespace up::test
