// SPDX-License-Identifier: GPL-3.0-or-later
// The sample quilt "Towpath": nine blocks of things seen along a canal, caught in mid-work.
#pragma once

#include "core/quilt/quilt.hpp"

#include <string>

namespace up::demo {

/// File names of the nine drawings, in the quilt's order.
[[nodiscard]] const std::vector<std::string>& drawings();

/// Builds the quilt from the drawings in `folder`; the same drawings give the same quilt.
/// Errors: whatever reading a drawing gives.
[[nodiscard]] Result<quilt::Quilt> towpath(const std::string& folder);

} // namespace up::demo
