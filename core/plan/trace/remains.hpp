// SPDX-License-Identifier: GPL-3.0-or-later
// What is left of the web after rough cutting, and what of it is worth keeping.
#pragma once

#include "core/plan/trace/trace_plan.hpp"
#include "core/quilt/remains.hpp"

namespace up::plan {

/// What is left of the sheet outside the rough cuts, and in windows, where a circle `least` wide can lie:
/// with round inner corners, each island for itself, nothing of it cut away or off the sheet. Simplified by
/// no more than 0.5 mm, inwards.
[[nodiscard]] std::vector<shape::Region> offCutsOf(const TracePlan& plan, const SheetUse& sheet,
                                                   measure::Length least);

/// Sheets that lie ready to be put away: all their pieces are rough cut, or further.
[[nodiscard]] std::vector<const SheetUse*> cutSheets(const quilt::Block& block, const TracePlan& plan);

/// What becomes of those sheets.
[[nodiscard]] std::vector<quilt::Remains> remainsOf(const quilt::Block& block, const TracePlan& plan);

} // namespace up::plan
