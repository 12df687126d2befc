// SPDX-License-Identifier: GPL-3.0-or-later
// How an element is painted, after everything it inherits.
#pragma once

#include "core/shape/region.hpp"
#include "intake/svg/document.hpp"
#include "intake/svg/values.hpp"

namespace up::intake {

struct Font {
    std::string family = "serif";
    double size = 16; ///< user units
    bool bold = false, italic = false;
};

struct Style {
    std::optional<Colour> fill = Colour{0, 0, 0}, stroke; ///< nothing: not painted
    double fillOpacity = 1, strokeOpacity = 1;
    Colour current{0, 0, 0};
    shape::Fill rule = shape::Fill::nonZero, clipRule = shape::Fill::nonZero;
    double penWidth = 1; ///< user units
    shape::Cap cap = shape::Cap::butt;
    shape::Join join = shape::Join::mitre;
    bool dashed = false;
    bool visible = true;
    Font font;
    double anchor = 0; ///< of text: 0 start, 0.5 middle, 1 end
    // Not inherited:
    bool shown = true; ///< neither `display: none` nor wholly transparent
    std::string clip{}, mask{};

    [[nodiscard]] bool fills() const { return fill && fillOpacity > 0; }
    [[nodiscard]] bool strokes() const { return stroke && strokeOpacity > 0 && penWidth > 0; }
};

/// The style of `node` within `outer`. `whole` is what percentages of lengths refer to.
[[nodiscard]] Style styleOf(const Document& document, const pugi::xml_node& node, const Style& outer,
                            double whole);

} // namespace up::intake
