// SPDX-License-Identifier: GPL-3.0-or-later
// Less and less room for the pieces.
#pragma once

#include "core/layout/attempt.hpp"

#include <array>
#include <optional>

namespace up::layout {

/// From a layout without overlaps to ones that use less of their last bay, or fewer bays: the last bay is
/// made shorter, and the overlaps that come of it are pushed out. Two attempts side by side in step, whatever
/// the machine, so that the answer is the same on all; the first that succeeds is where both begin again. At
/// a dead end large pieces change places in a little more room, and it goes on from there; the best is kept.
class Squeezer {
public:
    /// The bays in the order in which they are filled; the last one is made shorter.
    Squeezer(std::vector<Piece> pieces, std::vector<Bay> bays, const std::vector<Place>& places,
             std::uint64_t seed);
    Squeezer(const Squeezer&) = delete; // the attempts refer to the pieces
    Squeezer& operator=(const Squeezer&) = delete;

    /// Goes on for a few steps, at most so many, until `enough` says so; that is asked often, by two threads.
    /// True when it found something better than the best before.
    using Enough = Attempt::Enough;
    bool round(int most, const Enough& enough);
    /// The last bay holds nothing that may move below what is fixed in it.
    [[nodiscard]] bool isDone() const { return m_best.used <= floorOf(m_best) + 1e-6; }

    /// The best so far, without overlaps.
    [[nodiscard]] const Arrangement& best() const { return m_best.pieces; }
    [[nodiscard]] std::size_t bays() const { return m_best.bays.size(); }
    [[nodiscard]] double used() const { return m_best.used; }
    /// How often all pieces that met others have been looked after, in either attempt.
    [[nodiscard]] int steps() const { return m_steps; }

private:
    struct State {
        Arrangement pieces;
        std::vector<Bay> bays;
        double used = 0; ///< of the last bay
        [[nodiscard]] bool isBetterThan(const State& other) const {
            return bays.size() != other.bays.size() ? bays.size() < other.bays.size() : used < other.used;
        }
    };
    void begin(std::size_t which);
    /// True when it is the best there has been.
    bool adopt(const Attempt& found, bool kicked);
    /// Everything slides up, the highest first: what room there is comes together at the end.
    void settle(Arrangement& now, const std::vector<Bay>& bays) const;
    /// Its last bay's use, after bays that hold nothing have gone.
    static void measure(State& found);
    /// How far down its last bay fixed pieces lie.
    [[nodiscard]] double floorOf(const State& found) const;

    std::vector<Piece> m_pieces;
    std::vector<double> m_heights; ///< of the bays as they were given
    Random m_random;
    State m_best, m_here; ///< `m_here`: where attempts begin
    std::array<std::optional<Attempt>, 2> m_attempts;
    std::array<bool, 2> m_kicked{};
    double m_share; ///< of the height that is taken away next
    int m_steps = 0;
    int m_failed = 0; ///< attempts, one after the other
};

} // namespace up::layout
