// SPDX-License-Identifier: GPL-3.0-or-later
// From the units of an `<svg>` or `<symbol>` to those around it.
#pragma once

#include "core/shape/transform.hpp"

#include <pugixml.hpp>

namespace up::intake {

struct Viewport {
    double width = 0, height = 0; ///< in its own user units: what percentages within it refer to
    shape::Transform place{};     ///< own user units → those around it
    /// For lengths that are neither across nor down. Source: SVG 2, 8.9.
    [[nodiscard]] double diagonal() const;
};

/// A box of `width`×`height` at the origin, with the node's viewBox and preserveAspectRatio in it.
/// Source: SVG 2, 8.2 and 8.6.
[[nodiscard]] Viewport viewportOf(const pugi::xml_node& node, double width, double height);

struct PageSize {
    double width = 0, height = 0; ///< units of 1/96 in; 0: the file says nothing
    bool physical = false;        ///< given in inches, millimetres or points
};
[[nodiscard]] PageSize pageSizeOf(const pugi::xml_node& root);

} // namespace up::intake
