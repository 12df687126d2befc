// SPDX-License-Identifier: GPL-3.0-or-later
// One attempt to make do with less room: overlaps are allowed, and pushed out again.
#pragma once

#include "core/base/random.hpp"
#include "core/layout/holes.hpp"

#include <atomic>
#include <functional>

namespace up::layout {

/// Guided local search for a layout without overlaps: each step looks for a better place for every piece that
/// meets others, and pairs that go on meeting weigh more and more. Sources: Egeblad, Nielsen & Odgaard, "Fast
/// neighborhood search for two- and three-dimensional nesting problems", 2007; Gardeyn, Vanden Berghe &
/// Wauters, "An open-source heuristic to reboot 2D nesting research", 2025.
class Attempt {
public:
    enum class State { going, found, failed };
    using Enough = std::function<bool()>;

    /// The bays in the order in which they are filled; the pieces outlive the attempt.
    Attempt(const std::vector<Piece>& pieces, std::vector<Bay> bays, const Arrangement& from,
            std::uint64_t seed);

    /// Without overlaps before and after: every other piece goes to a hole that is hardly wider than itself,
    /// if there is one, so that what room there is comes together elsewhere.
    void rehome();
    /// The last bay, used down to `used`, is cut to `height`: a strip is taken out anywhere, and all below it
    /// moves up; when the bay is too short for a piece, that goes to another.
    void shorten(double used, double height);
    /// The last bay is so high; it may be more than before.
    void setHeight(double height) { m_bays.back().height = height; }
    /// Two large pieces change places: a way out of a dead end.
    void exchangeTwo();

    /// So many steps on, unless it ends before or `enough` says so; asked for every piece. When it has found
    /// something, others that share `most` need not go farther than it went: `most` is that then. Safe with
    /// others in other threads; which of them is the first does not depend on how fast they are.
    void go(std::atomic<int>& most, const Enough& enough);
    [[nodiscard]] State state() const { return m_state; }
    /// How many steps the last `go` took.
    [[nodiscard]] int went() const { return m_went; }
    [[nodiscard]] const Arrangement& arrangement() const { return m_now; }
    [[nodiscard]] const std::vector<Bay>& bays() const { return m_bays; }

private:
    void begin();
    void step(const Enough& enough);
    void weigh();
    /// After so many steps that helped nothing: again from the least overlap there was.
    void strike();
    [[nodiscard]] std::vector<std::size_t> movable() const;

    const std::vector<Piece>& m_pieces;
    std::vector<Bay> m_bays;
    Arrangement m_now, m_least; ///< `m_least`: with the least overlap so far
    Random m_random;
    Weights m_weights;
    std::vector<Clash> m_clashes; ///< of `m_now`
    std::vector<Hole> m_holes;    ///< as they were a few steps ago at most
    double m_leastSum = 0, m_sumBefore = 0;
    int m_stale = 0, m_strikes = 0, m_steps = 0, m_went = 0;
    bool m_begun = false;
    State m_state = State::going;
};

} // namespace up::layout
