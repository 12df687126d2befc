// SPDX-License-Identifier: GPL-3.0-or-later
// A page to SVG at true size: for cutting machines.
#pragma once

#include "core/sheet/sheet.hpp"

#include <string>

namespace up::output {

/// Millimetres as user units, one group per layer with its name; words and flags are left out (machines would
/// cut them).
[[nodiscard]] std::string writeSvg(const sheet::Page& page);

} // namespace up::output
