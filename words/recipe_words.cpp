// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/recipe_words.hpp"

#include <algorithm>
#include <array>

namespace up::words {

using quilt::RecipeKind;

std::string nameOf(RecipeKind kind) {
    constexpr std::array names{"Circle",   "Oval", "Ring",   "Leaf",  "Petal", "Teardrop",       "Heart",
                               "Crescent", "Star", "Flower", "Strip", "Stem",  "Stem on a line", "Letters"};
    static_assert(names.size() == valuesOf<quilt::RecipeKind>);
    return names[static_cast<std::size_t>(kind)];
}

std::string measureName(RecipeKind kind, std::string_view key) {
    struct Name {
        std::string_view key, name;
    };
    constexpr std::array names{Name{"across", "Across"},
                               Name{"width", "Width"},
                               Name{"height", "Height"},
                               Name{"band", "Width of the band"},
                               Name{"length", "Length"},
                               Name{"fullest", "Widest at, from the tip"},
                               Name{"thick", "Thickest"},
                               Name{"points", "Points"},
                               Name{"inner", "Across the notches"},
                               Name{"scallops", "Scallops"},
                               Name{"depth", "Depth of a scallop"},
                               Name{"corner", "Rounding of the corners"},
                               Name{"tip", "Width at the tip"},
                               Name{"below", "Bend below"},
                               Name{"above", "Bend above"},
                               Name{"part", "Part of the letter"}};
    if (kind == RecipeKind::letter && key == "height") return "Height of a capital";
    if (kind == RecipeKind::stem && key == "width") return "Width at the foot";
    const auto found = std::find_if(names.begin(), names.end(), [&](const Name& n) { return n.key == key; });
    return std::string(found == names.end() ? key : found->name);
}

} // namespace up::words
