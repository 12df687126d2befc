// SPDX-License-Identifier: GPL-3.0-or-later
// The second sample quilt: ways of working that "Towpath" does without, a block for each, caught in mid-work.
#pragma once

#include "core/quilt/quilt.hpp"

#include <string>

namespace up::demo {

/// Builds it from the drawings in `folder`. Errors: whatever reading a drawing gives.
[[nodiscard]] Result<quilt::Quilt> otherWays(const std::string& folder);

} // namespace up::demo
