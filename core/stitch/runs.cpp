// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/runs.hpp"

#include "core/shape/along.hpp"
#include "core/stitch/quiet.hpp"

#include <algorithm>
#include <cmath>
#include <deque>

namespace up::stitch {

using shape::Along;
namespace {

using shape::Point;
using shape::Polyline;

bool isClosed(const Polyline& line) {
    return line.size() > 2 && line.front() == line.back();
}

/// Where to part each line, mm from its start.
class Cuts {
public:
    Cuts(const std::vector<Line>& lines, double jump) : m_lines(lines), m_at(lines.size()) {
        for (const auto& line : lines)
            m_along.emplace_back(line.points);
        for (std::size_t i = 0; i < lines.size(); ++i)
            for (std::size_t j = 0; j < lines.size(); ++j)
                if (i != j) cutAtEndsOf(j, i);
        if (jump <= 0) return;
        for (std::size_t i = 0; i < lines.size(); ++i)
            for (std::size_t j = 0; j < i; ++j)
                if (lines[i].thread == lines[j].thread) cutWhereNearest(i, j, jump);
    }
    void cutInTheMiddle(std::size_t line, double along) { m_at[line].push_back(along); }

    [[nodiscard]] std::vector<Run> parted(std::size_t line) const {
        const auto& along = m_along[line];
        auto at = m_at[line];
        std::sort(at.begin(), at.end());
        at.erase(std::unique(at.begin(), at.end(), [](double a, double b) { return b - a < meeting; }),
                 at.end());
        std::vector<Run> out;
        const auto add = [&](Polyline points) {
            const bool closed = isClosed(points);
            out.push_back({line, std::move(points), closed});
        };
        if (isClosed(m_lines[line].points)) {
            if (!at.empty() && along.length() - at.back() + at.front() < meeting) at.pop_back();
            if (at.empty()) return add(along.roundFrom(quietStart(m_lines[line].points))), out;
            for (std::size_t i = 0; i + 1 < at.size(); ++i)
                add(along.between(at[i], at[i + 1]));
            add(at.size() == 1 ? along.roundFrom(at.front()) : along.across(at.back(), at.front()));
            return out;
        }
        double from = 0;
        for (const double to : at) {
            if (to < meeting || along.length() - to < meeting) continue;
            add(along.between(from, to));
            from = to;
        }
        add(along.between(from, along.length()));
        return out;
    }

private:
    void cutAtEndsOf(std::size_t other, std::size_t line) {
        const auto& points = m_lines[other].points;
        if (isClosed(points)) return;
        for (const Point end : {points.front(), points.back()})
            if (m_along[line].box().grownBy(meeting).holds(end))
                if (const auto near = m_along[line].nearest(end); near.distance <= meeting)
                    m_at[line].push_back(near.along);
    }
    void cutWhereNearest(std::size_t i, std::size_t j, double jump) {
        if (!m_along[i].box().grownBy(jump).meets(m_along[j].box())) return;
        const auto near = m_along[i].nearest(m_along[j], jump);
        if (near.distance > jump || near.distance <= meeting) return;
        m_at[i].push_back(near.along), m_at[j].push_back(near.other);
    }

    const std::vector<Line>& m_lines;
    std::vector<Along> m_along;
    std::vector<std::vector<double>> m_at;
};

/// Whether the piece's edge goes on beneath `upper` where one of its runs ends.
bool hidesWhatFollows(const shape::Region& piece, const shape::Region& upper, Point end) {
    constexpr double beyond = 1.5, step = 0.1; // mm
    if (!upper.bounds().grownBy(meeting).holds(end)) return false;
    for (const auto& ring : piece.rings) {
        if (shape::distanceTo(ring, end) > 2 * meeting) continue;
        auto line = ring;
        line.push_back(ring.front());
        const Along along(line);
        const double at = along.nearest(end).along;
        int hidden = 0;
        for (double s = -beyond; s <= beyond; s += step)
            hidden += upper.contains(along.pointRound(at + s));
        if (hidden * step > leastRun - 0.05) return true;
    }
    return false;
}

bool isOnEdge(const shape::Region& area, Point p) {
    return std::any_of(area.rings.begin(), area.rings.end(),
                       [&](const auto& ring) { return shape::distanceTo(ring, p) <= 2 * meeting; });
}

bool endsAt(const Run& run, Point p) {
    return shape::distance(run.points.front(), p) <= 2 * meeting ||
           shape::distance(run.points.back(), p) <= 2 * meeting;
}

std::vector<Before> beforeOf(const std::vector<Line>& lines, const std::vector<Run>& runs,
                             const Pieces& pieces) {
    std::vector<std::vector<std::size_t>> edgesOf(pieces.areas.size());
    for (std::size_t i = 0; i < runs.size(); ++i)
        if (const auto& line = lines[runs[i].line]; line.isEdge && line.piece != noPiece)
            edgesOf[line.piece].push_back(i);
    std::vector<Before> out;
    const auto add = [&](std::size_t first, std::size_t piece, Point end) {
        for (const auto upper : pieces.above[piece]) {
            if (edgesOf[upper].empty() || !pieces.areas[upper].bounds().grownBy(1).holds(end) ||
                !isOnEdge(pieces.areas[upper], end) ||
                !hidesWhatFollows(pieces.areas[piece], pieces.areas[upper], end))
                continue;
            for (const auto then : edgesOf[upper])
                if (endsAt(runs[then], end)) out.push_back({first, then, end});
        }
    };
    for (std::size_t piece = 0; piece < edgesOf.size(); ++piece)
        for (const auto i : edgesOf[piece])
            if (!runs[i].closed) add(i, piece, runs[i].points.front()), add(i, piece, runs[i].points.back());
    return out;
}

/// Those that wait for themselves in the end.
std::vector<std::size_t> inCircles(std::size_t count, const std::vector<Before>& before) {
    std::vector<std::vector<std::size_t>> after(count);
    std::vector<int> waits(count, 0);
    for (const auto& b : before)
        after[b.first].push_back(b.then), ++waits[b.then];
    std::deque<std::size_t> free;
    for (std::size_t i = 0; i < count; ++i)
        if (waits[i] == 0) free.push_back(i);
    while (!free.empty()) {
        for (const auto then : after[free.front()])
            if (--waits[then] == 0) free.push_back(then);
        free.pop_front();
    }
    std::vector<std::size_t> out;
    for (std::size_t i = 0; i < count; ++i)
        if (waits[i] > 0) out.push_back(i);
    return out;
}

} // namespace

Runs runsOf(const std::vector<Line>& given, const Pieces& pieces, double jump) {
    std::vector<Line> lines = given;
    for (auto& line : lines)
        if (shape::lengthOf(line.points) < leastRun) line.points.clear();
    std::vector<std::size_t> kept;
    std::vector<Line> there;
    for (std::size_t i = 0; i < lines.size(); ++i)
        if (!lines[i].points.empty()) kept.push_back(i), there.push_back(std::move(lines[i]));
    Cuts cuts(there, jump);
    Runs out;
    for (int round = 0; round < 2; ++round) {
        out.runs.clear();
        for (std::size_t i = 0; i < there.size(); ++i)
            for (auto& run : cuts.parted(i))
                out.runs.push_back(std::move(run));
        out.before = beforeOf(there, out.runs, pieces);
        const auto circles = inCircles(out.runs.size(), out.before);
        if (circles.empty()) break;
        for (const auto i : circles) {
            const Along along(there[out.runs[i].line].points);
            const auto middle =
                shape::pointAlong(out.runs[i].points, shape::lengthOf(out.runs[i].points) / 2);
            cuts.cutInTheMiddle(out.runs[i].line, along.nearest(middle).along);
        }
    }
    for (auto& run : out.runs)
        run.line = kept[run.line];
    return out;
}

} // namespace up::stitch
