// SPDX-License-Identifier: GPL-3.0-or-later
// A block through the layout engine: reversed pieces on the web, grouped by fabric; chunks, patches and what
// is used.
#pragma once

#include "core/base/job.hpp"
#include "core/press/patch.hpp"
#include "core/quilt/quilt.hpp"

#include <cstdint>

namespace up::plan {

/// About ¼ in outside the line. Source: common practice.
inline constexpr measure::Length roughCutMargin = measure::Length::ofInches(1, 4);
/// Room for the scissors between two pieces of one fabric. Source: common practice.
inline constexpr measure::Length scissorsWidth = measure::Length::ofInches(1, 8);

struct TraceOptions {
    double seconds = 2;
    int rounds = 0; ///< as layout::NestOptions
    std::uint64_t seed = 1;
};

/// Lays the block's reversed pieces out on its web: pieces of one fabric close together, fabrics a double
/// rough-cut margin apart, true outlines. Pieces that do not fit are named with the reason. Pieces already
/// traced stay where they are; the rest goes below them on a roll, on further sheets otherwise. Errors:
/// Code::nothingToDo when the block has no pieces or no web.
[[nodiscard]] Result<quilt::Layout> layOut(const quilt::Quilt& quilt, const quilt::Block& block,
                                           const TraceOptions& options, up::Job& control);

/// Pieces that are rough cut and bonded together.
struct Chunk {
    FabricId fabric;
    int sheet = 0;
    std::vector<PieceId> pieces; ///< bottom first
    shape::Region roughCut;      ///< on the sheet, mm: where the scissors go
    press::Patch patch;
};

struct TracePlan {
    std::vector<Chunk> chunks;                             ///< by fabric, then by number
    std::vector<std::pair<PieceId, shape::Outline>> lines; ///< the traced outlines on their sheets
    int sheets = 0;
    measure::Length used; ///< of the roll, or of the last sheet: rounded up to the next ¼ in
    bool stale = false;   ///< pieces are missing in the layout
};

/// What the chosen layout means; empty when the block has none.
[[nodiscard]] TracePlan planTrace(const quilt::Block& block);

} // namespace up::plan
