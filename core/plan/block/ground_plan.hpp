// SPDX-License-Identifier: GPL-3.0-or-later
// The background in numbers: how large it is cut, what its strips come to when they are sewn, where its seams
// and creases lie.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::plan {

using measure::Length;

/// Lengths sewn end to end or side by side: what two seam allowances take at each seam.
struct SeamSum {
    std::vector<Length> cut;
    Length sewn; ///< their sum less ½ in for each seam [A]
};
[[nodiscard]] SeamSum sewn(std::vector<Length> cut);

struct GroundPatch {
    FabricId fabric;
    shape::Box box; ///< as sewn, raw edges outside; on the block, mm
};

struct GroundPlan {
    Length wide, high;             ///< as it is cut or sewn
    Length wantedWide, wantedHigh; ///< the block's cut size and what it is cut larger
    shape::Box box;                ///< where it lies beneath the block, centred
    shape::Box finished;           ///< the block as it will be seen
    std::vector<GroundPatch> patches;
    std::vector<std::pair<shape::Point, shape::Point>> seams, creases;
    std::vector<SeamSum> along; ///< each strip's patches; only of pieced backgrounds
    SeamSum across;             ///< the strips
    /// How much it is too small for the block's cut size, if it is; the sashing must make up for it, half on
    /// either side [A].
    Length shortWide, shortHigh;
    bool uneven = false; ///< its strips are of different lengths
};

/// A background of strips is as large as they are; its wishes may differ from what is wanted.
[[nodiscard]] GroundPlan planGround(const quilt::Block& block);

/// The same strips and patches, each cut equally wide and long so that what is sewn is as large as wanted, or
/// a little more: `step` is what can be measured, each is rounded up to it.
[[nodiscard]] quilt::Ground evenedOut(const quilt::Block& block, Length step);

} // namespace up::plan
