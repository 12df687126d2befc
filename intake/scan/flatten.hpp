// SPDX-License-Identifier: GPL-3.0-or-later
// A photographed page as if seen from straight above.
#pragma once

#include "intake/scan/picture.hpp"

#include <optional>

namespace up::intake {

/// The page alone, when the picture shows a bright page with four clear corners on something darker; its
/// `dpi` follows from the paper, Letter or A4, whichever its sides are nearer to. Nothing when the page fills
/// the picture. Method: the page's sides are found where brightness changes along lines across them, and the
/// page is drawn anew through the projective map of its corners (Heckbert, "Fundamentals of Texture Mapping
/// and Image Warping", 1989).
[[nodiscard]] std::optional<Picture> flattenedPage(const Picture& photo);

} // namespace up::intake
