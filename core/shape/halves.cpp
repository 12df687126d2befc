// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/halves.hpp"

#include "core/shape/joining.hpp"

#include <algorithm>

namespace up::shape {
namespace {

double offLine(Point p, Point a, Point b) {
    return std::abs(cross(a, b, p)) / std::max(distance(a, b), 1e-12);
}

bool isStraight(Point from, const Cubic& curve, double tolerance) {
    return distance(from, curve.end) > 1e-6 && offLine(curve.control1, from, curve.end) <= tolerance &&
           offLine(curve.control2, from, curve.end) <= tolerance;
}

/// Closed for certain, and running from +x towards +y.
Contour tidy(const Contour& contour) {
    Contour out = contour;
    if (distance(out.end(), out.start) > 1e-9) out.lineTo(out.start);
    std::erase_if(out.curves, [p = out.start](const Cubic& c) mutable {
        const bool empty = distance(p, c.control1) + distance(p, c.control2) + distance(p, c.end) < 1e-9;
        p = c.end;
        return empty;
    });
    return signedArea(out) < 0 ? backwards(out) : out;
}

/// A run of straight curves: first index and how many, round the end of the list if need be.
struct Run {
    std::size_t first, count;
    Point from, to;
};

std::vector<Run> straightRuns(const Contour& edge, double tolerance) {
    const auto n = edge.curves.size();
    const auto startOf = [&](std::size_t i) { return i % n == 0 ? edge.start : edge.curves[i % n - 1].end; };
    const auto straight = [&](std::size_t i) {
        return isStraight(startOf(i), edge.curves[i % n], tolerance);
    };
    const auto isOneLine = [&](std::size_t first, std::size_t count) {
        const Point from = startOf(first), to = edge.curves[(first + count - 1) % n].end;
        for (std::size_t k = 0; k + 1 < count; ++k) {
            const Point p = edge.curves[(first + k) % n].end;
            const double along = (p.x - from.x) * (to.x - from.x) + (p.y - from.y) * (to.y - from.y);
            if (offLine(p, from, to) > tolerance || along < 0) return false;
        }
        return true;
    };
    std::vector<Run> runs;
    for (std::size_t i = 0; i < n; ++i) {
        if (!straight(i)) continue;
        std::size_t count = 1;
        while (count < n && straight(i + count) && isOneLine(i, count + 1))
            ++count;
        runs.push_back({i, count, startOf(i), edge.curves[(i + count - 1) % n].end});
    }
    return runs;
}

bool liesBeyond(const Contour& edge, const Run& run, double tolerance) {
    for (const Point p : flattened(edge, tolerance / 2))
        if (cross(run.from, run.to, p) < -2 * tolerance * distance(run.from, run.to)) return true;
    return false;
}

std::optional<Run> runOf(const Contour& edge, const Straight& fold) {
    for (const auto& run : straightRuns(edge, 0.1))
        if (distance(run.from, fold.from) < 1e-6 && distance(run.to, fold.to) < 1e-6) return run;
    return std::nullopt;
}

/// The edge without the run, open, from the run's end round to its beginning.
Contour without(const Contour& edge, const Run& run) {
    Contour out{run.to, {}, false};
    const auto n = edge.curves.size();
    for (std::size_t i = run.first + run.count; i < run.first + n; ++i)
        out.curves.push_back(edge.curves[i % n]);
    return out;
}

/// Two open ways round as one edge; gaps at the ends become straight stretches.
Contour closed(Contour first, const Contour& second) {
    if (distance(first.end(), second.start) > 1e-6) first.lineTo(second.start);
    first.curves.insert(first.curves.end(), second.curves.begin(), second.curves.end());
    if (distance(first.end(), first.start) > 1e-6) first.lineTo(first.start);
    first.curves.back().end = first.start;
    first.closed = true;
    return first;
}

Transform mirrorOver(Point a, Point b) {
    const double length = distance(a, b), c = (b.x - a.x) / length, s = (b.y - a.y) / length;
    const Transform flip{c * c - s * s, 2 * c * s, 2 * c * s, s * s - c * c, 0, 0};
    return Transform::moveBy(a.x, a.y) * flip * Transform::moveBy(-a.x, -a.y);
}

} // namespace

std::vector<Straight> foldsOf(const Outline& outline, double least, double tolerance) {
    const auto edge = tidy(outline.edge);
    std::vector<Straight> out;
    for (const auto& run : straightRuns(edge, tolerance))
        if (distance(run.from, run.to) >= least && !liesBeyond(edge, run, tolerance))
            out.push_back({run.from, run.to});
    std::stable_sort(out.begin(), out.end(), [](const Straight& a, const Straight& b) {
        return distance(a.from, a.to) > distance(b.from, b.to);
    });
    // The pieces of a longer run are not folds of their own.
    std::vector<Straight> folds;
    for (const auto& fold : out)
        if (std::none_of(folds.begin(), folds.end(), [&](const Straight& longer) {
                return offLine(fold.from, longer.from, longer.to) <= tolerance &&
                       offLine(fold.to, longer.from, longer.to) <= tolerance;
            }))
            folds.push_back(fold);
    return folds;
}

std::vector<Straight> straightsOn(const Outline& outline, Point a, Point b, double tolerance) {
    std::vector<Straight> out;
    for (const auto& run : straightRuns(tidy(outline.edge), tolerance)) {
        if (offLine(run.from, a, b) > tolerance || offLine(run.to, a, b) > tolerance) continue;
        // Runs are listed from every curve they are made of: only the longest of each is wanted.
        const auto isPart = [&](const Straight& known) { return distance(known.to, run.to) < 1e-9; };
        const auto longer = std::find_if(out.begin(), out.end(), isPart);
        if (longer == out.end())
            out.push_back({run.from, run.to});
        else if (distance(run.from, run.to) > distance(longer->from, longer->to))
            *longer = {run.from, run.to};
    }
    return out;
}

Outline unfolded(const Outline& half, const Straight& fold) {
    const auto edge = tidy(half.edge);
    const auto run = runOf(edge, fold);
    if (!run) return half;
    const auto mirror = mirrorOver(fold.from, fold.to);
    const auto way = without(edge, *run);
    Outline out{closed(way, backwards(transformed(way, mirror))), half.holes};
    for (const auto& hole : half.holes)
        out.holes.push_back(transformed(hole, mirror));
    return out;
}

Outline joined(const Outline& a, const Straight& foldOfA, const Outline& b, const Straight& foldOfB) {
    const auto edgeA = tidy(a.edge), edgeB = tidy(b.edge);
    const auto runA = runOf(edgeA, foldOfA), runB = runOf(edgeB, foldOfB);
    if (!runA || !runB) return a;
    // B's stretch runs the other way once it lies against A's.
    const Point wayA = foldOfA.to - foldOfA.from, wayB = foldOfB.from - foldOfB.to;
    const auto turn = measure::Angle::ofRadians(std::atan2(wayA.y, wayA.x) - std::atan2(wayB.y, wayB.x));
    const Point middleA = (foldOfA.from + foldOfA.to) * 0.5, middleB = (foldOfB.from + foldOfB.to) * 0.5;
    const auto move = Transform::moveBy(middleA.x, middleA.y) * Transform::turn(turn) *
                      Transform::moveBy(-middleB.x, -middleB.y);
    Outline out{closed(without(edgeA, *runA), transformed(without(edgeB, *runB), move)), a.holes};
    for (const auto& hole : b.holes)
        out.holes.push_back(transformed(hole, move));
    return out;
}

} // namespace up::shape
