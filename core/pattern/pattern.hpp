// SPDX-License-Identifier: GPL-3.0-or-later
// The built-in shapes: which measures each has, and its outline.
#pragma once

#include "core/base/error.hpp"
#include "core/quilt/recipe.hpp"

#include <span>

namespace up::pattern {

using quilt::Recipe;
using quilt::RecipeKind;

enum class Unit : std::uint8_t {
    length, ///< mm
    count,  ///< a whole number
    percent
};

struct Measure {
    std::string_view key; ///< in files
    Unit unit = Unit::length;
    double usual = 0, least = 0, most = 0;
    bool isWidth = false; ///< of something like a stem, which may keep it when all else is scaled
};

[[nodiscard]] std::span<const Measure> measuresOf(RecipeKind kind);

/// With its usual measures, upright about the origin.
[[nodiscard]] Recipe usualRecipe(RecipeKind kind);

/// Errors: Code::measureOut {measure's key, least, most} for a measure outside its bounds, or one that leaves
/// nothing of the shape beside the others; the bounds as they are said.
[[nodiscard]] Result<void> validate(const Recipe& recipe);

/// The outline where the recipe puts it, as smooth curves; of letters nothing, since fonts are not known
/// here. Errors: as validate; Code::noSuchShape for letters and lines without length.
[[nodiscard]] Result<shape::Outline> outlineOf(const Recipe& recipe);

/// The recipe of the shape after `by`, which moves, turns, mirrors or scales evenly. `keepWidths`: measures
/// that are widths stay as they are.
[[nodiscard]] Recipe remapped(const Recipe& recipe, const shape::Transform& by, bool keepWidths = false);

/// Whether scaling can leave a width as it is.
[[nodiscard]] bool hasWidth(const Recipe& recipe);

} // namespace up::pattern
