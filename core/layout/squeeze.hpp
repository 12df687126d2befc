// SPDX-License-Identifier: GPL-3.0-or-later
// Less and less room for the pieces.
#pragma once

#include "core/layout/attempt.hpp"

#include <array>
#include <optional>

namespace up::layout {

/// From a layout without overlaps to ones that use less of their last bay, or fewer bays: the last bay is
/// made shorter, and the overlaps that come of it are pushed out. Two attempts side by side in step, whatever
/// the machine, so that the answer is the same on all; the first that succeeds is where both begin again.
class Squeezer {
public:
    /// The bays in the order in which they are filled; the last one is made shorter.
    Squeezer(std::vector<Piece> pieces, std::vector<Bay> bays, const std::vector<Place>& places,
             std::uint64_t seed);
    Squeezer(const Squeezer&) = delete; // the attempts refer to the pieces
    Squeezer& operator=(const Squeezer&) = delete;

    /// Goes on for a few steps, at most so many, until `enough` says so; that is asked often, by two threads.
    /// True when it found something better than before.
    using Enough = Attempt::Enough;
    bool round(int most, const Enough& enough);
    /// The last bay holds nothing that may move below what is fixed in it.
    [[nodiscard]] bool isDone() const { return m_used <= m_floor + 1e-6; }

    /// The best so far, without overlaps.
    [[nodiscard]] const Arrangement& best() const { return m_best; }
    [[nodiscard]] std::size_t bays() const { return m_bays.size(); }
    [[nodiscard]] double used() const { return m_used; }
    /// How often all pieces that met others have been looked after, in either attempt.
    [[nodiscard]] int steps() const { return m_steps; }

private:
    void begin(std::optional<Attempt>& attempt);
    void adopt(const Attempt& found);
    /// Everything slides up, the highest first: what room there is comes together at the end.
    void settle();
    /// After the last bay has become another or shorter.
    void measureUse();

    std::vector<Piece> m_pieces;
    std::vector<Bay> m_bays;
    Random m_random;
    Arrangement m_best;
    std::array<std::optional<Attempt>, 2> m_attempts;
    double m_used = 0;
    double m_floor = 0;     ///< how far down the last bay fixed pieces lie
    double m_share = 0.002; ///< of the height that is taken away next
    int m_steps = 0;
    int m_failed = 0; ///< attempts, one after the other
};

} // namespace up::layout
