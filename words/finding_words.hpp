// SPDX-License-Identifier: GPL-3.0-or-later
// What is wrong or doubtful, and what can be done about it, in the quilt's units.
#pragma once

#include "core/check/rows.hpp"
#include "core/quilt/quilt.hpp"

#include <string>

namespace up::words {

[[nodiscard]] std::string sentence(const quilt::Quilt& quilt, const check::Finding& finding);
/// Of all in the row: "12 pieces are too thin: 7 oar narrows to 1/16 in; …".
[[nodiscard]] std::string sentence(const quilt::Quilt& quilt, const check::Row& row);

/// What the fix does to so many: "Move it inside", "Move all 3 inside".
[[nodiscard]] std::string fixWords(check::Fix fix, std::size_t count = 1);

} // namespace up::words
