// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "intake/letters/letters.hpp"
#include "intake/svg/style.hpp"
#include "intake/svg/viewport.hpp"

namespace up::intake {

struct Written {
    Letter letter;
    Style style;
};

/// The letters of a `<text>` with its spans, where they stand in its own units. A list of positions counts by
/// its first; text along a path is not followed. Source: SVG 2, 11, in part.
[[nodiscard]] std::vector<Written> writtenIn(const Document& document, const pugi::xml_node& text,
                                             const Style& style, const Viewport& viewport);

} // namespace up::intake
