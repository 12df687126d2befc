// SPDX-License-Identifier: GPL-3.0-or-later
// Strips cut from cloth, at 45° to its threads or along its width: which lie where, so that few are joined and little cloth is
// used.
#pragma once

#include "core/shape/point.hpp"

#include <cstddef>
#include <vector>

namespace up::strips {

/// A piece of cloth, its sides along its threads, mm.
struct Cloth {
    double wide = 0, high = 0;
    bool straight = false; ///< strips are cut along its width; else at 45°
};

/// A strip, square at its ends, mm.
struct Strip {
    double wide = 0, length = 0;
};

/// A strip, or a part of one that is joined.
struct Part {
    std::size_t strip = 0; ///< by the order in which they were asked for
    double length = 0;
};

/// Cut right across a piece of cloth.
struct Band {
    std::size_t cloth = 0;
    double at = 0;   ///< mm from the cloth's lower left corner to its nearer side, square to the strips
    double wide = 0; ///< mm
    std::vector<Part> parts; ///< one after the other
};

struct Cutting {
    std::vector<Band> bands; ///< of each cloth in the order in which they lie
    std::size_t joins = 0;
    double area = 0;                ///< mm² of cloth between the first cut of each piece and its last
    std::vector<std::size_t> unmet; ///< strips for which there is no room
    bool least = false;             ///< all ways to lay the parts were looked at
};

/// So much longer must two strips be together that are joined. Those at 45° are laid square to each other and sewn from corner to
/// corner: their width. Straight ones lose a seam of ¼ in on either side. Source: common practice.
[[nodiscard]] double lostByJoin(const Cloth& cloth, double wide);

/// The longest strip with square ends in a band that begins `at` mm from the corner; ≤ 0: none. Strips run from the upper
/// left to the lower right.
[[nodiscard]] double longestIn(const Cloth& cloth, double at, double wide);
/// The longest of all.
[[nodiscard]] double longestOf(const Cloth& cloth, double wide);

/// A strip is joined from as few equal parts as any of the cloths allows, or from more where there is no room else. Bands lie
/// side by side; so much is cut from a corner, and what is left is whole. Up to seven parts every way is tried;
/// more are laid one after the other, the longest first, then taken up and laid elsewhere while that needs less cloth.
[[nodiscard]] Cutting cutStrips(const std::vector<Cloth>& cloths, const std::vector<Strip>& strips);

/// The least length of cloth so wide from which all of them can be cut with as few joins as from a square of it, in steps of
/// `step` mm; 0 for nothing.
[[nodiscard]] double lengthFor(double clothWide, const std::vector<Strip>& strips, double step,
                               bool straight = false);

/// The corners of a part as it lies on its cloth, mm from the upper left.
[[nodiscard]] std::vector<shape::Point> cornersOf(const Cloth& cloth, const Band& band, std::size_t part);

} // namespace up::strips
