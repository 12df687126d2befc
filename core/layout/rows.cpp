// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/rows.hpp"

#include "core/layout/clash.hpp"
#include "core/layout/construct.hpp"

#include <algorithm>
#include <cmath>

namespace up::layout {
namespace {

using shape::Point;

constexpr double precise = 1e-4; // mm
constexpr int steps = 160;       // in which the way from beside is looked through

/// How far `b` has to be moved along `way`, beginning at `from` where they lie on each other, so that it no
/// longer meets `a`, looked for from the far side; `far` is enough. mm.
double leastMove(const Laid& a, Laid b, Point way, double far) {
    const Point start = b.at();
    const auto meets = [&](double by) {
        b.moveTo(start + way * by);
        return meet(a, b);
    };
    double clear = far;
    while (clear > 0 && !meets(clear - far / steps))
        clear -= far / steps;
    double stuck = std::max(0.0, clear - far / steps);
    while (clear - stuck > precise) {
        const double middle = (clear + stuck) / 2;
        (meets(middle) ? stuck : clear) = middle;
    }
    return clear;
}

/// Two shapes side by side, over and over: a, b, a, b …
struct Row {
    Turn first, second;
    double toSecond = 0, pitch = 0; ///< from a to b, and from a to the next a, mm
    double height = 0;
    Point firstAt{}, secondAt{}; ///< with the row's box at the origin
    double firstWidth = 0, secondWidth = 0;
};

Row rowOf(const Form& form, double degrees, bool alternate) {
    Row out;
    out.first = turnOf(degrees), out.second = turnOf(degrees + (alternate ? 180 : 0));
    const auto a = boxOf(form, out.first), b = boxOf(form, out.second);
    out.firstAt = {-a.left, -a.top}, out.secondAt = {-b.left, -b.top};
    out.firstWidth = a.width(), out.secondWidth = b.width();
    out.height = std::max(a.height(), b.height());
    Laid first, second, next;
    first.lay(form, out.first, out.firstAt);
    second.lay(form, out.second, out.secondAt);
    next.lay(form, out.first, out.firstAt);
    const double far = a.width() + b.width();
    out.toSecond = leastMove(first, second, {1, 0}, far);
    second.moveTo(out.secondAt + Point{out.toSecond, 0});
    next.moveTo(out.firstAt + Point{out.toSecond, 0});
    out.pitch = out.toSecond + leastMove(second, next, {1, 0}, far);
    next.moveTo(out.firstAt);
    out.pitch = std::max(out.pitch, leastMove(first, next, {1, 0}, 2 * far)); // past b to a as well
    return out;
}

int fitting(const Row& row, double width) {
    int count = 0;
    for (;; ++count) {
        const double left = count / 2 * row.pitch + (count % 2 ? row.toSecond : 0);
        if (left + (count % 2 ? row.secondWidth : row.firstWidth) > width + 1e-6) return count;
    }
}

std::vector<double> turnsToTry(const Part& part) {
    if (!part.rotations.empty()) return part.rotations;
    std::vector<double> out;
    for (int i = 0; i < 36; ++i)
        out.push_back(i * 5);
    for (const auto& ring : part.shape.rings) // an edge along the roll
        for (std::size_t k = 0; k < ring.size() && out.size() < 200; ++k) {
            const Point way = ring[(k + 1) % ring.size()] - ring[k];
            out.push_back(-std::atan2(way.y, way.x) * 57.29577951308232);
        }
    return out;
}

} // namespace

std::optional<Rows> rowsOf(const NestJob& job) {
    if (job.parts.size() != 1 || job.sheets.size() != 1 || !job.sheets[0].outline.isEmpty() ||
        job.sheets[0].count != 1 || job.parts[0].copies < 2 || hasFixed(job))
        return std::nullopt;
    const auto& part = job.parts[0];
    const double half = halfSpacing(job);
    const Form form = paddedForm(part, half);
    if (form.points.empty()) return std::nullopt;
    const double width = job.sheets[0].width + 2 * half;
    const auto allows = [&](double degrees) {
        return part.rotations.empty() ||
               std::any_of(part.rotations.begin(), part.rotations.end(),
                           [&](double r) { return std::abs(std::remainder(r - degrees, 360)) < 1e-6; });
    };
    std::optional<Row> best;
    double least = job.sheets[0].height + 2 * half;
    for (const double degrees : turnsToTry(part))
        for (const bool alternate : {false, true}) {
            if (alternate && !allows(degrees + 180)) continue;
            const auto row = rowOf(form, degrees, alternate);
            const int across = fitting(row, width);
            if (across == 0) continue;
            const double high = row.height * ((part.copies + across - 1) / across);
            if (high <= least) least = high, best = row;
        }
    if (!best) return std::nullopt;
    NestLayout out;
    out.sheetsUsed = out.lastSheet = 1, out.usedHeight = least - 2 * half;
    const int across = fitting(*best, width);
    for (int i = 0; i < part.copies; ++i) {
        const int column = i % across, row = i / across;
        const bool second = column % 2 != 0;
        const Point at = (second ? best->secondAt : best->firstAt) +
                         Point{column / 2 * best->pitch + (second ? best->toSecond : 0), row * best->height};
        const auto turn = measure::Angle::ofDegrees((second ? best->second : best->first).degrees).normal();
        out.placed.push_back({{0, 0, turn.degrees(), at.x - half, at.y - half}, 0, i});
    }
    return Rows{std::move(out), best->height, (part.copies + across - 1) / across};
}

} // namespace up::layout
