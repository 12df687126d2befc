// SPDX-License-Identifier: GPL-3.0-or-later
// A block through the layout engine: reversed pieces on off-cuts and web, by one of the trade's schools.
#pragma once

#include "core/base/error.hpp"
#include "core/base/job.hpp"
#include "core/quilt/quilt.hpp"

#include <cstdint>
#include <optional>

namespace up::plan {

struct TraceOptions {
    double seconds = 2;
    int rounds = 0; ///< as layout::NestOptions
    std::uint64_t seed = 1;
    std::optional<quilt::School> school{}; ///< none: the block's own
    bool offCuts = true;                   ///< those in the stash first
};

/// Lays the block's reversed pieces out on its web by the school asked for: a scissors' width between pieces
/// that are rough cut together, two rough-cut margins between others, true outlines, off-cuts before new web.
/// Pieces that do not fit are named with the reason. Pieces already traced, and pinned ones, stay where they
/// are, and the rest flows round them. Errors: Code::nothingToDo when the block has no pieces or no web.
[[nodiscard]] Result<quilt::Layout> layOut(const quilt::Quilt& quilt, const quilt::Block& block,
                                           const TraceOptions& options, up::Job& control);

/// The schools that differ for this block: windows where a piece has room for one, strips where shapes are
/// equal.
[[nodiscard]] std::vector<quilt::School> schoolsFor(const quilt::Quilt& quilt, const quilt::Block& block);

} // namespace up::plan
