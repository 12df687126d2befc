// SPDX-License-Identifier: GPL-3.0-or-later
// Finishing a block: what it is trimmed to, the strips that make it fit its place, how much stitching draws blocks in; and
// the quilt's top of all of them.
#pragma once

#include "core/fit/trimming.hpp"
#include "core/fit/wall.hpp"
#include "core/quilt/quilt.hpp"

namespace up::plan {

/// A strip of a block; those of its frame come first.
struct FitStrip : fit::Strip {
    bool isFrame = false;
    bool sewn = false;
    shape::Box box; ///< as it will be seen, on the block, mm
};

struct FinishPlan {
    fit::Extent cut;                ///< as the background is cut or sewn
    std::optional<fit::Extent> has; ///< as measured
    fit::Trimming trimming;         ///< of what it measures, or of the background
    fit::Extent trimTo;             ///< with its seam and its frame
    std::vector<FitStrip> strips;   ///< in the order in which they are sewn on
    fit::Extent unit;               ///< finished with its strips
    shape::Box box;                 ///< the same on the block, mm
    fit::Extent lacking;            ///< of its place, what no strip makes up
    bool stripsNow = false;         ///< they are sewn on as blocks come, or all blocks are trimmed
    [[nodiscard]] const FitStrip* next() const; ///< the strip to be sewn on; none is left: null
};

/// Of a block of the quilt.
[[nodiscard]] FinishPlan planFinish(const quilt::Quilt& quilt, const quilt::Block& block);

/// The sides on which the block gets strips: its own, or by its place in the quilt.
[[nodiscard]] quilt::Sides sidesOf(const quilt::Quilt& quilt, const quilt::Block& block);

struct DrawnIn {
    double share = 0; ///< of what is cut
    int blocks = 0;   ///< as many were measured; 0: `share` is the usual one
};
/// The middle of what blocks stitched like this one lost, those of about its size if there are three. The usual: 13 in for
/// 12½ in, which is 1/8 in on either side and what is drawn in [A]. Source: common practice.
[[nodiscard]] DrawnIn drawnIn(const quilt::Quilt& quilt, const quilt::Block& block);
/// So much larger than its cut size the background should be cut.
[[nodiscard]] quilt::Length oversizeFor(const quilt::Quilt& quilt, const quilt::Block& block);

/// All blocks with their strips, in rows, and borders round them.
[[nodiscard]] fit::Wall planWall(const quilt::Quilt& quilt);

} // namespace up::plan
