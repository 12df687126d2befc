// SPDX-License-Identifier: GPL-3.0-or-later
// The single-line hand: round letters as one would draw them with a pen, drawn for this program. For the .cpp files of this
// room only.
//
// A letter is written down in strokes: M x y begins one; L x y goes straight; O cx cy rx ry from to goes along an ellipse
// between two angles in degrees (0 to the right, 90 down). y down, the baseline at 0, a capital 10 high, an x 6.
#pragma once

#include "core/shape/point.hpp"

#include <optional>
#include <string_view>
#include <vector>

namespace up::pattern {

inline constexpr double handHeight = 10; ///< of a capital
inline constexpr double handGap = 2;     ///< from letter to letter

/// Strokes, and by how much they are moved.
struct HandPart {
    std::string_view strokes;
    shape::Point by{};
};
struct HandLetter {
    double width = 0;
    std::vector<HandPart> parts; ///< the letter itself, then what is over or under it
};

/// One character of UTF-8; nothing for one that the hand does not know.
[[nodiscard]] std::optional<HandLetter> handLetter(std::string_view character);

/// All that it knows, each as UTF-8.
[[nodiscard]] std::vector<std::string_view> handKnows();

} // namespace up::pattern
