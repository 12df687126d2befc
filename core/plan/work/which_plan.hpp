// SPDX-License-Identifier: GPL-3.0-or-later
// Which piece is this? A cut piece without its label, told by what it measures.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::plan {

/// A piece that it may be.
struct Candidate {
    BlockId block;
    PieceId piece;
    double off = 0;               ///< mm: by how much its larger difference is off
    measure::Angle turn;          ///< how its drawing is turned as it was measured
    bool fits = false;            ///< within what a ruler on cloth tells
    double width = 0, height = 0; ///< mm, turned like that
};

/// A ruler on cut cloth is right to an eighth of an inch, or a twentieth of a long piece. Source: common
/// practice.
inline constexpr measure::Length rulerTolerance = measure::Length::ofInches(1, 8);

/// Pieces of all blocks by how well they fit a piece that measures `width` across and `height` up, mm, the
/// best first. A cut piece lies as it is drawn, as it lies in the block, straight along its longest side, or
/// as narrow as it can; either way up. Pieces of `first` come before equally good ones of other blocks.
[[nodiscard]] std::vector<Candidate> whichPiece(const quilt::Quilt& quilt, BlockId first, double width,
                                                double height);

/// What tells one candidate from another, as data.
enum class Trait : std::uint8_t {
    fabric,    ///< {fabric}
    holes,     ///< {number}
    points,    ///< {number of corners that point outwards}
    fullness,  ///< {percent of its box that it fills}
    ownMirror, ///< {}: is its own mirror image
    mirrorOf,  ///< {number or name of the other}
    sameAs     ///< {number or name of the other}: the same shape and fabric, either will do
};
struct Fact {
    Trait trait;
    std::vector<std::string> args;
    bool operator==(const Fact&) const = default;
};

/// For each candidate what no other of them has; of alike pieces what they are to each other. For a few
/// candidates: each is compared with each.
[[nodiscard]] std::vector<std::vector<Fact>> tellApart(const quilt::Quilt& quilt,
                                                       const std::vector<Candidate>& candidates);

} // namespace up::plan
