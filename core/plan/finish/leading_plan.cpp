// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/finish/leading_plan.hpp"

#include "core/shape/along.hpp"
#include "core/stack/showing.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using shape::Along;
using shape::Point;
using shape::Polyline;
using shape::Region;

constexpr double snap = 3 * meets,
                 same = 4 * meets; // mm: an end is drawn to a line so near; places so near are one

bool isRing(const Polyline& line) {
    return shape::distance(line.front(), line.back()) < 1e-6;
}

/// Edges as they come, each border once.
class Edges {
public:
    explicit Edges(const shape::Box& finished) {
        Polyline frame{{finished.left, finished.top},
                       {finished.right, finished.top},
                       {finished.right, finished.bottom},
                       {finished.left, finished.bottom},
                       {finished.left, finished.top}};
        m_frame = frame;
        m_cover.push_back(shape::band(frame, true, 2 * meets));
        m_along.emplace_back(frame);
    }
    void add(const shape::Ring& ring) {
        Polyline closed = ring;
        closed.push_back(ring.front());
        Along whole(closed);
        std::vector<Region> near;
        for (const auto& cover : m_cover)
            if (cover.bounds().meets(whole.box())) near.push_back(cover);
        const auto cover = shape::unite(near);
        auto parts =
            cover.isEmpty() ? std::vector<Polyline>{closed} : stack::joined(shape::outside(closed, cover));
        for (auto& part : parts) {
            if (!isRing(part)) snapEnds(part);
            if (shape::lengthOf(part) < same) continue;
            m_cover.push_back(shape::band(part, isRing(part), 2 * meets));
            m_along.emplace_back(part);
            m_lines.push_back(std::move(part));
        }
    }
    [[nodiscard]] const std::vector<Polyline>& lines() const { return m_lines; }
    [[nodiscard]] const Polyline& frame() const { return m_frame; }

private:
    void snapEnds(Polyline& part) const {
        for (const bool start : {true, false}) {
            const Point end = start ? part.front() : part.back();
            double least = snap;
            std::optional<Point> to;
            for (const auto& along : m_along)
                if (const auto near = along.nearest(end); near.distance < least)
                    least = near.distance, to = along.point(near.along);
            if (!to || shape::distance(*to, end) < 1e-9) continue;
            start ? void(part.insert(part.begin(), *to)) : part.push_back(*to);
        }
    }

    Polyline m_frame;
    std::vector<Region> m_cover; ///< of each line, and first of the frame
    std::vector<Along> m_along;
    std::vector<Polyline> m_lines;
};

/// Each line cut where an end of another lies on it.
std::vector<Polyline> cutAtEnds(const std::vector<Polyline>& lines) {
    std::vector<Point> ends;
    for (const auto& line : lines)
        if (!isRing(line)) ends.push_back(line.front()), ends.push_back(line.back());
    std::vector<Polyline> out;
    for (const auto& line : lines) {
        const Along along(line);
        std::vector<double> cuts;
        for (const auto end : ends)
            if (const auto near = along.nearest(end); near.distance < snap) cuts.push_back(near.along);
        std::sort(cuts.begin(), cuts.end());
        cuts.erase(std::unique(cuts.begin(), cuts.end(), [](double a, double b) { return b - a < same; }),
                   cuts.end());
        if (isRing(line)) {
            if (!cuts.empty() && cuts.front() + along.length() - cuts.back() < same && cuts.size() > 1)
                cuts.pop_back();
            if (cuts.empty()) out.push_back(line);
            for (std::size_t i = 0; i < cuts.size(); ++i)
                out.push_back(i + 1 < cuts.size() ? along.between(cuts[i], cuts[i + 1])
                                                  : along.across(cuts.back(), cuts.front()));
            continue;
        }
        std::erase_if(cuts, [&](double at) { return at < same || at > along.length() - same; });
        double from = 0;
        for (const double at : cuts)
            out.push_back(along.between(from, at)), from = at;
        out.push_back(along.between(from, along.length()));
    }
    return out;
}

std::size_t placeAt(std::vector<Point>& places, Point p) {
    for (std::size_t i = 0; i < places.size(); ++i)
        if (shape::distance(places[i], p) < same) return i;
    places.push_back(p);
    return places.size() - 1;
}

} // namespace

lead::Borders bordersOf(const std::vector<Region>& shown, const shape::Box& finished) {
    Edges edges(finished);
    for (const auto& area : shown)
        for (const auto& ring : area.rings)
            if (ring.size() > 2) edges.add(ring);
    lead::Borders out;
    for (auto& line : cutAtEnds(edges.lines())) {
        const auto from = placeAt(out.places, line.front()), to = placeAt(out.places, line.back());
        line.front() = out.places[from], line.back() = out.places[to];
        out.borders.push_back({std::move(line), from, to});
    }
    const Along frame(edges.frame());
    for (const auto place : out.places)
        out.atEdge.push_back(frame.nearest(place).distance < same);
    return out;
}

lead::Leading planLeading(const quilt::Block& block) {
    const auto plan = planBlock(block);
    const auto box = quilt::finishedBox(block);
    const auto finished = shape::rectangle(box);
    std::vector<Region> shown;
    for (const auto& area : plan.visible)
        shown.push_back(shape::intersect(area, finished));
    return lead::leadingOf(bordersOf(shown, box));
}

std::vector<shape::Contour> strokesOf(const lead::Leading& leading) {
    std::vector<shape::Contour> out;
    for (const auto& tape : leading.tapes) {
        out.push_back(shape::contourThrough(tape.line));
        out.back().closed = false;
    }
    return out;
}

} // namespace up::plan
