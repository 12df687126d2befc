// SPDX-License-Identifier: GPL-3.0-or-later
// SVG drawings of filled shapes into pieces.
#pragma once

#include "core/quilt/drawing.hpp"

namespace up::intake {

/// Reads paths and basic shapes with their transforms and the page's physical size, in painting order.
/// Rule:   a filled shape is its path (its pen line is ignored); a closed outline without fill is a piece of
/// its
///         pen's colour; an open line without fill is an inner mark of the topmost piece it lies on, or left
///         out.
/// Shape:  one drawn shape per island; hidden things and definitions stay out.
/// Errors: Code::cannotOpen, notSvg {file, reason}, emptyDrawing {file}. All else is a warning.
/// Source: W3C, "Scalable Vector Graphics (SVG) 2", for the grammar of paths, transforms and lengths.
[[nodiscard]] Result<quilt::Drawing> readSvg(const std::string& text, const std::string& file);

} // namespace up::intake
