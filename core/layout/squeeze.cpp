// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/squeeze.hpp"

#include "core/layout/search.hpp"

#include <algorithm>
#include <thread>

namespace up::layout {
namespace {

constexpr int slice = 12; // steps in which one attempt does not wait for the other
constexpr double mostShare = 0.002, leastShare = 0.0003, freshShare = 0.01;
constexpr int stuck = 6, deadEnd = 20;              // attempts that failed
constexpr double leastRoom = 0.01, mostRoom = 0.04; // more height for a new beginning
constexpr int mostExchanges = 4;

} // namespace

Squeezer::Squeezer(std::vector<Piece> pieces, std::vector<Bay> bays, const std::vector<Place>& places,
                   std::uint64_t seed)
    : m_pieces(std::move(pieces)), m_random(seed), m_best{Arrangement(m_pieces, places), std::move(bays), 0},
      m_here(m_best), m_share(mostShare) {
    for (const auto& bay : m_best.bays) {
        m_heights.push_back(bay.height);
        if (!bay.outside.isEmpty()) bay.outside.makeReady();
    }
    measure(m_best);
    m_here = m_best;
}

void Squeezer::measure(State& found) {
    while (found.bays.size() > 1 && found.pieces.usedOf(found.bays.size() - 1) <= 0)
        found.bays.pop_back(); // everything found room in the others
    found.used = found.pieces.usedOf(found.bays.size() - 1);
}

double Squeezer::floorOf(const State& found) const {
    double out = 0;
    for (std::size_t i = 0; i < m_pieces.size(); ++i)
        if (m_pieces[i].fixed && found.pieces.bay(i) == found.bays.size() - 1)
            out = std::max(out, found.pieces.laid(i).box().bottom);
    return out;
}

void Squeezer::begin(std::size_t which) {
    m_kicked[which] = m_failed >= deadEnd;
    const auto& from = m_kicked[which] && m_random.below(2) ? m_best : m_here;
    auto& attempt = m_attempts[which].emplace(m_pieces, from.bays, from.pieces, m_random.next());
    if (m_kicked[which]) {
        const double more = 1 + m_random.between(leastRoom, mostRoom);
        attempt.setHeight(std::min(m_heights[from.bays.size() - 1], from.used * more));
        for (auto left = 1 + m_random.below(mostExchanges); left > 0; --left)
            attempt.exchangeTwo();
        return;
    }
    if (m_failed > 0) attempt.rehome();
    attempt.shorten(from.used, std::max(floorOf(from), from.used * (1 - m_share)));
    if (m_failed >= stuck && m_random.below(2)) attempt.exchangeTwo();
}

void Squeezer::settle(Arrangement& now, const std::vector<Bay>& bays) const {
    std::vector<std::size_t> order;
    for (std::size_t i = 0; i < m_pieces.size(); ++i)
        if (!m_pieces[i].fixed) order.push_back(i);
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        return now.laid(a).box().top < now.laid(b).box().top;
    });
    const std::vector<Hole> none;
    const Weights weights(m_pieces.size());
    Search search(m_pieces, bays, weights, none, now, Random(0));
    for (const auto i : order)
        search.settle(i);
}

/// `found` is one of the attempts, which are given up once it has been taken over.
bool Squeezer::adopt(const Attempt& found, bool kicked) {
    m_here.pieces = found.arrangement();
    m_here.bays = found.bays();
    settle(m_here.pieces, m_here.bays);
    measure(m_here);
    m_share = kicked ? mostShare : std::min(mostShare, m_share * 1.2);
    m_failed = 0;
    for (auto& attempt : m_attempts)
        attempt.reset();
    if (!m_here.isBetterThan(m_best)) return false;
    m_best = m_here;
    return true;
}

bool Squeezer::round(int most, const Enough& enough) {
    for (const std::size_t i : {0U, 1U})
        if (!m_attempts[i]) begin(i);
    std::atomic<int> steps = std::min(slice, most);
    auto& [mine, other] = m_attempts;
    std::thread helper([&] { other->go(steps, enough); });
    mine->go(steps, enough);
    helper.join();
    m_steps += std::max(1, steps.load());
    std::optional<std::size_t> first;
    for (const std::size_t i : {0U, 1U})
        if (m_attempts[i]->state() == Attempt::State::found &&
            (!first || m_attempts[i]->went() < m_attempts[*first]->went()))
            first = i;
    if (first) return adopt(*m_attempts[*first], m_kicked[*first]);
    for (auto& attempt : m_attempts) {
        if (attempt->state() != Attempt::State::failed) continue;
        attempt.reset();
        if (++m_failed % 2 == 0)
            m_share = m_share > leastShare ? std::max(leastShare, m_share / 2.5) : freshShare;
    }
    return false;
}

} // namespace up::layout
