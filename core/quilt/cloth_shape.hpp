// SPDX-License-Identifier: GPL-3.0-or-later
// Outlines of cloth, however they come.
#pragma once

#include "core/base/error.hpp"
#include "core/measure/say.hpp"
#include "core/quilt/drawing.hpp"
#include "core/shape/region.hpp"

namespace up::quilt {

/// Sides that a piece of cloth may have; the longest is a bolt unrolled.
inline constexpr measure::Length leastCloth = measure::Length::ofInches(1, 2);
inline constexpr measure::Length mostCloth = measure::Length::ofInches(3600, 1);

/// An outer ring and its holes, in any direction, mm. Errors: Code::clothCrosses {name} when they cross
/// themselves or each other; Code::clothNoArea {name} when there is nothing in them, or several pieces.
[[nodiscard]] Result<shape::Region> clothShape(const shape::Rings& rings, const std::string& name);

/// A rectangle, with its corner at the origin. Errors: Code::absurdSize outside leastCloth…mostCloth.
[[nodiscard]] Result<shape::Region> clothShape(measure::Length width, measure::Length height,
                                               measure::System units);

/// The largest shape of a drawing with its larger holes, its corner at the origin: cloth on a scan or photograph, or
/// drawn round on paper. Holes through which no finger goes, and what is printed on it, are left out. Errors:
/// Code::emptyDrawing {file}.
[[nodiscard]] Result<shape::Region> largestShape(const Drawing& drawing, const std::string& file);

} // namespace up::quilt
