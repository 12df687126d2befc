// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/reorder.hpp"

#include "core/base/job.hpp"
#include "core/base/random.hpp"

#include <algorithm>
#include <cmath>

namespace up::stitch {
namespace {

/// One stitching of an arc.
struct Item {
    std::size_t arc = 0;
    bool back = false;
};

/// Two stretches that follow each other, from..middle and middle..to, change places; each may be turned round.
struct Exchange {
    std::size_t from = 0, middle = 0, to = 0;
    bool turnFirst = false, turnSecond = false;
};

/// Next to each other: what lies between two stitchings costs. In trails; jumps and trifles are small beside them.
class Order {
public:
    Order(const Network& network, const std::vector<Move>& moves)
        : m_network(network), m_then(network.arcs.size()), m_at(network.hops.size()), m_hops(network.hops) {
        for (std::size_t k = 0; k < network.arcs.size(); ++k) {
            const auto& arc = network.arcs[k];
            for (const auto first : arc.first)
                m_then[first].push_back(k);
            m_at[arc.from].push_back({k, false}), m_at[arc.to].push_back({k, true});
        }
        for (auto& hops : m_hops)
            std::sort(hops.begin(), hops.end(), [](const Hop& a, const Hop& b) { return a.to < b.to; });
        std::vector<Item> items;
        for (const auto& move : moves)
            items.push_back({move.arc, move.back});
        take(std::move(items));
    }

    [[nodiscard]] const std::vector<Item>& items() const { return m_items; }
    void take(std::vector<Item> items) {
        m_items = std::move(items);
        m_where.assign(m_network.arcs.size(), {});
        for (std::size_t i = 0; i < m_items.size(); ++i)
            m_where[m_items[i].arc].push_back(i);
    }
    [[nodiscard]] int trails() const {
        int out = 0;
        for (std::size_t i = 0; i < m_items.size(); ++i)
            out += !goesOn(i);
        return out;
    }
    [[nodiscard]] std::vector<Move> moves() const {
        std::vector<Move> out;
        for (std::size_t i = 0; i < m_items.size(); ++i) {
            const auto* way = i > 0 ? hop(m_items[i - 1], m_items[i]) : nullptr;
            out.push_back({m_items[i].arc, m_items[i].back, way == nullptr, way != nullptr ? *way : Hop{}});
        }
        return out;
    }
    /// The other way round where a knot is hidden so, or the bulk lies to the left.
    void turnTrails() {
        for (std::size_t from = 0, to = 0; from < m_items.size(); from = to) {
            for (to = from + 1; goesOn(to);)
                ++to;
            const Exchange turn{from, from, to, false, true};
            const Item last{m_items[to - 1].arc, !m_items[to - 1].back};
            double wrong = 0; // mm more on the wrong side than turned round
            for (auto i = from; i < to; ++i) {
                const auto& arc = m_network.arcs[m_items[i].arc];
                wrong += (2 * arc.wrongSide - arc.length) * (m_items[i].back ? -1 : 1);
            }
            const auto shows = std::pair(showsAt(m_items[from]), showsAt(last));
            const bool isBetter = shows.first != shows.second ? shows.first : wrong > 0;
            if (isBetter && isAllowed(turn)) apply(turn);
        }
    }
    [[nodiscard]] std::size_t startOf(const Item& item) const {
        const auto& arc = m_network.arcs[item.arc];
        return item.back ? arc.to : arc.from;
    }
    [[nodiscard]] std::size_t endOf(const Item& item) const { return startOf({item.arc, !item.back}); }

    /// How the needle comes from one to the other without a knot.
    [[nodiscard]] const Hop* hop(const Item& a, const Item& b) const {
        if (m_network.arcs[a.arc].thread != m_network.arcs[b.arc].thread) return nullptr;
        const auto from = endOf(a), to = startOf(b);
        static constexpr Hop none;
        if (from == to) return &none;
        const auto& hops = m_hops[from];
        const auto at = std::lower_bound(hops.begin(), hops.end(), to,
                                         [](const Hop& hop, std::size_t place) { return hop.to < place; });
        return at != hops.end() && at->to == to ? &*at : nullptr;
    }
    [[nodiscard]] bool goesOn(std::size_t i) const {
        return i > 0 && i < m_items.size() && hop(m_items[i - 1], m_items[i]) != nullptr;
    }

    /// What an exchange would cost more; that a knot within a stretch that turns round may show is left out.
    [[nodiscard]] double costs(const Exchange& x) const {
        const auto facing = [&](std::size_t i, bool turned) {
            return Item{m_items[i].arc, m_items[i].back != turned};
        };
        const auto ends = [&](std::size_t from, std::size_t to, bool turned) {
            return std::pair(facing(turned ? to - 1 : from, turned), facing(turned ? from : to - 1, turned));
        };
        double out = 0;
        Item last;
        bool isAny = x.from > 0;
        if (isAny) last = m_items[x.from - 1], out -= between(last, m_items[x.from]);
        const auto take = [&](const std::pair<Item, Item>& stretch) {
            if (isAny) out += between(last, stretch.first);
            last = stretch.second, isAny = true;
        };
        if (x.middle > x.from && x.middle < x.to) out -= between(m_items[x.middle - 1], m_items[x.middle]);
        if (x.to > x.middle) take(ends(x.middle, x.to, x.turnSecond));
        if (x.middle > x.from) take(ends(x.from, x.middle, x.turnFirst));
        if (x.to < m_items.size())
            out += between(last, m_items[x.to]) - between(m_items[x.to - 1], m_items[x.to]);
        return out;
    }
    /// Nothing comes before what it waits for.
    [[nodiscard]] bool isAllowed(const Exchange& x) const {
        return !leads(x.from, x.middle, x.middle, x.to) &&
               !(x.turnFirst && leads(x.from, x.middle, x.from, x.middle)) &&
               !(x.turnSecond && leads(x.middle, x.to, x.middle, x.to));
    }
    void apply(const Exchange& x) {
        m_spare.clear();
        each(x, [&](const Item& item) { m_spare.push_back(item); });
        for (std::size_t i = x.from; i < x.to; ++i)
            std::erase(m_where[m_items[i].arc], i);
        std::copy(m_spare.begin(), m_spare.end(), m_items.begin() + static_cast<std::ptrdiff_t>(x.from));
        for (std::size_t i = x.from; i < x.to; ++i)
            m_where[m_items[i].arc].push_back(i);
    }

    /// A change that would let a run go on to another. Where a trail ends or begins there is more to win.
    [[nodiscard]] std::optional<Exchange> some(Random& random) const {
        constexpr int looks = 12;
        const bool isEnd = random.below(2) == 0;
        auto i = random.below(m_items.size());
        for (int look = 1; look < looks && goesOn(isEnd ? i + 1 : i); ++look)
            i = random.below(m_items.size());
        const auto place = isEnd ? endOf(m_items[i]) : startOf(m_items[i]);
        const auto& hops = m_network.hops[place];
        const bool isHere = hops.empty() || random.below(2) == 0;
        const auto& others = m_at[isHere ? place : hops[random.below(hops.size())].to];
        auto other = others[random.below(others.size())];
        if (!isEnd) other.back = !other.back;
        const auto j = m_where[other.arc][random.below(m_where[other.arc].size())];
        if (i == j || (isEnd ? i + 1 == j : j + 1 == i)) return std::nullopt;
        const bool turns = m_items[j].back != other.back;
        if (!turns) return isEnd ? joining(i, j, random) : joining(j, i, random);
        return isEnd ? turnedAfter(i, j, random) : turnedBefore(i, j, random);
    }

private:
    /// What stands at `j` comes right after what stands at `i`.
    [[nodiscard]] Exchange joining(std::size_t i, std::size_t j, Random& random) const {
        const bool later = random.below(2) == 0;
        if (j > i)
            return later ? Exchange{i + 1, j, ending(j, random) + 1}
                         : Exchange{beginning(i, random), i + 1, j};
        return {j, later ? std::min(ending(j, random) + 1, i) : std::max(beginning(i, random), j + 1), i + 1};
    }
    /// The same, turned round.
    [[nodiscard]] Exchange turnedAfter(std::size_t i, std::size_t j, Random& random) const {
        if (j < i) return {beginning(j, random), j + 1, i + 1, true, false};
        return {i + 1, std::max(i + 1, random.below(2) == 0 ? 0 : beginning(j, random)), j + 1, false, true};
    }
    /// What stands at `j`, turned round, comes right before what stands at `i`.
    [[nodiscard]] Exchange turnedBefore(std::size_t i, std::size_t j, Random& random) const {
        if (j > i) return {i, j, ending(j, random) + 1, false, true};
        return {j, std::min(i, random.below(2) == 0 ? i : ending(j, random) + 1), i, true, false};
    }
    /// From where a stretch that ends with `i` is taken: it alone, or with what leads to it.
    [[nodiscard]] std::size_t beginning(std::size_t i, Random& random) const {
        for (auto most = reach(random); most > 0 && goesOn(i); --most)
            --i;
        return i;
    }
    [[nodiscard]] std::size_t ending(std::size_t i, Random& random) const {
        for (auto most = reach(random); most > 0 && goesOn(i + 1); --most)
            ++i;
        return i;
    }
    [[nodiscard]] std::size_t reach(Random& random) const {
        const auto kind = random.below(4);
        return kind == 0 ? 0 : kind == 1 ? random.below(8) : m_items.size();
    }

    /// Something from..to is waited for by something at..until.
    [[nodiscard]] bool leads(std::size_t from, std::size_t to, std::size_t at, std::size_t until) const {
        for (; from < to; ++from)
            for (const auto then : m_then[m_items[from].arc])
                for (const auto where : m_where[then])
                    if (where >= at && where < until) return true;
        return false;
    }

    template<class Take> void each(const Exchange& x, const Take& take) const {
        const auto stretch = [&](std::size_t from, std::size_t to, bool turn) {
            if (turn)
                for (auto i = to; i-- > from;)
                    take(Item{m_items[i].arc, !m_items[i].back});
            else
                for (auto i = from; i < to; ++i)
                    take(m_items[i]);
        };
        stretch(x.middle, x.to, x.turnSecond);
        stretch(x.from, x.middle, x.turnFirst);
    }
    [[nodiscard]] double between(const Item& a, const Item& b) const {
        constexpr double change = 1000, jumped = 2e-4, seam = 1e-6, knot = 1e-3; // in trails, and per mm
        if (const auto* way = hop(a, b)) return jumped * way->jump + seam * way->seam;
        return 1 + knot * showsAt(b) +
               change * (m_network.arcs[a.arc].thread != m_network.arcs[b.arc].thread);
    }
    [[nodiscard]] bool showsAt(const Item& first) const {
        const auto& arc = m_network.arcs[first.arc];
        return !(first.back ? arc.hiddenTo : arc.hiddenFrom);
    }

    const Network& m_network;
    std::vector<std::vector<std::size_t>> m_then; ///< by arc: those that wait for it
    std::vector<std::vector<Item>> m_at;          ///< by place: stitchings that start there
    std::vector<std::vector<Hop>> m_hops;         ///< by place, by where they lead
    std::vector<Item> m_items, m_spare;
    std::vector<std::vector<std::size_t>> m_where; ///< by arc
};

} // namespace

std::vector<Move> reordered(const Network& network, const std::vector<Move>& moves, int leastTies,
                            std::size_t tries) {
    if (moves.size() < 2) return moves;
    Order order(network, moves);
    Random random(1);
    auto best = order.items();
    double cost = 0, least = 0; // beside what it was
    int ties = order.trails();
    const auto cool = [&](double hot, double cold, std::size_t most, int enough) {
        for (std::size_t i = 0; i < most && ties > enough; ++i) {
            if (i % 1000 == 0) breathe();
            const auto x = order.some(random);
            if (!x) continue;
            const double heat =
                hot * std::pow(cold / hot, static_cast<double>(i) / static_cast<double>(most));
            const double more = order.costs(*x);
            if (more > 0 && random.unit() >= std::exp(-more / heat)) continue;
            if (!order.isAllowed(*x)) continue;
            order.apply(*x);
            cost += more;
            if (constexpr double nothing = 1e-9; cost < least - nothing)
                least = cost, best = order.items(), ties = order.trails();
        }
        order.take(best), cost = least;
    };
    cool(0.2, 0.1, tries, leastTies); // trails
    cool(5e-3, 1e-4, tries / 4, 0);   // jumps
    order.turnTrails();
    return order.moves();
}

} // namespace up::stitch
