// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/squeeze.hpp"

#include "core/layout/search.hpp"

#include <algorithm>
#include <thread>

namespace up::layout {
namespace {

constexpr int slice = 4; // steps in which one attempt does not wait for the other
constexpr double mostShare = 0.002, leastShare = 0.0003, freshShare = 0.01;
constexpr int deadEnd = 6; // attempts that failed

} // namespace

Squeezer::Squeezer(std::vector<Piece> pieces, std::vector<Bay> bays, const std::vector<Place>& places,
                   std::uint64_t seed)
    : m_pieces(std::move(pieces)), m_bays(std::move(bays)), m_random(seed), m_best(m_pieces, places) {
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

void Squeezer::begin(std::optional<Attempt>& attempt) {
    attempt.emplace(m_pieces, m_bays, m_best, m_random.next());
    if (m_failed > 0) attempt->rehome();
    attempt->shorten(m_used, std::max(m_floor, m_used * (1 - m_share)));
    if (m_failed >= deadEnd && m_random.below(2)) attempt->exchangeTwo();
}

void Squeezer::settle() {
    std::vector<std::size_t> order;
    for (std::size_t i = 0; i < m_pieces.size(); ++i)
        if (!m_pieces[i].fixed) order.push_back(i);
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        return m_best.laid(a).box().top < m_best.laid(b).box().top;
    });
    const std::vector<Hole> none;
    const Weights weights(m_pieces.size());
    Search search(m_pieces, m_bays, weights, none, m_best, Random(0));
    for (const auto i : order)
        search.settle(i);
}

void Squeezer::adopt(const Attempt& found) {
    m_best = found.arrangement();
    m_bays = found.bays();
    settle();
    while (m_bays.size() > 1 && m_best.usedOf(m_bays.size() - 1) <= 0)
        m_bays.pop_back(); // everything found room in the others
    measureUse();
    m_share = std::min(mostShare, m_share * 1.2);
    m_failed = 0;
}

bool Squeezer::round(int most, const Enough& enough) {
    for (auto& attempt : m_attempts)
        if (!attempt) begin(attempt);
    const int steps = std::min(slice, most);
    auto& [mine, other] = m_attempts;
    std::thread helper([&] { other->go(steps, enough); });
    mine->go(steps, enough);
    helper.join();
    m_steps += steps;
    for (auto& attempt : m_attempts) {
        if (attempt->state() != Attempt::State::found) continue;
        adopt(*attempt);
        mine.reset(), other.reset();
        return true;
    }
    for (auto& attempt : m_attempts) {
        if (attempt->state() != Attempt::State::failed) continue;
        attempt.reset();
        if (++m_failed % 2 == 0)
            m_share = m_share > leastShare ? std::max(leastShare, m_share / 2.5) : freshShare;
    }
    return false;
}

} // namespace up::layout
