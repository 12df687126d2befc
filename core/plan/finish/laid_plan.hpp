// SPDX-License-Identifier: GPL-3.0-or-later
// What is laid on a block along lines or at places: strips with their ends, how tightly they bend, things counted.
#pragma once

#include "core/quilt/quilt.hpp"
#include "core/shape/parallel.hpp"

namespace up::plan {

using measure::Length;

/// How a strip is cut across; the width of what is bought. A stem is twice as wide as it lies there and two seams [A]; a tape has both edges turned in, half its width each.
/// Source for these: common practice.
[[nodiscard]] Length cutWide(const quilt::Laid& laid);
/// More at an end than the line is long. Source: common practice.
[[nodiscard]] Length moreAtEnd(quilt::LaidEnd end);
/// Laid along a line that bends more tightly it puckers on one side or cannot be pressed flat; for things 0. Source: common
/// practice: three widths for what is cut at 45°, cord and yarn one, woven ribbon twelve, rickrack four.
[[nodiscard]] Length leastRadius(quilt::Trim trim, Length width);

/// One stroke of a line with what is laid along it.
struct LaidStrip {
    LineId line;
    std::size_t stroke = 0;
    shape::Polyline middle; ///< on the block, as far as it lies in its finished size
    Length along;           ///< of its middle
    quilt::LaidEnd begin{},
        end{}; ///< as it is; at the block's edge it runs off; of one that closes its start is covered by its end
    Length cutLong; ///< along its longer edge, with its ends, a width more for each corner
    std::size_t corners = 0;
    std::optional<shape::Bend> tooTight{}; ///< its tightest place, when that is too tight
};

/// An end that is to be covered, and is not by anything that is laid later.
struct BareEnd {
    LineId line;
    std::size_t stroke = 0;
    shape::Point at;
    LineId earlier{}; ///< lies over it, but is laid before; none: nothing does
};

struct LaidPlan {
    std::vector<LaidStrip> strips; ///< in the order in which they are laid
    std::vector<BareEnd> bare;
    [[nodiscard]] Length lengthOf(LineId line) const; ///< cut, all its strips together
    [[nodiscard]] const LaidStrip* find(LineId line, std::size_t stroke) const;
};
[[nodiscard]] LaidPlan planLaid(const quilt::Block& block);

/// All beneath it is fused and tested; what melts waits until nothing of the block is pressed any more.
[[nodiscard]] bool mayLay(const quilt::Block& block, const quilt::Line& line);
/// The next that is laid by hand, or stitched after that; none: all that may be is.
[[nodiscard]] const quilt::Line* nextLaid(const quilt::Block& block);

/// What must be there, bought or found: so long of a ribbon, so many buttons.
struct TrimAmount {
    quilt::Trim trim{};
    Length width;
    FabricId fabric; ///< its colour
    Length length;   ///< with its ends; of things 0
    std::size_t things = 0;
};
/// Of the whole quilt, what is not laid yet and is not cut from cloth. Of things as many as are called for, or have a place if those
/// are more.
[[nodiscard]] std::vector<TrimAmount> trimmingsToGet(const quilt::Quilt& quilt);

} // namespace up::plan
