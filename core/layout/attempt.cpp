// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/attempt.hpp"

#include "core/layout/search.hpp"

#include <algorithm>
#include <numeric>

namespace up::layout {
namespace {

using shape::Point;

constexpr int patience = 30, mostStrikes = 2; // steps without less overlap, and how often
constexpr double lessEnough = 0.98, helped = 0.8;
constexpr int homes = 6;      // holes tried for a piece
constexpr int holesEvery = 3; // steps: few pieces move in one

double sumOf(const std::vector<Clash>& clashes) {
    return std::accumulate(clashes.begin(), clashes.end(), 0.0,
                           [](double sum, const Clash& clash) { return sum + clash.depth; });
}

} // namespace

Attempt::Attempt(const std::vector<Piece>& pieces, std::vector<Bay> bays, const Arrangement& from,
                 std::uint64_t seed)
    : m_pieces(pieces), m_bays(std::move(bays)), m_now(from), m_least(from), m_random(seed),
      m_weights(pieces.size()) {}

std::vector<std::size_t> Attempt::movable() const {
    std::vector<std::size_t> out;
    for (std::size_t i = 0; i < m_pieces.size(); ++i)
        if (!m_pieces[i].fixed) out.push_back(i);
    return out;
}

void Attempt::rehome() {
    auto order = movable();
    m_random.shuffle(order);
    order.resize(order.size() / 2);
    auto holes = holesOf(m_now, m_bays);
    for (const auto i : order) {
        Search search(m_pieces, m_bays, m_weights, holes, m_now, Random(m_random.next()));
        if (search.rehome(i, homes)) holes = holesOf(m_now, m_bays);
    }
}

void Attempt::shorten(double used, double height) {
    const auto last = m_bays.size() - 1;
    m_bays[last].height = height;
    bool gone = true;
    for (std::size_t i = 0; i < m_now.count(); ++i)
        if (m_now.bay(i) == last && m_now.laid(i).box().height() <= height) gone = false;
    if (gone && last > 0) m_bays.pop_back();
    // Half of the time at the end, where it is easiest.
    const double seam = std::min(1.0, 2 * m_random.unit()) * used, less = used - height;
    for (std::size_t i = 0; i < m_now.count(); ++i) {
        if (m_now.bay(i) != last || m_pieces[i].fixed) continue;
        Laid laid = m_now.laid(i);
        auto bay = last;
        if (last > 0 && (gone || laid.box().height() > height)) bay = m_random.below(last);
        double up = laid.box().centre().y > seam ? less : 0;
        up = std::max(up, laid.box().bottom - m_bays[bay].height);
        laid.moveTo(laid.at() - Point{0, std::min(up, std::max(0.0, laid.box().top))});
        m_now.put(i, laid, bay);
    }
}

void Attempt::exchangeTwo() {
    auto large = movable();
    std::stable_sort(large.begin(), large.end(), [&](std::size_t a, std::size_t b) {
        return m_pieces[a].form->area > m_pieces[b].form->area;
    });
    large.resize(std::min(large.size(), std::max<std::size_t>(4, large.size() / 3)));
    if (large.size() < 2) return;
    const auto a = large[m_random.below(large.size())], b = large[m_random.below(large.size())];
    if (a == b) return;
    Laid first = m_now.laid(a), second = m_now.laid(b);
    const auto middle = first.box().centre(), other = second.box().centre();
    first.moveTo(first.at() + (other - middle));
    second.moveTo(second.at() + (middle - other));
    const auto bay = m_now.bay(a);
    m_now.put(a, first, m_now.bay(b));
    m_now.put(b, second, bay);
}

void Attempt::begin() {
    m_begun = true;
    m_clashes = m_now.clashes(m_bays);
    m_least = m_now;
    m_leastSum = m_sumBefore = sumOf(m_clashes);
    if (m_clashes.empty()) m_state = State::found;
}

void Attempt::step(const Enough& enough) {
    std::vector<std::size_t> order;
    for (const auto& clash : m_clashes)
        for (const auto i : {clash.i, clash.j})
            if (!m_pieces[i].fixed) order.push_back(i);
    std::sort(order.begin(), order.end());
    order.erase(std::unique(order.begin(), order.end()), order.end());
    m_random.shuffle(order);
    if (m_steps++ % holesEvery == 0) m_holes = holesOf(m_now, m_bays);
    Search search(m_pieces, m_bays, m_weights, m_holes, m_now, Random(m_random.next()));
    for (const auto i : order) {
        if (enough()) break;
        search.improve(i);
    }
    m_clashes = m_now.clashesOf(order, m_bays); // nothing else has moved, and nothing else met before
}

/// Pairs that meet gain weight, the deepest most. Source: Umetani et al.,
/// "Solving the irregular strip packing problem via guided local search for overlap minimization", 2009.
void Attempt::weigh() {
    double deepest = 0;
    for (const auto& clash : m_clashes)
        deepest = std::max(deepest, clash.depth);
    for (const auto& clash : m_clashes)
        m_weights.at(clash.i, clash.j) += static_cast<float>(clash.depth / deepest);
}

void Attempt::strike() {
    m_stale = 0;
    m_strikes = m_leastSum < m_sumBefore * helped ? 0 : m_strikes + 1;
    m_sumBefore = m_leastSum;
    m_now = m_least, m_clashes = m_now.clashes(m_bays);
    if (m_strikes >= mostStrikes) m_state = State::failed;
}

void Attempt::go(std::atomic<int>& most, const Enough& enough) {
    m_went = 0;
    if (!m_begun) begin();
    while (m_state == State::going && m_went < most.load() && !enough()) {
        step(enough);
        ++m_went;
        const double sum = sumOf(m_clashes);
        m_stale = sum < m_leastSum * lessEnough ? 0 : m_stale + 1;
        if (sum < m_leastSum) m_leastSum = sum, m_least = m_now;
        if (m_clashes.empty())
            m_state = State::found;
        else if (m_stale >= patience)
            strike();
        else
            weigh();
    }
    if (m_state != State::found) return;
    for (int before = most.load(); m_went < before;)
        if (most.compare_exchange_weak(before, m_went)) break;
}

} // namespace up::layout
