// SPDX-License-Identifier: GPL-3.0-or-later
// What the mat shows, as data: panels of drawings in millimetres, each saying which side it is.
#pragma once

#include "core/sheet/sheet.hpp"

#include <array>
#include <string>
#include <vector>

namespace up::app {

enum class Side : std::uint8_t {
    front, ///< as seen: solid frame, flags point right
    paper, ///< reversed: dashed frame, flags point left
    back,  ///< of the block, when the paper is off: reversed as well
    plain  ///< no side: swatches, lists
};

struct Panel {
    std::string caption; ///< above the drawing
    std::string below;   ///< under it
    Side side = Side::front;
    shape::Box box; ///< what is shown, mm
    std::vector<sheet::Layer> layers;
    sheet::Tag tag;                ///< what the panel stands for when it is clicked
    bool done = false;             ///< ticked
    bool chosen = false;           ///< framed in brass
    std::array<double, 8> stair{}; ///< how full each tread is, 0..1; −1: it is not needed
    bool hasStair = false;
};

/// How the side is told: one badge for all panels that show the same; one above each; an arrow in each
/// caption; or both sides in every panel, the front on the left.
enum class Badges : std::uint8_t { one, each, arrows, pair };

struct Scene {
    std::vector<Panel> panels;
    bool sameScale = true; ///< panels are true to each other
    Badges badges = Badges::one;
    int columns = 0;        ///< 0: as many as make the drawings largest
    bool flowing = false;   ///< panels true to each other stand in rows as wide as they are
    double leastHeight = 0; ///< of a row, pixels; the mat scrolls when rows need more than it has
    double leastScale = 0;  ///< of flowing panels, pixels to the mm; the mat scrolls then too
    bool draggable = false; ///< pieces may be moved
    bool framing = false;   ///< a frame may be drawn round several of them
    std::string empty{};    ///< what to do first, when there is no panel
};

/// Left and right are the other way round there.
[[nodiscard]] constexpr bool isReversed(Side side) {
    return side == Side::paper || side == Side::back;
}

/// The panel from its other side: mirrored left for right, the side named anew.
[[nodiscard]] Panel turnedOver(Panel panel);

} // namespace up::app
