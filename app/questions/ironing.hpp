// SPDX-License-Identifier: GPL-3.0-or-later
// An iron of one's own: what is asked and answered.
#pragma once

#include "core/measure/say.hpp"
#include "core/shape/ring.hpp"

#include <string>

namespace up::app {

struct IronQuestion {
    std::string name;
    shape::Ring outline; ///< as traced, mm about its middle, its length up and down
    measure::System units;
};

struct IronAnswer {
    std::string name;
    shape::Ring outline;
};

} // namespace up::app
