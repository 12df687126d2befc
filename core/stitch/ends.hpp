// SPDX-License-Identifier: GPL-3.0-or-later
// Runs at which trails must begin or end, because of what waits for what.
#pragma once

#include "core/stitch/ways.hpp"

namespace up::stitch {

/// No ways have fewer trails: a run begins one if nothing that may come just before it touches either of its ends, or
/// lies within a hop of it; it ends one if nothing that may come just after it does. Just before comes what does not
/// wait for it, near or far, and for which it does not wait by way of a third.
[[nodiscard]] int leastEnds(const Network& network);

} // namespace up::stitch
