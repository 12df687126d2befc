// SPDX-License-Identifier: GPL-3.0-or-later
// Which press comes after which.
#pragma once

#include "core/press/iron.hpp"

namespace up::press {

/// The lowest first, then whatever is near and low, so that the hand goes to and fro up the block.
[[nodiscard]] std::vector<Press> ordered(std::vector<Press> presses, const shape::Ring& outline);

} // namespace up::press
