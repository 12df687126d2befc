// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/arrangement.hpp"

#include "core/layout/clash.hpp"

#include <algorithm>

namespace up::layout {

namespace {
constexpr double touching = 1e-7; // mm
}

Arrangement::Arrangement(const std::vector<Piece>& pieces, const std::vector<Place>& places)
    : m_laid(pieces.size()), m_bay(pieces.size()), m_fixed(pieces.size()), m_reach(pieces.size()) {
    Laid laid;
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        laid.lay(*pieces[i].form, places[i].turn, places[i].at);
        put(i, laid, places[i].bay);
        m_fixed[i] = pieces[i].fixed;
    }
}

void Arrangement::put(std::size_t i, const Laid& laid, std::size_t bay) {
    m_laid[i] = laid;
    m_laid[i].makeReady();
    m_bay[i] = bay;
    m_reach[i] = Reach(m_laid[i], bay);
}

Arrangement::Reach::Reach(const Laid& laid, std::size_t in) : bay(in) {
    constexpr double more = 0.01; // than the box, for what float cannot tell
    const auto low = [](double v) { return static_cast<float>(v - more); };
    const auto high = [](double v) { return static_cast<float>(v + more); };
    const auto &box = laid.box(), &slant = laid.slantBox();
    left = low(box.left), right = high(box.right), top = low(box.top), bottom = high(box.bottom);
    slantLeft = low(slant.left), slantRight = high(slant.right);
    slantTop = low(slant.top), slantBottom = high(slant.bottom);
}

double Arrangement::costOf(std::size_t i, const Laid& laid, std::size_t bay, const std::vector<Bay>& bays,
                           const Weights& weights, double enough) const {
    double cost = 0;
    if (!bays[bay].outside.isEmpty()) {
        const double weight = weights.outside(i);
        cost += weight * clash(laid, bays[bay].outside, enough / weight);
    }
    const Reach mine(laid, bay);
    for (std::size_t j = 0; j < m_laid.size() && cost <= enough; ++j) {
        if (j == i || !mine.meets(m_reach[j])) continue;
        const double weight = weights.pair(i, j);
        cost += weight * clash(laid, m_laid[j], (enough - cost) / weight);
    }
    return cost;
}

void Arrangement::addOwnClash(std::size_t i, const std::vector<Bay>& bays, std::vector<Clash>& out) const {
    if (m_fixed[i]) return;
    const auto& bay = bays[m_bay[i]];
    const auto& [left, top, right, bottom] = m_laid[i].box();
    const double over = std::max({-left, -top, right - bay.width, bottom - bay.height});
    if (over > touching) out.push_back({i, i, over});
    if (bay.outside.isEmpty()) return;
    if (const double depth = clash(m_laid[i], bay.outside); depth > 0) out.push_back({i, i, depth});
}

void Arrangement::addClash(std::size_t i, std::size_t j, std::vector<Clash>& out) const {
    if (!m_reach[i].meets(m_reach[j]) || (m_fixed[i] && m_fixed[j])) return;
    if (const double depth = clash(m_laid[i], m_laid[j]); depth > 0) out.push_back({i, j, depth});
}

std::vector<Clash> Arrangement::clashes(const std::vector<Bay>& bays) const {
    std::vector<Clash> out;
    for (std::size_t i = 0; i < m_laid.size(); ++i) {
        addOwnClash(i, bays, out);
        for (std::size_t j = i + 1; j < m_laid.size(); ++j)
            addClash(i, j, out);
    }
    return out;
}

std::vector<Clash> Arrangement::clashesOf(const std::vector<std::size_t>& pieces,
                                          const std::vector<Bay>& bays) const {
    std::vector<Clash> out;
    std::vector<bool> asked(m_laid.size());
    for (const auto i : pieces)
        asked[i] = true;
    for (const auto i : pieces) {
        addOwnClash(i, bays, out);
        for (std::size_t j = 0; j < m_laid.size(); ++j)
            if (j != i && (!asked[j] || j > i)) addClash(std::min(i, j), std::max(i, j), out);
    }
    return out;
}

double Arrangement::usedOf(std::size_t bay) const {
    double out = 0;
    for (std::size_t i = 0; i < m_laid.size(); ++i)
        if (m_bay[i] == bay) out = std::max(out, m_laid[i].box().bottom);
    return out;
}

} // namespace up::layout
