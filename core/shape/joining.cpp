// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/joining.hpp"

#include <algorithm>
#include <cmath>
#include <cstdint>
#include <map>
#include <optional>

namespace up::shape {
namespace {

struct End {
    std::size_t line;
    bool atStart;
    bool operator==(const End&) const = default;
};

/// Ends in square cells as large as the reach: the neighbours of a point are in its cell or one beside it.
class Ends {
public:
    Ends(const std::vector<Contour>& lines, double reach) : m_lines(lines), m_reach(reach) {
        for (std::size_t i = 0; i < lines.size(); ++i) {
            if (lines[i].closed) continue;
            m_cells[cellOf(lines[i].start)].push_back({i, true});
            m_cells[cellOf(lines[i].end())].push_back({i, false});
        }
    }
    [[nodiscard]] Point at(End end) const {
        return end.atStart ? m_lines[end.line].start : m_lines[end.line].end();
    }
    /// The one other end within reach; nothing when there is none, or more than one.
    [[nodiscard]] std::optional<End> partner(End of) const {
        const auto found = near(of);
        if (found.size() != 1 || near(found.front()).size() != 1) return std::nullopt;
        return found.front();
    }

private:
    using Cell = std::pair<std::int64_t, std::int64_t>;
    [[nodiscard]] Cell cellOf(Point p) const {
        return {static_cast<std::int64_t>(std::floor(p.x / m_reach)),
                static_cast<std::int64_t>(std::floor(p.y / m_reach))};
    }
    [[nodiscard]] std::vector<End> near(End of) const {
        std::vector<End> out;
        const auto [x, y] = cellOf(at(of));
        for (std::int64_t dx = -1; dx <= 1; ++dx)
            for (std::int64_t dy = -1; dy <= 1; ++dy) {
                const auto it = m_cells.find({x + dx, y + dy});
                if (it == m_cells.end()) continue;
                for (const End other : it->second)
                    if (!(other == of) && distance(at(other), at(of)) <= m_reach) out.push_back(other);
            }
        return out;
    }
    const std::vector<Contour>& m_lines;
    double m_reach;
    std::map<Cell, std::vector<End>> m_cells;
};

/// The last curve ends at `p` instead, in the same direction.
void bendEnd(Contour& contour, Point p) {
    auto& last = contour.curves.back();
    last.control2 = last.control2 + (p - last.end);
    last.end = p;
}

/// Appends `next`; where they meet, both give way by half.
void append(Contour& to, const Contour& next) {
    const Point meet = (to.end() + next.start) * 0.5;
    bendEnd(to, meet);
    auto curves = next.curves;
    curves.front().control1 = curves.front().control1 + (meet - next.start);
    to.curves.insert(to.curves.end(), curves.begin(), curves.end());
}

/// The end and the start of a chain that comes back to itself meet half-way.
void close(Contour& contour) {
    const Point meet = (contour.start + contour.end()) * 0.5;
    bendEnd(contour, meet);
    auto& first = contour.curves.front();
    first.control1 = first.control1 + (meet - contour.start);
    contour.start = meet;
    contour.closed = true;
}

/// Onwards from the open end of the line until nothing meets it, or it comes back to `first`.
bool follow(const Ends& ends, End from, std::vector<bool>& used, std::vector<End>& entered) {
    const End first = entered.empty() ? End{from.line, !from.atStart} : entered.front();
    for (;;) {
        const auto next = ends.partner(from);
        if (!next) return false;
        if (*next == first) return true;
        if (used[next->line]) return false;
        used[next->line] = true;
        entered.push_back(*next);
        from = {next->line, !next->atStart};
    }
}

} // namespace

Contour backwards(const Contour& contour) {
    Contour out{contour.end(), {}, contour.closed};
    for (std::size_t i = contour.curves.size(); i-- > 0;) {
        const Point to = i == 0 ? contour.start : contour.curves[i - 1].end;
        out.curves.push_back({contour.curves[i].control2, contour.curves[i].control1, to});
    }
    return out;
}

std::vector<Chain> joinEnds(const std::vector<Contour>& lines, double reach) {
    const Ends ends(lines, reach);
    std::vector<bool> used(lines.size(), false);
    std::vector<Chain> out;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        if (used[i]) continue;
        used[i] = true;
        if (lines[i].closed || lines[i].curves.empty()) {
            out.push_back({lines[i], {i}});
            continue;
        }
        std::vector<End> way{{i, true}}; // where each line of the chain is entered
        const bool closed = follow(ends, {i, false}, used, way);
        if (!closed) { // the other way from the start of the first line, put in front
            std::vector<End> before{{i, false}};
            follow(ends, {i, true}, used, before);
            std::vector<End> all;
            for (std::size_t k = before.size(); k-- > 1;)
                all.push_back({before[k].line, !before[k].atStart});
            all.insert(all.end(), way.begin(), way.end());
            way = std::move(all);
        }
        Chain chain;
        for (const End end : way) {
            const Contour next = end.atStart ? lines[end.line] : backwards(lines[end.line]);
            if (chain.parts.empty())
                chain.contour = next;
            else
                append(chain.contour, next);
            chain.parts.push_back(end.line);
        }
        if (closed) close(chain.contour);
        out.push_back(std::move(chain));
    }
    return out;
}

} // namespace up::shape
