// SPDX-License-Identifier: GPL-3.0-or-later
// What a built-in shape is made from, so that its measures can be changed later.
#pragma once

#include "core/base/names.hpp"
#include "core/shape/path.hpp"

#include <string>
#include <string_view>
#include <vector>

namespace up::quilt {

enum class RecipeKind : std::uint8_t {
    circle,
    oval,
    ring,
    leaf,
    petal,
    teardrop,
    heart,
    crescent,
    star,
    flower,
    strip,
    stem,
    line,  ///< a stem along a line that was drawn
    letter ///< one letter, or several that are one piece
};
constexpr auto keysOf(RecipeKind) {
    return std::to_array<std::string_view>({"circle", "oval", "ring", "leaf", "petal", "teardrop", "heart",
                                            "crescent", "star", "flower", "strip", "stem", "line", "letter"});
}

struct Recipe {
    RecipeKind kind = RecipeKind::circle;
    /// mm or numbers, as many as pattern::measuresOf(kind) and in that order.
    std::vector<double> measures;
    std::string text, family; ///< of a letter
    bool bold = false, italic = false;
    shape::Contour line{}; ///< of `line`: open, mm
    /// From the shape about its own middle, upright, to the piece's outline: moves, turns or mirrors; the
    /// size is in the measures and the line.
    shape::Transform at;
    bool operator==(const Recipe&) const = default;
};

} // namespace up::quilt
