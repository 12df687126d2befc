// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/colour.hpp"

#include <optional>
#include <string_view>

namespace up::intake {

/// The named colours, in any case. Source: CSS Color Module Level 4, 6.1.
[[nodiscard]] std::optional<Colour> colourWord(std::string_view name);

} // namespace up::intake
