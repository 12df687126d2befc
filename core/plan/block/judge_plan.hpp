// SPDX-License-Identifier: GPL-3.0-or-later
// What a pattern's shapes mean for the work: which must be reversed, which are alike, of which there are two
// lefts where there should be a left and a right, and what is too thin at this size.
#pragma once

#include "core/plan/block/block_plan.hpp"
#include "core/shape/likeness.hpp"
#include "core/shape/widths.hpp"

namespace up::plan {

/// Narrower parts cannot be cut clean by hand. Source: common practice.
inline constexpr measure::Length leastCut = measure::Length::ofInches(1, 16);
/// A tip may taper to nothing over this length (a leaf); longer is a thin part. Source: common practice.
inline constexpr measure::Length longestPoint = measure::Length::ofInches(1, 2);
/// A point sharper than this, in degrees, leaves no room to turn a stitch of any width. Source: common
/// practice.
inline constexpr double sharpestPoint = 30;

/// What is short of a width by no more than this has it. Source: common practice.
inline constexpr measure::Length pencilLine = measure::Length::ofInches(1, 128);

/// How wide a part must be to be cut and to be stitched with this edge: a stitch that swings lies wholly on
/// the piece; a straight one runs inside both edges. Source: common practice.
[[nodiscard]] measure::Length leastWidth(const quilt::EdgeStitch& stitch);

/// One piece. Places are where the piece lies on the block, mm.
struct PieceJudgement {
    std::optional<shape::Axis> axis; ///< it is its own mirror image: reversing doesn't matter
    std::size_t alike = 0;           ///< which group it belongs to
    bool otherHand = false;          ///< the mirror image of the first of its group
    shape::Widths widths;
    shape::Across narrowest; ///< tips aside
    std::vector<shape::Narrow> thin;
    std::vector<shape::Corner> sharp; ///< points sharper than `sharpestPoint`
    std::vector<shape::Corner> tight; ///< inner corners narrower than the stitch that should go round them
    [[nodiscard]] bool mustBeReversed() const { return !axis; }
};

struct Alike {
    std::vector<std::size_t> pieces; ///< indices in the block, bottom first
    int otherHand = 0;               ///< how many are mirrored against the first
};

/// Two that look like a pair and are of one hand.
struct OneHand {
    std::size_t first, second;
    bool byName; ///< "left" and "right" in their names; else by where they lie
};

struct Judgement {
    std::vector<PieceJudgement> pieces; ///< as in the block
    std::vector<Alike> groups;          ///< each piece in one; by their first piece
    std::vector<OneHand> oneHand;
    /// The block at this many times its size has no thin part; up to 1 when it has none now. Nothing when no
    /// size helps: a long point stays a point.
    std::optional<double> smallestScale;
};

/// What was judged before, to start from.
struct JudgedBefore {
    const BlockPlan& plan;
    const quilt::EdgeStitch& edge;
    const Judgement& judged; ///< of that plan and that edge
};

/// Regions of `plan` are the block's. From `before` pieces are taken that are and lie as they did then, and which
/// of them are alike: the same as from nothing, in less time.
[[nodiscard]] Judgement judge(const quilt::Block& block, const BlockPlan& plan,
                              const JudgedBefore* before = nullptr);

/// The thin parts of one piece at another size.
[[nodiscard]] std::vector<shape::Narrow> thinAt(const PieceJudgement& piece, const quilt::EdgeStitch& stitch,
                                                double scale);
/// The smallest factor at which the piece has no thin part; nothing when 64 is not enough.
[[nodiscard]] std::optional<double> smallestScale(const PieceJudgement& piece,
                                                  const quilt::EdgeStitch& stitch);
/// That of all of them.
[[nodiscard]] std::optional<double> smallestScale(const std::vector<PieceJudgement>& pieces,
                                                  const quilt::EdgeStitch& stitch);

} // namespace up::plan
