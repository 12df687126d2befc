// SPDX-License-Identifier: GPL-3.0-or-later
// A better place for one piece among all the others.
#pragma once

#include "core/base/random.hpp"
#include "core/layout/holes.hpp"

namespace up::layout {

/// Looks for places all over the bays, near where the piece lies, in holes that are wide enough, and corner
/// in corner with others; the best few are improved by small moves and turns. Method: random samples and
/// coordinate descent, as in Gardeyn, Vanden Berghe & Wauters, 2025; holes and corners in corners are ours.
class Search {
public:
    Search(const std::vector<Piece>& pieces, const std::vector<Bay>& bays, const Weights& weights,
           const std::vector<Hole>& holes, Arrangement& in, Random random)
        : m_pieces(pieces), m_bays(bays), m_weights(weights), m_holes(holes), m_in(in), m_random(random) {}

    /// Moves the piece if that costs less.
    void improve(std::size_t piece);
    /// A piece that meets nothing slides up as far as it goes, aside and turning a little where that helps.
    void settle(std::size_t piece);
    /// A piece goes to one of the tightest `most` holes that take it without meeting anything; false if none
    /// does.
    bool rehome(std::size_t piece, int most);

private:
    struct Try {
        double cost;
        Place place;
    };
    void tryAt(Place place);
    void tryNear();
    void tryAnywhere();
    void tryCorner();
    void tryHole();
    /// The piece's widest part in the hole, at any turn.
    void tryIn(const Hole& hole);
    void keep(const Try& found);
    void descend(Try& best, double from, double to);
    [[nodiscard]] Turn anyTurn(double spread);
    /// The place is held within its bay; infinite when the piece, so turned, is too large for it.
    [[nodiscard]] double costAt(Place& place, double enough);

    const std::vector<Piece>& m_pieces;
    const std::vector<Bay>& m_bays;
    const Weights& m_weights;
    const std::vector<Hole>& m_holes;
    Arrangement& m_in;
    Random m_random;
    std::size_t m_piece = 0;
    Laid m_laid;               ///< where the piece is tried
    std::vector<Try> m_best{}; ///< a few, the cheapest first
};

} // namespace up::layout
