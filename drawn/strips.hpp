// SPDX-License-Identifier: GPL-3.0-or-later
// The strips round a block.
#pragma once

#include "core/plan/finish/finish_plan.hpp"
#include "drawn/parts.hpp"

namespace up::drawn {

/// Where they are seen in the quilt, pale until they are sewn on. mm on the block.
[[nodiscard]] sheet::Layer stripsInPlace(const quilt::Quilt& quilt, const plan::FinishPlan& plan);

struct StripsApart {
    sheet::Layer layer;
    shape::Box box; ///< with the block and what is written
};
/// Those that are not sewn on lie apart from the block, each with its number and how it is cut.
[[nodiscard]] StripsApart stripsApart(const quilt::Quilt& quilt, const quilt::Block& block,
                                      const plan::FinishPlan& plan);

} // namespace up::drawn
