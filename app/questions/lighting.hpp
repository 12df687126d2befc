// SPDX-License-Identifier: GPL-3.0-or-later
// What the light box shows.
#pragma once

#include "core/measure/length.hpp"
#include "output/pages/pages.hpp"

#include <QString>

namespace up::app {

struct LightBoxQuestion {
    std::vector<output::WholeSheet> sheets; ///< at least one
    QString settings;                       ///< the file in which the screen's measure is kept
    measure::System units = measure::System::inches;
};

} // namespace up::app
