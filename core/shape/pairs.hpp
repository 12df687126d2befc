// SPDX-License-Identifier: GPL-3.0-or-later
// Which of many boxes meet.
#pragma once

#include "core/shape/point.hpp"

#include <utility>
#include <vector>

namespace up::shape {

/// Every pair (lower index first, in order) whose boxes share a point; empty boxes meet nothing. Method: a
/// line swept from left to right over the boxes, each tried with those that the line still crosses.
[[nodiscard]] std::vector<std::pair<std::size_t, std::size_t>> pairsThatMeet(const std::vector<Box>& boxes);

} // namespace up::shape
