// SPDX-License-Identifier: GPL-3.0-or-later
// Blocks of the second sample whose pieces are joined otherwise than with web.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::demo {

/// With a block more whose moon lies behind a hole; one with edges turned under and a flower behind which the ground is cut
/// away; one held by glue on a background that is quilted before. Each in mid-work.
[[nodiscard]] Result<quilt::Quilt> withOtherJoins(const quilt::Quilt& quilt, const std::string& folder);

} // namespace up::demo
