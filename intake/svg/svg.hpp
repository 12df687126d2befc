// SPDX-License-Identifier: GPL-3.0-or-later
// SVG drawings into pieces.
#pragma once

#include "intake/found/collector.hpp"

namespace up::intake {

/// Reads shapes, text, `<use>` and nested pages with their transforms, style sheets, clip paths and masks, in
/// painting order, at the page's physical size. What becomes a piece: see `Collector`.
/// Shape:  one drawn shape per island; hidden things and definitions stay out. A gradient gives one colour.
/// Errors: Code::cannotOpen, notSvg {file, reason}, emptyDrawing {file}, crossing {file} when all in it is
/// tangled,
///         tooLarge {file, limit}. All else is
/// a
///         warning.
/// Source: W3C, "Scalable Vector Graphics (SVG) 2"; CSS 2.1 for style sheets.
[[nodiscard]] Result<quilt::Drawing> readSvg(const std::string& text, const std::string& file,
                                             Options options = {});

} // namespace up::intake
