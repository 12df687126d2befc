// SPDX-License-Identifier: GPL-3.0-or-later
// Edits of finishing: measured, trimmed, strips sewn on, how the quilt is set. As all edits of a block they answer
// Code::noSuchBlock.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

/// What it measures and how it is fitted into its place; how many strips are on stays, unless they would be others than before:
/// then none counts as sewn. Errors: Code::absurdSize for a block that measures less than half or more than twice its finished
/// size, a seam outside 1/8…1 in, a frame wider than a quarter of the block.
[[nodiscard]] Edited fit(const Quilt& quilt, BlockId block, quilt::Fitting fitting);

/// It is trimmed to size.
[[nodiscard]] Edited setTrimmed(const Quilt& quilt, BlockId block, std::int64_t time);

/// One more of its strips is on.
[[nodiscard]] Edited stripSewn(const Quilt& quilt, BlockId block, std::int64_t time);

/// How blocks come together: strips between them finish as wide as `sashing`. Errors: Code::absurdSize for strips and borders
/// wider than 1000 mm.
[[nodiscard]] Edited setSetting(const Quilt& quilt, quilt::Setting setting, quilt::Length sashing,
                                int columns);

} // namespace up::edit
