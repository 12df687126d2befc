// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/thinned.hpp"

#include "core/base/job.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace up::intake {
namespace {

using shape::Point;
using shape::Polyline;

constexpr double straightOn = -0.8; // cosine between two branches that are one line

/// The mask with a dot of margin all round, so that every dot has eight neighbours.
class Field {
public:
    explicit Field(const Mask& mask) : m_width(mask.width + 2), m_mask(mask.width + 2, mask.height + 2) {
        for (int y = 0; y < mask.height; ++y)
            for (int x = 0; x < mask.width; ++x)
                if (mask.in[mask.at(x, y)]) {
                    m_mask.in[m_mask.at(x + 1, y + 1)] = 1;
                    m_dots.push_back(m_mask.at(x + 1, y + 1));
                }
        const auto row = static_cast<std::ptrdiff_t>(m_width);
        m_round = {-row, 1 - row, 1, row + 1, row, row - 1, -1, -row - 1}; // clockwise from above
    }
    [[nodiscard]] std::size_t beside(std::size_t at, std::size_t k) const {
        return static_cast<std::size_t>(static_cast<std::ptrdiff_t>(at) + m_round[k % 8]);
    }
    [[nodiscard]] bool in(std::size_t at) const { return m_mask.in[at] != 0; }
    void clear(std::size_t at) { m_mask.in[at] = 0; }
    [[nodiscard]] std::vector<std::size_t>& dots() { return m_dots; }
    /// How many of the eight are in, and how often out is followed by in on the way round.
    [[nodiscard]] std::pair<int, int> around(std::size_t at) const {
        int count = 0, turns = 0;
        for (std::size_t k = 0; k < 8; ++k) {
            const bool here = in(beside(at, k));
            count += here ? 1 : 0;
            turns += !here && in(beside(at, k + 1)) ? 1 : 0;
        }
        return {count, turns};
    }
    [[nodiscard]] Point pointOf(std::size_t at) const {
        const auto wide = static_cast<std::size_t>(m_width);
        return {static_cast<double>(at % wide) - 0.5, static_cast<double>(at / wide) - 0.5}; // its middle
    }
    [[nodiscard]] Mask mask() const {
        Mask out(m_mask.width - 2, m_mask.height - 2);
        for (int y = 0; y < out.height; ++y)
            for (int x = 0; x < out.width; ++x)
                out.in[out.at(x, y)] = m_mask.in[m_mask.at(x + 1, y + 1)];
        return out;
    }
    [[nodiscard]] std::size_t size() const { return m_mask.in.size(); }

private:
    int m_width;
    Mask m_mask;
    std::vector<std::size_t> m_dots;
    std::array<std::ptrdiff_t, 8> m_round{};
};

/// One of the two halves of a round. False when nothing went.
bool peel(Field& field, bool second) {
    breathe();
    std::vector<std::size_t> going;
    for (const auto at : field.dots()) {
        const auto [count, turns] = field.around(at);
        if (count < 2 || count > 6 || turns != 1) continue;
        const bool up = field.in(field.beside(at, 0)), right = field.in(field.beside(at, 2)),
                   down = field.in(field.beside(at, 4)), left = field.in(field.beside(at, 6));
        const bool keeps = second ? (up && right && left) || (up && down && left)
                                  : (up && right && down) || (right && down && left);
        if (!keeps) going.push_back(at);
    }
    for (const auto at : going)
        field.clear(at);
    std::erase_if(field.dots(), [&](std::size_t at) { return !field.in(at); });
    return !going.empty();
}

constexpr int freeEnd = -1;

struct Branch {
    Polyline points;
    int from = freeEnd, to = freeEnd; ///< crossings
};

/// Follows the dots of a thinned mask.
class Walker {
public:
    explicit Walker(Field& field)
        : m_field(field), m_crossing(field.size(), freeEnd), m_seen(field.size(), 0) {
        for (const auto at : field.dots())
            if (field.around(at).second > 2) markCrossing(at);
    }
    std::vector<Branch> branches() {
        std::vector<Branch> out;
        for (const auto at : m_field.dots())
            if (m_crossing[at] != freeEnd)
                for (std::size_t k = 0; k < 8; ++k)
                    if (isFresh(m_field.beside(at, k))) out.push_back(walk(m_field.beside(at, k), at));
        for (const auto at : m_field.dots()) // free at both ends
            if (isFresh(at) && m_field.around(at).second <= 1) out.push_back(walk(at, at));
        for (const auto at : m_field.dots()) // rings
            if (isFresh(at)) {
                out.push_back(walk(at, at));
                out.back().points.push_back(out.back().points.front());
            }
        return out;
    }

private:
    [[nodiscard]] bool isFresh(std::size_t at) const {
        return m_field.in(at) && !m_seen[at] && m_crossing[at] == freeEnd;
    }
    /// Crossing dots that touch are one crossing.
    void markCrossing(std::size_t at) {
        if (m_crossing[at] != freeEnd) return;
        std::vector<std::size_t> open{at};
        m_crossing[at] = m_crossings;
        while (!open.empty()) {
            const auto next = open.back();
            open.pop_back();
            for (std::size_t k = 0; k < 8; ++k) {
                const auto other = m_field.beside(next, k);
                if (!m_field.in(other) || m_crossing[other] != freeEnd || m_field.around(other).second < 3)
                    continue;
                m_crossing[other] = m_crossings;
                open.push_back(other);
            }
        }
        ++m_crossings;
    }
    /// From `at`, which lies beside the crossing dot `from` or is it.
    Branch walk(std::size_t at, std::size_t from) {
        Branch out;
        out.from = m_crossing[from];
        if (from != at) out.points.push_back(m_field.pointOf(from));
        for (;;) {
            m_seen[at] = 1;
            out.points.push_back(m_field.pointOf(at));
            const auto next = onward(at, from);
            if (next == at) return out;
            if (m_crossing[next] != freeEnd) {
                out.points.push_back(m_field.pointOf(next));
                out.to = m_crossing[next];
                return out;
            }
            from = at, at = next;
        }
    }
    /// A crossing first, but not the one come from; else a dot not yet seen, the straight neighbours before
    /// the slanting ones. `at` itself when there is none.
    [[nodiscard]] std::size_t onward(std::size_t at, std::size_t from) const {
        for (std::size_t k = 0; k < 8; ++k)
            if (const auto next = m_field.beside(at, k);
                m_field.in(next) && m_crossing[next] != freeEnd && (m_crossing[next] != m_crossing[from]))
                return next;
        for (const std::size_t k : {0U, 2U, 4U, 6U, 1U, 3U, 5U, 7U})
            if (const auto next = m_field.beside(at, k); isFresh(next)) return next;
        return at;
    }

    Field& m_field;
    std::vector<int> m_crossing;
    std::vector<std::uint8_t> m_seen;
    int m_crossings = 0;
};

/// One end of a branch.
struct End {
    std::size_t branch;
    bool atStart;
    [[nodiscard]] std::size_t index() const { return branch * 2 + (atStart ? 0 : 1); }
};

/// The unit vector from the end into the branch.
Point wayInto(const Branch& branch, bool atStart) {
    const auto& points = branch.points;
    const auto far = std::min<std::size_t>(points.size() - 1, 10);
    const Point a = atStart ? points.front() : points.back();
    const Point b = atStart ? points[far] : points[points.size() - 1 - far];
    const double length = std::max(shape::distance(a, b), 1e-9);
    return (b - a) * (1 / length);
}

/// Which end goes on into which, by index; itself for one that ends.
std::vector<std::size_t> pairedEnds(const std::vector<Branch>& branches) {
    std::vector<std::size_t> mate(branches.size() * 2);
    std::vector<std::vector<End>> at;
    for (std::size_t i = 0; i < branches.size(); ++i)
        for (const bool start : {true, false}) {
            const End end{i, start};
            mate[end.index()] = end.index();
            const int crossing = start ? branches[i].from : branches[i].to;
            if (crossing == freeEnd) continue;
            at.resize(std::max(at.size(), static_cast<std::size_t>(crossing) + 1));
            at[static_cast<std::size_t>(crossing)].push_back(end);
        }
    for (auto& ends : at)
        while (ends.size() > 1) { // the straightest pair first
            std::size_t one = 0, two = 1;
            double best = 2;
            for (std::size_t i = 0; i < ends.size(); ++i)
                for (std::size_t j = i + 1; j < ends.size(); ++j) {
                    const Point a = wayInto(branches[ends[i].branch], ends[i].atStart),
                                b = wayInto(branches[ends[j].branch], ends[j].atStart);
                    if (const double cos = a.x * b.x + a.y * b.y; cos < best) best = cos, one = i, two = j;
                }
            if (best > straightOn && ends.size() > 2) break;
            mate[ends[one].index()] = ends[two].index(), mate[ends[two].index()] = ends[one].index();
            ends.erase(ends.begin() + static_cast<std::ptrdiff_t>(two));
            ends.erase(ends.begin() + static_cast<std::ptrdiff_t>(one));
        }
    return mate;
}

/// Along the branches from where `end` enters the first of them.
Polyline chainFrom(End end, const std::vector<Branch>& branches, const std::vector<std::size_t>& mate,
                   std::vector<bool>& used) {
    Polyline out;
    while (!used[end.branch]) {
        used[end.branch] = true;
        auto points = branches[end.branch].points;
        if (!end.atStart) std::reverse(points.begin(), points.end());
        out.insert(out.end(), points.begin(), points.end());
        const auto leaving = End{end.branch, !end.atStart}.index();
        if (mate[leaving] == leaving) break;
        end = {mate[leaving] / 2, mate[leaving] % 2 == 0};
    }
    return out;
}

} // namespace

Mask thinned(const Mask& mask) {
    Field field(mask);
    for (bool more = true; more;) {
        more = peel(field, false);
        more = peel(field, true) || more;
    }
    return field.mask();
}

std::vector<Polyline> linesOf(const Mask& thin, double spur) {
    Field field(thin);
    auto branches = Walker(field).branches();
    std::erase_if(branches, [&](const Branch& branch) {
        const bool twig = (branch.from == freeEnd) != (branch.to == freeEnd);
        return branch.points.size() < 2 || (twig && shape::lengthOf(branch.points) < spur);
    });
    const auto mate = pairedEnds(branches);
    std::vector<bool> used(branches.size(), false);
    std::vector<Polyline> out;
    for (std::size_t i = 0; i < branches.size(); ++i)
        for (const bool start : {true, false}) // from ends that are ends
            if (const End end{i, start}; !used[i] && mate[end.index()] == end.index())
                out.push_back(chainFrom(end, branches, mate, used));
    for (std::size_t i = 0; i < branches.size(); ++i) // what is left goes round
        if (!used[i]) out.push_back(chainFrom({i, true}, branches, mate, used));
    return out;
}

} // namespace up::intake
