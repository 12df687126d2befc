// SPDX-License-Identifier: GPL-3.0-or-later
// Looking for something at hand: "green, at least 9 × 2".
#pragma once

#include "core/base/colour.hpp"
#include "core/base/names.hpp"
#include "core/measure/say.hpp"
#include "core/shape/region.hpp"

#include <optional>
#include <string>
#include <vector>

namespace up::plan {

/// A colour as people call it.
enum class ColourWord : std::uint8_t {
    white,
    grey,
    black,
    red,
    orange,
    yellow,
    green,
    turquoise,
    blue,
    purple,
    pink,
    brown
};
constexpr auto keysOf(ColourWord) {
    return std::to_array<std::string_view>({"white", "grey", "black", "red", "orange", "yellow", "green",
                                            "turquoise", "blue", "purple", "pink", "brown"});
}

/// Near the borders between two words a colour goes by both. By CIELAB hue, chroma and lightness; where the borders
/// lie is invented, no source, so that sRGB's primaries and the basic colours of CSS are called what they are.
[[nodiscard]] bool isCalled(Colour colour, ColourWord word);

/// What is looked for; all of it must be so.
struct StashSearch {
    std::vector<std::string> words; ///< stand in what is said of the thing, upper and lower case alike
    /// A colour that is called that, or whose word stands in what is said of the thing.
    std::vector<std::pair<std::string, ColourWord>> colours;
    std::optional<bool> light;            ///< L* from 60, or below 50
    std::optional<measure::Size> atLeast; ///< a rectangle that fits in it, turned any way
    [[nodiscard]] bool isEmpty() const { return words.empty() && colours.empty() && !light && !atLeast; }
};

/// Something at hand, as far as it can be looked for.
struct AtHand {
    std::string said;             ///< name, fabric, block, "scrap", "washed" …
    std::optional<Colour> colour; ///< none: it has no colour that matters
    shape::Region area;           ///< mm; empty: it is not measured by area
};

[[nodiscard]] bool suits(const StashSearch& search, const AtHand& thing);

/// Whether a rectangle fits into a region, turned any way; within half a millimetre.
[[nodiscard]] bool holds(const shape::Region& area, const measure::Size& rectangle);

} // namespace up::plan
