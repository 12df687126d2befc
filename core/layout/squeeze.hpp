// SPDX-License-Identifier: GPL-3.0-or-later
// Less and less room for the pieces: overlaps are allowed, and pushed out again.
#pragma once

#include "core/base/random.hpp"
#include "core/layout/holes.hpp"

#include <functional>

namespace up::layout {

/// From a layout without overlaps to ones that use less of their last bay, or fewer bays. Method: the last
/// bay is made shorter and the overlaps that come of it are squeezed out by guided local search, pairs that
/// go on meeting weighing more and more (Egeblad, Nielsen & Odgaard, "Fast neighborhood search for two- and
/// three-dimensional nesting problems", 2007; Gardeyn, Vanden Berghe & Wauters, "An open-source heuristic to
/// reboot 2D nesting research", 2025). Two searches side by side, whatever the machine, so that the answer is
/// the same on all.
class Squeezer {
public:
    /// The bays in the order in which they are filled; the last one is made shorter.
    Squeezer(std::vector<Piece> pieces, std::vector<Bay> bays, const std::vector<Place>& places,
             std::uint64_t seed);

    /// Goes on until `enough` says so; asked often. True when it found something better than before.
    using Enough = std::function<bool()>;
    bool round(const Enough& enough);
    /// The last bay holds nothing that may move below what is fixed in it.
    [[nodiscard]] bool isDone() const { return m_used <= m_floor + 1e-6; }

    /// The best so far, without overlaps.
    [[nodiscard]] const Arrangement& best() const { return m_best; }
    [[nodiscard]] std::size_t bays() const { return m_bays.size(); }
    [[nodiscard]] double used() const { return m_used; }
    /// How often all pieces that met others have been looked after.
    [[nodiscard]] int steps() const { return m_steps; }

private:
    /// Squeezes the overlaps out; true when there are none left.
    bool separate(Arrangement& now, const Enough& enough);
    [[nodiscard]] Arrangement step(const Arrangement& now, const std::vector<Clash>& clashes,
                                   const Enough& enough);
    /// With the pieces of `order` moved, one after the other.
    Arrangement moved(const Arrangement& from, const std::vector<std::size_t>& order,
                      const std::vector<Hole>& holes, std::uint64_t seed, const Enough& enough) const;
    /// Everything slides up, the highest first: what room there is comes together at the end.
    void settle(Arrangement& now);
    void weigh(const std::vector<Clash>& clashes);
    [[nodiscard]] Arrangement shortened(const Arrangement& from, double height);
    void exchangeTwo(Arrangement& now);
    /// After the last bay has become another or shorter.
    void measureUse();

    std::vector<Piece> m_pieces;
    std::vector<Bay> m_bays; ///< the last one as short as it is tried
    Random m_random;
    Weights m_weights;
    Arrangement m_best;
    double m_used = 0;
    double m_floor = 0;     ///< how far down the last bay fixed pieces lie
    double m_share = 0.002; ///< of the height that is taken away next
    int m_steps = 0;
    int m_failed = 0; ///< times one after the other
};

} // namespace up::layout
