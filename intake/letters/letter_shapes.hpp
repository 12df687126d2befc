// SPDX-License-Identifier: GPL-3.0-or-later
// Words as built-in shapes: a piece for each letter, or the word in one.
#pragma once

#include "core/base/error.hpp"
#include "core/quilt/recipe.hpp"
#include "intake/letters/letters.hpp"

namespace up::intake {

struct LetterShape {
    std::string name;
    quilt::Recipe recipe;
    shape::Outline outline;
};

/// `height` in mm is that of a capital H. The word stands about `middle`, mm; a letter of several parts (an i
/// and its dot) is as many shapes. `together`: letters that touch are one piece. Blanks are left out.
[[nodiscard]] std::vector<LetterShape> letterShapes(const std::string& text, const Typeface& typeface,
                                                    double height, bool together, shape::Point middle);

/// The em at which a capital H is `height` mm high.
[[nodiscard]] double emFor(const Typeface& typeface, double height);

/// The outline of a letter's recipe where it puts it; of any other recipe what pattern::outlineOf says.
/// Errors: as that; Code::noSuchShape when the font has no such letter.
[[nodiscard]] Result<shape::Outline> recipeOutline(const quilt::Recipe& recipe);

} // namespace up::intake
