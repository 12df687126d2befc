// SPDX-License-Identifier: GPL-3.0-or-later
// What every family of checks looks at, and where it writes what it finds. For the .cpp files of this room
// only.
#pragma once

#include "core/plan/check/check_plan.hpp"

namespace up::plan {

struct Looking {
    const quilt::Quilt& quilt;
    const quilt::Block& block;
    const BlockPlan& plan;
    const Judgement& judged;
    const Doubts& doubts;
    const StitchPlan* stitching = nullptr; ///< may be null
    std::vector<check::Finding> out{};

    [[nodiscard]] const quilt::Piece& piece(std::size_t i) const { return block.pieces[i]; }
    [[nodiscard]] bool isFused(std::size_t i) const { return piece(i).work.step >= quilt::Step::fused; }
    [[nodiscard]] bool isLining(std::size_t i) const { return static_cast<bool>(piece(i).liningOf); }
    /// About that piece, which its sentence names first; at its middle.
    check::Finding& add(check::Kind kind, std::size_t i, std::vector<check::Arg> more = {},
                        std::vector<check::Fix> fixes = {});
    /// The same about two of them; the sentence names both first.
    check::Finding& addPair(check::Kind kind, std::size_t i, std::size_t other,
                            std::vector<check::Arg> more = {}, std::vector<check::Fix> fixes = {});
    check::Finding& addOfBlock(check::Kind kind, std::vector<check::Arg> args,
                               std::vector<check::Fix> fixes = {});
};

// --- the families
void checkEdges(Looking& look);   ///< each piece against the block's edges, and what shows of it
void checkHands(Looking& look);   ///< which way round pieces and letters are
void checkShapes(Looking& look);  ///< what is too thin
void checkWork(Looking& look);    ///< what was done too early, or not in time
void checkWeb(Looking& look);     ///< the layout against web, off-cuts and pieces
void checkStack(Looking& look);   ///< how pieces lie on each other
void checkSewing(Looking& look);  ///< what was stitched, and what it takes to stitch the rest
void checkFit(Looking& look);     ///< whether the block comes out as large as it should
void checkLaid(Looking& look);    ///< what is laid along lines: how it bends, its ends, how many there are
void checkJoining(Looking& look); ///< pieces without web, and what is cut away
void checkCloth(Looking& look);   ///< what shines through, and what gets stiff

} // namespace up::plan
