// SPDX-License-Identifier: GPL-3.0-or-later
// Parts that were cut from one whole, put together again.
#pragma once

#include "core/layout/nest_job.hpp"

#include <optional>

namespace up::layout {

/// When no spacing is asked for and all parts join along edges of equal length into one whole that fits the
/// first sheet: that layout. Nothing otherwise. Method: beginning with the largest part, always the one that
/// shares most of its edge with those laid before; edges are looked up by their length.
[[nodiscard]] std::optional<NestLayout> reassembled(const NestJob& job);

} // namespace up::layout
