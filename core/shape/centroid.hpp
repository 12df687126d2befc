// SPDX-License-Identifier: GPL-3.0-or-later
// The middle of an area.
#pragma once

#include "core/shape/region.hpp"

namespace up::shape {

/// The centroid of all regions together, as if none overlapped; the origin when they have no area. Source:
/// the shoelace formula's terms, weighed.
[[nodiscard]] Point centroid(const std::vector<Region>& regions);

} // namespace up::shape
