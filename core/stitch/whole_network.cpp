// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/whole_network.hpp"

#include <algorithm>
#include <map>

namespace up::stitch {

using shape::Point;

namespace {

constexpr auto none = static_cast<std::size_t>(-1);

/// mm of the line along which the middle of the block lies to the left of the line, as it is seen from above: the
/// needle runs towards whoever sits at the machine, whose left is the other side.
double wrongSideOf(const shape::Polyline& line, Point middle) {
    double out = 0;
    for (std::size_t i = 1; i < line.size(); ++i)
        if (shape::cross(line[i - 1], line[i], middle) < 0) out += shape::distance(line[i - 1], line[i]);
    return out;
}

} // namespace

WholeNetwork::WholeNetwork(const Runs& runs, const std::vector<Line>& lines, const std::vector<bool>& done,
                           const Field& field) {
    Arcs arcOf(runs.runs.size(), none);
    for (std::size_t i = 0; i < runs.runs.size(); ++i) {
        if (done[i]) continue;
        arcOf[i] = m_arcs.size();
        m_runOf.push_back(i);
        addArc(runs.runs[i], lines[runs.runs[i].line], field);
    }
    for (const auto& before : runs.before) {
        const auto first = arcOf[before.first], then = arcOf[before.then];
        if (first == none || then == none) continue;
        auto& arc = m_arcs[first];
        m_arcs[then].first.push_back(first);
        const auto& points = runs.runs[before.first].points;
        if (shape::distance(points.front(), before.at) <= meeting) arc.hiddenFrom = true;
        if (shape::distance(points.back(), before.at) <= meeting) arc.hiddenTo = true;
    }
    findHops(field);
}

std::size_t WholeNetwork::placeOf(Point p) {
    for (std::size_t i = 0; i < m_places.size(); ++i)
        if (shape::distance(m_places[i], p) <= meeting) return i;
    m_places.push_back(p);
    return m_places.size() - 1;
}

void WholeNetwork::addArc(const Run& run, const Line& line, const Field& field) {
    const Point first = run.points.front(), last = run.points.back();
    Arc arc{placeOf(first), placeOf(last), line.thread, line.passes, {}};
    arc.hiddenFrom = isInSeam(field, first), arc.hiddenTo = isInSeam(field, last);
    arc.length = shape::lengthOf(run.points);
    arc.wrongSide = wrongSideOf(run.points, field.finished.centre());
    m_arcs.push_back(std::move(arc));
}

void WholeNetwork::findHops(const Field& field) {
    m_hops.resize(m_places.size());
    for (std::size_t i = 0; i < m_places.size(); ++i)
        for (std::size_t j = 0; j < m_places.size(); ++j)
            if (i != j)
                if (const auto way = wayBetween(field, m_places[i], m_places[j]))
                    m_hops[i].push_back({j, way->jump, way->seam});
    for (auto& hops : m_hops)
        std::stable_sort(hops.begin(), hops.end(), [](const Hop& a, const Hop& b) {
            return std::pair(a.jump, a.seam) < std::pair(b.jump, b.seam);
        });
}

std::vector<Arcs> WholeNetwork::partsOf(Arcs arcs) const {
    std::sort(arcs.begin(), arcs.end());
    std::vector<Arcs> at(m_places.size());
    for (const auto k : arcs)
        at[m_arcs[k].from].push_back(k), at[m_arcs[k].to].push_back(k);
    std::vector<Arcs> out;
    std::vector<bool> taken(m_arcs.size(), false);
    for (const auto k : arcs) {
        if (taken[k]) continue;
        Arcs part{k};
        taken[k] = true;
        const auto take = [&](std::size_t place) {
            for (const auto next : at[place])
                if (!taken[next]) taken[next] = true, part.push_back(next);
        };
        for (std::size_t i = 0; i < part.size(); ++i)
            for (const auto place : {m_arcs[part[i]].from, m_arcs[part[i]].to}) {
                take(place);
                for (const auto& hop : m_hops[place])
                    take(hop.to);
            }
        std::sort(part.begin(), part.end());
        out.push_back(std::move(part));
    }
    return out;
}

Network WholeNetwork::only(Arcs arcs) const {
    std::sort(arcs.begin(), arcs.end());
    Arcs number(m_arcs.size(), none), places, placeNumber(m_places.size(), none);
    for (std::size_t i = 0; i < arcs.size(); ++i) {
        number[arcs[i]] = i;
        for (const auto place : {m_arcs[arcs[i]].from, m_arcs[arcs[i]].to})
            if (placeNumber[place] == none) placeNumber[place] = places.size(), places.push_back(place);
    }
    Network out;
    for (const auto k : arcs) {
        auto arc = m_arcs[k];
        arc.from = placeNumber[arc.from], arc.to = placeNumber[arc.to];
        std::erase_if(arc.first, [&](std::size_t first) { return number[first] == none; });
        for (auto& first : arc.first)
            first = number[first];
        out.arcs.push_back(std::move(arc));
    }
    for (const auto place : places) {
        auto& hops = out.hops.emplace_back();
        for (auto hop : m_hops[place])
            if (placeNumber[hop.to] != none) hop.to = placeNumber[hop.to], hops.push_back(hop);
    }
    return out;
}

} // namespace up::stitch
