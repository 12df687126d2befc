// SPDX-License-Identifier: GPL-3.0-or-later
// Where a knot shows least.
#pragma once

#include "core/shape/ring.hpp"

namespace up::stitch {

/// Where a closed line's knot shows least, mm along it: at the deepest inner corner; else in the middle of the longest
/// stretch between corners; else where it starts.
[[nodiscard]] double quietStart(const shape::Polyline& closed);

} // namespace up::stitch
