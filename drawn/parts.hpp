// SPDX-License-Identifier: GPL-3.0-or-later
// What all drawings of pieces share, for the screen and for paper alike.
#pragma once

#include "core/quilt/quilt.hpp"
#include "core/sheet/palette.hpp"
#include "core/sheet/sheet.hpp"

namespace up::drawn {

/// For whom it is drawn.
enum class For : std::uint8_t {
    screen, ///< in colours, with number flags and what is chosen
    small,  ///< in colours, without words, flags and marks
    paper   ///< lines and words in greys, to be printed and traced
};

/// How lines look there.
struct Style {
    sheet::Pen line;  ///< to be traced and cut
    sheet::Pen rough; ///< where the scissors go first
    sheet::Pen marks, dotted;
    sheet::Pen halo;  ///< beneath dotted lines
    sheet::Pen grain; ///< the arrow the way stripes run
    double reach;     ///< of that arrow, mm to each side
    double barb;
};
[[nodiscard]] const Style& styleFor(For whom);

/// Of cloth that is not chosen yet: the colour of unbleached cotton.
[[nodiscard]] Colour clothOf(const quilt::Quilt& quilt, FabricId fabric);
[[nodiscard]] std::string fabricName(const quilt::Quilt& quilt, FabricId fabric);

/// Inner marks; none: nothing is added.
void addMarks(std::vector<sheet::Item>& items, const quilt::Piece& piece, const shape::Transform& by,
              const sheet::Pen& pen);
/// Dotted edges over the solid outline.
void addDotted(std::vector<sheet::Item>& items, const quilt::Piece& piece, const shape::Transform& by,
               const Style& style);
/// The number in words where it fits best; the fabric's name under it when there is room.
void addLabel(std::vector<sheet::Item>& items, const shape::Region& region, const std::string& number,
              const std::string& fabric);

} // namespace up::drawn
