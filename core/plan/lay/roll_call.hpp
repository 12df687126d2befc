// SPDX-License-Identifier: GPL-3.0-or-later
// All there? Before laying, the pieces are counted: alike in shape, hand and fabric they lie in one heap.
#pragma once

#include "core/plan/block/judge_plan.hpp"

namespace up::plan {

enum class Hand : std::uint8_t {
    none,    ///< its own mirror image: it has no hand
    asDrawn, ///< as the first of its shape
    mirrored ///< the mirror image of it
};

/// Where a piece is when the block is counted.
enum class Presence : std::uint8_t {
    notCut,  ///< still to be cut: nobody looks for it yet
    missing, ///< cut, but nobody has ticked it off
    here     ///< ticked off, or laid already
};
[[nodiscard]] Presence presenceOf(const quilt::Piece& piece);

/// Pieces that nobody can tell apart.
struct Heap {
    std::vector<std::size_t> pieces; ///< by position, bottom first
    Hand hand = Hand::none;
    FabricId fabric;
    std::size_t alike = 0; ///< which group of equal shapes, either hand
    int here = 0, missing = 0, notCut = 0;
};

struct RollCall {
    std::vector<Heap> heaps; ///< by their lowest piece
    int here = 0, missing = 0, notCut = 0;
    [[nodiscard]] int all() const { return here + missing + notCut; }
};

/// `judged` is the block's.
[[nodiscard]] RollCall rollCall(const quilt::Block& block, const Judgement& judged);

} // namespace up::plan
