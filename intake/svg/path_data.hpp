// SPDX-License-Identifier: GPL-3.0-or-later
// The small languages inside SVG attributes: path data, transforms, lengths, colours.
#pragma once

#include "core/base/colour.hpp"
#include "core/shape/path.hpp"

#include <optional>
#include <string_view>
#include <vector>

namespace up::intake {

/// Contours of a `d` attribute; reading stops at the first mistake and keeps what came before, as the
/// standard says. Arcs become cubics (SVG 2, appendix B.2.4; error under 0.03 % of the radius).
[[nodiscard]] std::vector<shape::Contour> contoursIn(std::string_view pathData);

/// Nothing when malformed.
[[nodiscard]] std::optional<shape::Transform> transformIn(std::string_view text);

/// User units at 96 to the inch: "9in", "12pt", "30", "5cm"; percentages and em: nothing.
[[nodiscard]] std::optional<double> lengthIn(std::string_view text);

/// "#rgb", "#rrggbb", "rgb(…)", or one of the 16 basic colour words and a few more; "none": nothing.
[[nodiscard]] std::optional<Colour> colourIn(std::string_view text);

/// All numbers in a list, separated by blanks or commas.
[[nodiscard]] std::vector<double> numbersIn(std::string_view text);

/// An ellipse as four cubics, clockwise on the page from its rightmost point.
[[nodiscard]] shape::Contour ellipse(shape::Point centre, double rx, double ry);

} // namespace up::intake
