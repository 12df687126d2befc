// SPDX-License-Identifier: GPL-3.0-or-later
// Threads, stabiliser and batting in the stash: what is asked and answered.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::app {

struct ThreadAnswer {
    quilt::Thread thread; ///< without id: a new one
    bool gone = false;    ///< it is used up
};

struct SupplyAnswer {
    quilt::Supply supply; ///< without id: a new one
    bool gone = false;
};

} // namespace up::app
