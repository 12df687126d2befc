// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/hand/floss.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>
#include <optional>
#include <utility>

namespace up::hand {
namespace {

struct Needle {
    std::vector<std::size_t> demands; ///< all of one number of strands
    double length = 0;                ///< mm, with its ends
    int strands = 0;
};
using Needles = std::vector<Needle>;

/// As long as it is cut.
double cutLength(double length, const Habits& habits) {
    return std::ceil(length / habits.step - 1e-9) * habits.step;
}

/// By falling length.
std::vector<std::size_t> byLength(const std::vector<Needleful>& needles) {
    std::vector<std::size_t> order(needles.size());
    std::iota(order.begin(), order.end(), 0);
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        return needles[a].length > needles[b].length + 1e-9;
    });
    return order;
}

class Search {
public:
    Search(const std::vector<Demand>& demands, const Habits& habits) : m_demands(demands), m_habits(habits) {}

    [[nodiscard]] Needles best() {
        m_best = firstFit();
        m_cost = costOf(m_best);
        if (m_demands.size() <= provedDemands) {
            Needles needles;
            tryAll(0, needles);
        } else {
            for (std::size_t rounds = 0; rounds < mostRounds && improves(); ++rounds) {
            }
        }
        for (auto& needle : m_best)
            std::sort(needle.demands.begin(), needle.demands.end());
        std::sort(m_best.begin(), m_best.end(),
                  [](const Needle& a, const Needle& b) { return a.demands < b.demands; });
        return m_best;
    }

private:
    static constexpr std::size_t mostRounds = 200;

    [[nodiscard]] Needle alone(std::size_t demand) const {
        return {{demand}, m_demands[demand].length + 2 * m_habits.end, m_demands[demand].strands};
    }
    /// As long as it would be with so much more of so many strands; nothing when that does not go.
    [[nodiscard]] std::optional<double> with(const Needle& needle, double more, int strands) const {
        if (needle.strands != strands || needle.length + more > m_habits.longest + 1e-9) return {};
        return needle.length + more;
    }
    [[nodiscard]] double added(std::size_t demand) const { return m_demands[demand].length + m_habits.again; }
    void add(Needle& needle, std::size_t demand) const {
        needle.demands.push_back(demand);
        needle.length += added(demand);
    }

    /// mm of floss that is cut for them.
    [[nodiscard]] double costOf(const Needles& needles) {
        m_sorted.clear();
        for (const auto& needle : needles)
            m_sorted.emplace_back(-cutLength(needle.length, m_habits), needle.strands);
        return costOfSorted();
    }
    [[nodiscard]] double costOfSorted() {
        std::sort(m_sorted.begin(), m_sorted.end());
        double out = 0;
        int left = 0; // strands of the cut that was begun
        for (const auto& [length, count] : m_sorted) {
            int strands = count;
            if (left < strands) {
                strands -= left, left = strandsInFloss;
                out -= length;
            }
            left -= strands;
        }
        return out;
    }
    /// The same when two of them are as long as that instead; one of 0 is none.
    [[nodiscard]] double costWith(std::size_t a, double lengthA, std::size_t b, double lengthB) {
        m_sorted.clear();
        for (std::size_t i = 0; i < m_best.size(); ++i) {
            const double length = i == a ? lengthA : i == b ? lengthB : m_best[i].length;
            if (length > 0) m_sorted.emplace_back(-cutLength(length, m_habits), m_best[i].strands);
        }
        if (b == m_best.size()) m_sorted.emplace_back(-cutLength(lengthB, m_habits), m_best[a].strands);
        return costOfSorted();
    }

    [[nodiscard]] Needles firstFit() const {
        std::vector<std::size_t> order(m_demands.size());
        std::iota(order.begin(), order.end(), 0);
        std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
            return m_demands[a].length > m_demands[b].length;
        });
        Needles out;
        for (const auto demand : order) {
            const auto room = std::find_if(out.begin(), out.end(), [&](const Needle& needle) {
                return with(needle, added(demand), m_demands[demand].strands).has_value();
            });
            if (room != out.end())
                add(*room, demand);
            else
                out.push_back(alone(demand));
        }
        return out;
    }
    void tryAll(std::size_t demand, Needles& needles) {
        if (demand == m_demands.size()) {
            const double cost = costOf(needles);
            const bool fewer = cost < m_cost + 1e-9 && needles.size() < m_best.size();
            if (cost < m_cost - 1e-9 || fewer) m_best = needles, m_cost = cost;
            return;
        }
        for (std::size_t i = 0; i < needles.size(); ++i) {
            if (!with(needles[i], added(demand), m_demands[demand].strands)) continue;
            const double before = needles[i].length;
            add(needles[i], demand);
            tryAll(demand + 1, needles);
            needles[i].demands.pop_back();
            needles[i].length = before;
        }
        needles.push_back(alone(demand));
        tryAll(demand + 1, needles);
        needles.pop_back();
    }

    /// The first demand found that had better go to another needle, or change with one of another.
    [[nodiscard]] bool improves() {
        for (std::size_t a = 0; a < m_best.size(); ++a)
            for (std::size_t k = 0; k < m_best[a].demands.size(); ++k)
                for (std::size_t b = 0; b <= m_best.size(); ++b)
                    if (b != a && (moves(a, k, b) || changes(a, k, b))) return true;
        return false;
    }
    [[nodiscard]] bool moves(std::size_t a, std::size_t k, std::size_t b) {
        const auto demand = m_best[a].demands[k];
        const bool isLast = m_best[a].demands.size() == 1, isFresh = b == m_best.size();
        if (isLast && isFresh) return false;
        const auto there =
            isFresh ? std::optional(alone(demand).length) : with(m_best[b], added(demand), m_best[a].strands);
        if (!there) return false;
        const double cost = costWith(a, isLast ? 0 : m_best[a].length - added(demand), b, *there);
        const bool fewer = isLast && cost < m_cost + 1e-9;
        if (!(cost < m_cost - 1e-9 || fewer)) return false;
        if (isFresh)
            m_best.push_back(alone(demand));
        else
            add(m_best[b], demand);
        m_best[a].demands.erase(m_best[a].demands.begin() + static_cast<std::ptrdiff_t>(k));
        m_best[a].length -= added(demand);
        if (isLast) m_best.erase(m_best.begin() + static_cast<std::ptrdiff_t>(a));
        m_cost = cost;
        return true;
    }
    [[nodiscard]] bool changes(std::size_t a, std::size_t k, std::size_t b) {
        if (b <= a || b >= m_best.size()) return false;
        for (auto& other : m_best[b].demands) {
            auto& demand = m_best[a].demands[k];
            const double more = m_demands[other].length - m_demands[demand].length;
            const auto here = with(m_best[a], more, m_best[b].strands),
                       there = with(m_best[b], -more, m_best[a].strands);
            if (!here || !there || costWith(a, *here, b, *there) >= m_cost - 1e-9) continue;
            m_cost = costWith(a, *here, b, *there);
            m_best[a].length = *here, m_best[b].length = *there;
            std::swap(demand, other);
            return true;
        }
        return false;
    }

    const std::vector<Demand>& m_demands;
    const Habits& m_habits;
    Needles m_best;
    double m_cost = 0;
    std::vector<std::pair<double, int>> m_sorted; ///< minus the length
};

/// Strands for one needle: all off one cut if that is possible, else off as few as will do; a new cut only when there are
/// not enough.
void split(FlossPlan& plan, Needleful& needle, std::vector<int>& left) {
    const int all = std::accumulate(left.begin(), left.end(), 0);
    if (all < needle.strands) plan.cuts.push_back(needle.length), left.push_back(strandsInFloss);
    int wanted = needle.strands;
    const auto take = [&](std::size_t cut) {
        const int taken = std::min(left[cut], wanted);
        if (taken > 0) needle.from.push_back({cut, taken});
        left[cut] -= taken, wanted -= taken;
    };
    for (std::size_t cut = 0; cut < left.size() && wanted > 0; ++cut)
        if (left[cut] >= wanted) take(cut);
    std::vector<std::size_t> order(left.size());
    std::iota(order.begin(), order.end(), 0);
    std::stable_sort(order.begin(), order.end(),
                     [&](std::size_t a, std::size_t b) { return left[a] > left[b]; });
    for (const auto cut : order)
        take(cut);
}

/// Cuts in the order in which their first strand is threaded.
void sortCuts(FlossPlan& plan) {
    std::vector<std::optional<std::size_t>> number(plan.cuts.size());
    std::vector<double> cuts;
    for (auto& needleful : plan.needlefuls) {
        for (auto& split : needleful.from) {
            auto& now = number[split.cut];
            if (!now) now = cuts.size(), cuts.push_back(plan.cuts[split.cut]);
            split.cut = *now;
        }
        std::sort(needleful.from.begin(), needleful.from.end(),
                  [](const Split& a, const Split& b) { return a.cut < b.cut; });
    }
    plan.cuts = std::move(cuts);
}

} // namespace

std::size_t partsOf(double floss, const Habits& habits) {
    const double each = habits.longest - 2 * habits.end;
    return std::max<std::size_t>(1, static_cast<std::size_t>(std::ceil(floss / each - 1e-9)));
}

double FlossPlan::length() const {
    return std::accumulate(cuts.begin(), cuts.end(), 0.0);
}

double FlossPlan::left() const {
    double out = length() * strandsInFloss;
    for (const auto& needleful : needlefuls)
        out -= needleful.length * needleful.strands;
    return out;
}

FlossPlan flossFor(const std::vector<Demand>& demands, const Habits& habits) {
    FlossPlan out;
    if (demands.empty()) return out;
    const auto needles = Search(demands, habits).best();
    for (const auto& needle : needles)
        out.needlefuls.push_back({needle.demands, needle.strands, cutLength(needle.length, habits), {}});
    std::vector<int> left; // strands of each cut
    for (const auto i : byLength(out.needlefuls))
        split(out, out.needlefuls[i], left);
    sortCuts(out);
    out.least = demands.size() <= provedDemands;
    return out;
}

} // namespace up::hand
