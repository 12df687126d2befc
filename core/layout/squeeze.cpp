// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/squeeze.hpp"

#include "core/layout/search.hpp"

#include <algorithm>
#include <numeric>
#include <thread>

namespace up::layout {
namespace {

using shape::Point;

constexpr int patience = 30, strikes = 2; // rounds without less overlap, and how often
constexpr double lessEnough = 0.98;
constexpr double mostShare = 0.002, leastShare = 0.0003;

double sumOf(const std::vector<Clash>& clashes) {
    return std::accumulate(clashes.begin(), clashes.end(), 0.0,
                           [](double sum, const Clash& clash) { return sum + clash.depth; });
}

double weighed(const std::vector<Clash>& clashes, Weights& weights) {
    return std::accumulate(clashes.begin(), clashes.end(), 0.0, [&](double sum, const Clash& clash) {
        return sum + clash.depth * static_cast<double>(weights.at(clash.i, clash.j));
    });
}

} // namespace

Squeezer::Squeezer(std::vector<Piece> pieces, std::vector<Bay> bays, const std::vector<Place>& places,
                   std::uint64_t seed)
    : m_pieces(std::move(pieces)), m_bays(std::move(bays)), m_random(seed), m_weights(m_pieces.size()),
      m_best(m_pieces, places) {
    measureUse();
    for (const auto& bay : m_bays)
        if (!bay.outside.isEmpty()) bay.outside.makeReady();
}

void Squeezer::measureUse() {
    const auto last = m_bays.size() - 1;
    m_used = m_best.usedOf(last), m_floor = 0;
    for (std::size_t i = 0; i < m_pieces.size(); ++i)
        if (m_pieces[i].fixed && m_best.bay(i) == last)
            m_floor = std::max(m_floor, m_best.laid(i).box().bottom);
}

/// Pairs that meet gain weight, the deepest most. Source: Umetani et al.,
/// "Solving the irregular strip packing problem via guided local search for overlap minimization", 2009.
void Squeezer::weigh(const std::vector<Clash>& clashes) {
    double deepest = 0;
    for (const auto& clash : clashes)
        deepest = std::max(deepest, clash.depth);
    for (const auto& clash : clashes)
        m_weights.at(clash.i, clash.j) += static_cast<float>(clash.depth / deepest);
}

Arrangement Squeezer::moved(const Arrangement& from, const std::vector<std::size_t>& order,
                            const std::vector<Hole>& holes, std::uint64_t seed, const Enough& enough) const {
    Arrangement out = from;
    Search search(m_pieces, m_bays, m_weights, holes, out, Random(seed));
    for (const auto i : order) {
        if (enough()) break;
        search.improve(i);
    }
    return out;
}

/// Every piece that meets another is looked after once, half of them in either thread, each half as if the
/// other stayed; few are looked after in both, and the better outcome counts.
Arrangement Squeezer::step(const Arrangement& now, const std::vector<Clash>& clashes, const Enough& enough) {
    std::vector<std::size_t> mine;
    for (const auto& clash : clashes)
        for (const auto i : {clash.i, clash.j})
            if (!m_pieces[i].fixed) mine.push_back(i);
    std::sort(mine.begin(), mine.end());
    mine.erase(std::unique(mine.begin(), mine.end()), mine.end());
    m_random.shuffle(mine);
    auto theirs = mine;
    constexpr std::size_t few = 6;
    const bool shared = mine.size() > few;
    if (shared) {
        theirs.erase(theirs.begin(), theirs.begin() + static_cast<std::ptrdiff_t>(mine.size() / 2));
        mine.resize(mine.size() / 2);
    } else {
        m_random.shuffle(theirs);
    }
    const auto seed = m_random.next(), otherSeed = m_random.next();
    const auto holes = holesOf(now, m_bays);
    Arrangement second = now;
    std::thread helper([&] { second = moved(now, theirs, holes, otherSeed, enough); });
    Arrangement first = moved(now, mine, holes, seed, enough);
    helper.join();
    if (shared) {
        for (const auto i : theirs)
            first.put(i, second.laid(i), second.bay(i));
        return first;
    }
    return weighed(second.clashes(m_bays), m_weights) < weighed(first.clashes(m_bays), m_weights) ? second
                                                                                                  : first;
}

bool Squeezer::separate(Arrangement& now, const Enough& enough) {
    m_weights = Weights(m_pieces.size());
    auto clashes = now.clashes(m_bays);
    Arrangement least = now;
    double leastSum = sumOf(clashes);
    for (int strike = 0; strike < strikes; ++strike) {
        const double before = leastSum;
        for (int stale = 0; stale < patience && !clashes.empty(); ++stale) {
            if (enough()) return false;
            now = step(now, clashes, enough);
            ++m_steps;
            clashes = now.clashes(m_bays);
            const double sum = sumOf(clashes);
            if (sum < leastSum * lessEnough) stale = -1;
            if (sum < leastSum) leastSum = sum, least = now;
            weigh(clashes);
        }
        if (clashes.empty()) return true;
        if (leastSum < before * 0.8) strike = -1; // it helped: no strike
        now = least, clashes = now.clashes(m_bays);
    }
    return false;
}

/// A strip is taken out anywhere, and all below it moves up; when the bay is too short for a piece, that goes
/// to another.
Arrangement Squeezer::shortened(const Arrangement& from, double height) {
    Arrangement out = from;
    const auto last = m_bays.size() - 1;
    m_bays[last].height = height;
    bool gone = true;
    for (std::size_t i = 0; i < out.count(); ++i)
        if (out.bay(i) == last && out.laid(i).box().height() <= height) gone = false;
    if (gone && last > 0) m_bays.pop_back();
    // Half of the time at the end, where it is easiest.
    const double seam = std::min(1.0, 2 * m_random.unit()) * m_used, less = m_used - height;
    for (std::size_t i = 0; i < out.count(); ++i) {
        if (out.bay(i) != last || m_pieces[i].fixed) continue;
        Laid laid = out.laid(i);
        auto bay = last;
        if (last > 0 && (gone || laid.box().height() > height)) bay = m_random.below(last);
        double up = laid.box().centre().y > seam ? less : 0;
        up = std::max(up, laid.box().bottom - m_bays[bay].height);
        laid.moveTo(laid.at() - Point{0, std::min(up, std::max(0.0, laid.box().top))});
        out.put(i, laid, bay);
    }
    return out;
}

/// Two large pieces change places: a way out of a dead end.
void Squeezer::exchangeTwo(Arrangement& now) {
    std::vector<std::size_t> large;
    for (std::size_t i = 0; i < m_pieces.size(); ++i)
        if (!m_pieces[i].fixed) large.push_back(i);
    std::stable_sort(large.begin(), large.end(), [&](std::size_t a, std::size_t b) {
        return m_pieces[a].form->area > m_pieces[b].form->area;
    });
    large.resize(std::max<std::size_t>(std::min<std::size_t>(large.size(), 4), large.size() / 3));
    if (large.size() < 2) return;
    const auto a = large[m_random.below(large.size())], b = large[m_random.below(large.size())];
    if (a == b) return;
    Laid first = now.laid(a), second = now.laid(b);
    const auto middle = first.box().centre(), other = second.box().centre();
    first.moveTo(first.at() + (other - middle));
    second.moveTo(second.at() + (middle - other));
    const auto bay = now.bay(a);
    now.put(a, first, now.bay(b));
    now.put(b, second, bay);
}

void Squeezer::settle(Arrangement& now) {
    std::vector<std::size_t> order;
    for (std::size_t i = 0; i < m_pieces.size(); ++i)
        if (!m_pieces[i].fixed) order.push_back(i);
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        return now.laid(a).box().top < now.laid(b).box().top;
    });
    const std::vector<Hole> none;
    Search search(m_pieces, m_bays, m_weights, none, now, Random(0));
    for (const auto i : order)
        search.settle(i);
}

bool Squeezer::round(const Enough& enough) {
    const auto bays = m_bays;
    auto now = shortened(m_best, std::max(m_floor, m_used * (1 - m_share)));
    bool found = separate(now, enough);
    if (!found && m_failed > 3 && !enough()) {
        exchangeTwo(now);
        found = separate(now, enough);
    }
    if (found) {
        settle(now);
        m_best = std::move(now);
        while (m_bays.size() > 1 && m_best.usedOf(m_bays.size() - 1) <= 0)
            m_bays.pop_back(); // everything found room in the others
        measureUse();
        m_share = std::min(mostShare, m_share * 1.2);
        m_failed = 0;
        return true;
    }
    m_bays = bays;
    ++m_failed;
    m_share = m_share > leastShare ? std::max(leastShare, m_share / 2.5) : 0.01;
    return false;
}

} // namespace up::layout
