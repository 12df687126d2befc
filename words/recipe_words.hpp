// SPDX-License-Identifier: GPL-3.0-or-later
// Built-in shapes and their measures as they are called.
#pragma once

#include "core/pattern/pattern.hpp"

#include <string>

namespace up::words {

[[nodiscard]] std::string nameOf(quilt::RecipeKind kind);

/// "Length", "Width of the band", "Across the inner corners".
[[nodiscard]] std::string measureName(quilt::RecipeKind kind, std::string_view key);

} // namespace up::words
