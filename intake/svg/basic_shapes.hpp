// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/shape/path.hpp"
#include "intake/svg/viewport.hpp"

#include <optional>
#include <pugixml.hpp>

namespace up::intake {

/// The contours of a path, rect, circle, ellipse, line, polygon or polyline, in its own units, before its
/// transform; nothing for other elements; empty for a shape without extent. Source: SVG 2, 9 and 10.
[[nodiscard]] std::optional<std::vector<shape::Contour>> contoursOf(const pugi::xml_node& node,
                                                                    const Viewport& viewport, double em);

} // namespace up::intake
