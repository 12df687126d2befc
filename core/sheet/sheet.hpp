// SPDX-License-Identifier: GPL-3.0-or-later
// Drawing lists at true size, without a toolkit: screen, paper and cutter draw the same.
#pragma once

#include "core/base/colour.hpp"
#include "core/shape/path.hpp"
#include "core/shape/region.hpp"
#include "core/sheet/tag.hpp"

#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace up::sheet {

enum class Dash : std::uint8_t { solid, dashed, dotted };

/// mm drawn and mm left out, in turn; nothing left out: a line without gaps. What every painter goes by, so
/// that a dotted line is one on the screen, on paper and from a desktop's printer.
struct DashLengths {
    double on = 0, off = 0;
};
[[nodiscard]] constexpr DashLengths lengthsOf(Dash dash) {
    switch (dash) {
    case Dash::solid: break;
    case Dash::dashed: return {2.4, 1.6};
    case Dash::dotted: return {0.6, 1.6};
    }
    return {};
}

struct Pen {
    Colour colour;
    double width = 0.3; ///< mm
    Dash dash = Dash::solid;
};

/// Filled by the even-odd rule.
struct Shape {
    std::vector<shape::Contour> contours;
    std::optional<Colour> fill;
    std::optional<Pen> pen;
    Tag tag{};            ///< what it stands for
    double opacity = 1.0; ///< of the fill
};

enum class Align : std::uint8_t { left, centre, right };

struct Words {
    std::string text;
    shape::Point at;   ///< on the baseline
    double height = 4; ///< mm, of a capital letter and a little more (the font's size)
    Colour colour;
    Align align = Align::left;
    bool bold = false;
};

/// A number on a little flag; it points left on what is reversed, right on what is seen from the front.
struct Flag {
    std::string label;
    shape::Point at; ///< the flag's tip
    bool pointsLeft = false;
    Colour colour;     ///< of the cloth; the number is dark or light as that asks
    double height = 6; ///< mm
    Tag tag{};
};

using Item = std::variant<Shape, Words, Flag>;

struct Layer {
    std::string name;
    std::vector<Item> items;
    shape::Transform place;         ///< from the layer's millimetres to the page's
    std::optional<shape::Box> clip; ///< on the page, mm
};

struct Page {
    double width = 0, height = 0; ///< mm
    std::vector<Layer> layers;
};

[[nodiscard]] std::vector<shape::Contour> contoursOf(const shape::Outline& outline);
[[nodiscard]] std::vector<shape::Contour> contoursOf(const shape::Region& region);
[[nodiscard]] std::vector<shape::Contour> contoursOf(const std::vector<shape::Polyline>& lines);
[[nodiscard]] Shape box(const shape::Box& box, std::optional<Colour> fill, std::optional<Pen> pen);
[[nodiscard]] Shape line(shape::Point from, shape::Point to, const Pen& pen);

} // namespace up::sheet
