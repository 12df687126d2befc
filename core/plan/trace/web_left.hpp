// SPDX-License-Identifier: GPL-3.0-or-later
// What there is to lay a block out on: the sheets it lies on already, off-cuts, and the rest of its web.
#pragma once

#include "core/layout/nest_job.hpp"
#include "core/quilt/quilt.hpp"

namespace up::plan {

/// A layout's sheets, renumbered so that only those still count that pieces lie on or that were put away.
struct Kept {
    std::vector<quilt::Traced> traced; ///< pieces past tracing, and pinned ones
    std::vector<quilt::WebSheet> sheets;
    std::vector<quilt::Strip> strips;
    int chunks = 0; ///< one more than the highest chunk number
    [[nodiscard]] bool has(PieceId piece) const;
};
[[nodiscard]] Kept keptOf(const quilt::Block& block);

/// Where new pieces may go.
struct WebLeft {
    /// What a sheet of the layout engine is.
    struct Origin {
        int kept = -1; ///< which of the kept sheets; -1: not begun yet
        quilt::WebSheet sheet;
    };
    std::vector<layout::Sheet> sheets; ///< kept ones first, then off-cuts, the smallest first, then new web
    std::vector<Origin> origins;       ///< one for each
};

/// What other blocks have been laid out on, and have not been cut from yet, is not there for this one.
[[nodiscard]] WebLeft webLeft(const quilt::Quilt& quilt, const quilt::Block& block, const Kept& kept,
                              bool offCuts);

/// How much of the roll the layout's sheet takes: to the lowest line on it, rounded up to ¼ in.
[[nodiscard]] measure::Length usedLength(const quilt::Block& block, const quilt::Layout& layout, int sheet);

/// Length of roll and number of sheets that the layouts of all other blocks take and that are not put away.
struct Reserved {
    measure::Length roll;
    int sheets = 0;
    std::vector<OffCutId> offCuts;
    bool operator==(const Reserved&) const = default;
};
[[nodiscard]] Reserved reservedBy(const quilt::Quilt& quilt, WebId web, BlockId except);

} // namespace up::plan
