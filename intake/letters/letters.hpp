// SPDX-License-Identifier: GPL-3.0-or-later
// Text as outlines, from the fonts installed on this machine.
#pragma once

#include "core/shape/path.hpp"

#include <string>
#include <vector>

namespace up::intake {

struct Typeface {
    std::string
        family; ///< "Sans", or several separated by commas; a missing one is replaced by the system's choice
    bool bold = false, italic = false;
};

/// One letter, or several that the font joins.
struct Letter {
    std::string text;
    std::vector<shape::Contour> contours; ///< to be filled by the nonzero rule
};

struct Lettering {
    std::vector<Letter> letters; ///< on one line; its baseline starts at the origin, y down; blanks left out
    double width = 0;            ///< how far the next text would start
};

/// `size` is the em of the font, in the unit of the result. Line breaks count as blanks.
[[nodiscard]] Lettering lettering(const std::string& text, const Typeface& typeface, double size);

/// Families installed here, in alphabetical order.
[[nodiscard]] std::vector<std::string> families();

} // namespace up::intake
