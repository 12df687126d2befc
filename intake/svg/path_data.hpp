// SPDX-License-Identifier: GPL-3.0-or-later
// The language of outlines: path data.
#pragma once

#include "core/shape/path.hpp"

#include <string_view>
#include <vector>

namespace up::intake {

/// Contours of a `d` attribute; reading stops at the first mistake and keeps what came before, as the
/// standard says. Arcs become cubics (SVG 2, appendix B.2.4; error under 0.03 % of the radius).
[[nodiscard]] std::vector<shape::Contour> contoursIn(std::string_view pathData);

} // namespace up::intake
