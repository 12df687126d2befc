// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bond/shelf.hpp"

#include "core/press/patch.hpp"
#include "core/shape/deepest.hpp"

#include <algorithm>
#include <cmath>

namespace up::bond {

using measure::Angle;
using shape::Region;
using shape::Transform;

namespace {

constexpr double sag = 0.01; // mm; the offset's arcs lie up to this far inside the true ones

/// Degrees 0…360.
double normal(double degrees) {
    const double rest = std::fmod(degrees, 360.0);
    return rest < 0 ? rest + 360 : rest;
}

bool isItsBox(const Region& region) {
    const auto box = region.bounds();
    return std::abs(region.area() - box.width() * box.height()) < 1e-3;
}

/// Fewer points, none of it lost: what lies up to so far outside the chunk counts as the chunk.
constexpr double rough = 0.05;

} // namespace

Shelves::Size Shelves::sizeOf(const Region& region) {
    constexpr double near = 0.05; // mm
    Size out{0, region.isEmpty() ? 0 : shape::deepestPoint(region, near).depth};
    for (const auto& ring : region.rings)
        for (const auto a : ring)
            for (const auto b : ring)
                out.length = std::max(out.length, shape::distance(a, b));
    return out;
}

bool Shelves::mayGoOn(std::size_t chunk, std::size_t cloth) const {
    const auto &what = m_sizes[chunk], &room = m_roomSizes[cloth]; // depths are found to an eighth
    return what.length <= room.length && what.depth <= room.depth * 8 / 7 + 0.1;
}

Shelves::Shelves(const Task& task) : m_task(task), m_half(task.margin / 2) {
    double longest = 1;
    for (const auto& cloth : task.cloths) {
        m_rooms.push_back(shape::offset(cloth.area, -m_half, sag));
        m_roomSizes.push_back(sizeOf(shape::offset(cloth.area, -task.margin, sag)));
        const auto box = cloth.area.bounds();
        longest = std::max({longest, box.width(), box.height()});
    }
    m_cell = std::clamp(longest / 400, 1.0, 4.0);
    for (const auto& chunk : task.chunks) {
        m_areas.push_back(chunk.outline.area());
        m_sizes.push_back(sizeOf(chunk.outline));
        m_grown.push_back(shape::coveringSimplified(shape::offset(chunk.outline, m_half + sag, sag), rough));
        m_square.push_back(press::patchFor(chunk.outline).turn.degrees());
    }
}

/// So that its stripes run along 0°, or, without any, so that it lies square.
double Shelves::baseFrame(std::size_t cloth) const {
    const auto& what = m_task.cloths[cloth];
    if (what.stripes) return -*what.stripes;
    return isItsBox(what.area) ? 0 : press::patchFor(what.area).turn.degrees();
}

Shelf Shelves::empty(std::size_t cloth, int quarter) const {
    Shelf out;
    out.cloth = cloth;
    out.frame = normal(baseFrame(cloth) + quarter * 90.0);
    const auto room = shape::transformed(m_rooms[cloth], Transform::turn(Angle::ofDegrees(out.frame)));
    const auto box = room.bounds();
    out.corner = {box.left, box.top};
    out.width = room.isEmpty() ? 0 : box.width(), out.height = room.isEmpty() ? 0 : box.height();
    out.grid = layout::Grid(static_cast<int>(std::ceil(out.width / m_cell)) + 1,
                            static_cast<int>(std::ceil(out.height / m_cell)) + 1);
    const auto home = Transform::moveBy(-out.corner.x, -out.corner.y);
    if (!isItsBox(room)) out.grid.blockOutside(shape::transformed(room, home), m_cell);
    for (std::size_t c = 0; c < m_task.chunks.size(); ++c) {
        auto pinned = m_task.chunks[c].pinned;
        if (!pinned || pinned->cloth != cloth) continue;
        pinned->chunk = c;
        put(out, *pinned);
    }
    return out;
}

void Shelves::put(Shelf& shelf, const Lying& lying) const {
    shelf.lying.push_back(lying);
    shelf.taken += m_areas[lying.chunk];
    const auto there = Transform::moveBy(-shelf.corner.x, -shelf.corner.y) *
                       Transform::turn(Angle::ofDegrees(shelf.frame)) * placing(lying);
    const auto grown = shape::transformed(m_grown[lying.chunk], there);
    const auto at = grown.bounds();
    const double left = std::floor(at.left / m_cell), top = std::floor(at.top / m_cell);
    shelf.grid.fill(layout::stampOf(grown, {left * m_cell, top * m_cell, at.right, at.bottom}, m_cell),
                    static_cast<int>(left), static_cast<int>(top));
}

const Turned& Shelves::turned(std::size_t chunk, double degrees) {
    constexpr double fineness = 1000; // parts of a degree that make another turn
    const auto key = std::pair{chunk, std::lround(degrees * fineness)};
    if (const auto known = m_turned.find(key); known != m_turned.end()) return known->second;
    const auto turn = Transform::turn(Angle::ofDegrees(degrees));
    const auto box = shape::transformed(m_task.chunks[chunk].outline, turn).bounds().grownBy(m_half);
    return m_turned
        .emplace(key, Turned{layout::stampOf(shape::transformed(m_grown[chunk], turn), box, m_cell),
                             {box.left, box.top}})
        .first->second;
}

std::vector<double> Shelves::turnsOf(std::size_t chunk, const Shelf& shelf) const {
    const auto& what = m_task.chunks[chunk];
    const auto& cloth = m_task.cloths[shelf.cloth];
    std::vector<double> out;
    if (what.stripes && cloth.stripes) {
        const double along = normal(*cloth.stripes + shelf.frame - *what.stripes);
        out.push_back(along);
        if (!what.oneWay) out.push_back(normal(along + 180));
        return out;
    }
    constexpr int turns = 8;
    for (int i = 0; i < turns; ++i)
        out.push_back(normal(m_square[chunk] + i * 360.0 / turns));
    return out;
}

std::optional<Spot> Shelves::find(const Shelf& shelf, std::size_t chunk) {
    if (m_areas[chunk] > shelf.width * shelf.height - shelf.taken) return std::nullopt;
    std::optional<Spot> best;
    double bestScore = std::numeric_limits<double>::infinity();
    for (const double degrees : turnsOf(chunk, shelf)) {
        const auto& now = turned(chunk, degrees);
        const double across = shelf.width - now.stamp.width, down = shelf.height - now.stamp.height;
        if (across < -1e-6 || down < -1e-6) continue;
        const int lastColumn = static_cast<int>(std::floor(across / m_cell + 1e-6));
        int lastRow = static_cast<int>(std::floor(down / m_cell + 1e-6));
        if (const double room = (bestScore - now.stamp.height) / m_cell; room < lastRow)
            lastRow = static_cast<int>(room);
        int column = 0, row = 0;
        if (lastRow < 0 || !shelf.grid.firstFit(now.stamp, 0, lastRow, lastColumn, column, row)) continue;
        constexpr double left = 1e-6; // of two that lie equally high
        const double score = row * m_cell + now.stamp.height + left * column;
        if (score >= bestScore) continue;
        bestScore = score;
        best = Spot{chunk, &now, degrees, column, row};
    }
    return best;
}

void Shelves::put(Shelf& shelf, const Spot& spot) {
    shelf.grid.fill(spot.how->stamp, spot.column, spot.row);
    const shape::Point at{spot.column * m_cell - spot.how->corner.x + shelf.corner.x,
                          spot.row * m_cell - spot.how->corner.y + shelf.corner.y};
    const auto home = Transform::turn(Angle::ofDegrees(-shelf.frame))(at);
    shelf.lying.push_back({spot.chunk, shelf.cloth, normal(spot.degrees - shelf.frame), home.x, home.y});
    shelf.taken += m_areas[spot.chunk];
}

double Shelves::largestFree(const Shelf& shelf) const {
    return layout::largestFree(shelf.grid, static_cast<int>(shelf.width / m_cell),
                               static_cast<int>(shelf.height / m_cell))
               .count() *
           m_cell * m_cell;
}

} // namespace up::bond
