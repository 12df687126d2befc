// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/recipe_words.hpp"

#include "words/translated.hpp"

#include <algorithm>
#include <array>

namespace up::words {

using quilt::RecipeKind;

std::string nameOf(RecipeKind kind) {
    constexpr std::array names{N_("Circle"),   N_("Oval"),  N_("Ring"),           N_("Leaf"),   N_("Petal"),
                               N_("Teardrop"), N_("Heart"), N_("Crescent"),       N_("Star"),   N_("Flower"),
                               N_("Strip"),    N_("Stem"),  N_("Stem on a line"), N_("Letters")};
    static_assert(names.size() == valuesOf<quilt::RecipeKind>);
    return tr(names[static_cast<std::size_t>(kind)]);
}

std::string measureName(RecipeKind kind, std::string_view key) {
    struct Name {
        std::string_view key;
        const char* name;
    };
    constexpr std::array names{Name{"across", N_("Across")},
                               Name{"width", N_("Width")},
                               Name{"height", N_("Height")},
                               Name{"band", N_("Width of the band")},
                               Name{"length", N_("Length")},
                               Name{"fullest", N_("Widest at, from the tip")},
                               Name{"thick", N_("Thickest")},
                               Name{"points", N_("Points")},
                               Name{"inner", N_("Across the notches")},
                               Name{"scallops", N_("Scallops")},
                               Name{"depth", N_("Depth of a scallop")},
                               Name{"corner", N_("Rounding of the corners")},
                               Name{"tip", N_("Width at the tip")},
                               Name{"below", N_("Bend below")},
                               Name{"above", N_("Bend above")},
                               Name{"part", N_("Part of the letter")}};
    if (kind == RecipeKind::letter && key == "height") return tr("Height of a capital");
    if (kind == RecipeKind::stem && key == "width") return tr("Width at the foot");
    const auto found = std::find_if(names.begin(), names.end(), [&](const Name& n) { return n.key == key; });
    return found == names.end() ? std::string(key) : tr(found->name);
}

} // namespace up::words
