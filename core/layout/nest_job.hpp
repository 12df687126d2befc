// SPDX-License-Identifier: GPL-3.0-or-later
// What is to be laid out on what, and a layout of it. Knows shapes only.
#pragma once

#include "core/shape/region.hpp"

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

namespace up::layout {

struct Sheet {
    std::string id;
    double width = 0, height = 0; ///< mm; the sheet is [0,width]×[0,height]
    int count = 1;                ///< 1: a roll, least height wins; more: fewest sheets first
    shape::Region outline;        ///< an irregular sheet, perhaps with holes; empty = the rectangle
};

/// A point of the part's shape, turned by `rotation` degrees about the origin and moved by (x, y), is on the
/// sheet.
struct Spot {
    std::size_t sheet = 0;
    int sheetIndex = 0;
    double rotation = 0, x = 0, y = 0;
};

struct Part {
    std::string id;
    shape::Region shape; ///< may have holes and several islands (they move together)
    int copies = 1;
    std::vector<double> rotations; ///< allowed turns in degrees; empty = any
    /// It lies there already and stays, whatever it touches; all else keeps its distance from it. One copy.
    std::optional<Spot> fixed{};
    std::string group{}; ///< for `nestInGroups`
};

struct NestJob {
    std::vector<Sheet> sheets; ///< used in this order
    double spacing = 0;        ///< mm between any two parts; a part may touch the sheet's border
    std::vector<Part> parts;
    double groupSpacing = 0; ///< mm between parts of different groups, for `nestInGroups`
};

struct Placed : Spot {
    std::size_t part = 0;
    int copy = 0;
};

enum class WhyNot : std::uint8_t { largerThanEverySheet, noRoomLeft };

struct LeftOut {
    std::size_t part = 0;
    int copy = 0;
    WhyNot why = WhyNot::noRoomLeft;
};

struct NestLayout {
    std::vector<Placed> placed; ///< the fixed ones as well
    std::vector<LeftOut> unplaced;
    int sheetsUsed = 0;
    int lastSheet = 0;     ///< which of all sheets, counted from 1, is the last one used
    double usedHeight = 0; ///< mm, on that sheet
};

struct NestOptions {
    double seconds = 1.0; ///< time to keep improving
    /// If > 0: exactly this many steps instead, the first for the first layout, each other for all pieces
    /// that overlap while it is squeezed; same seed, same answer on any machine.
    int rounds = 0;
    std::uint64_t seed = 1;
};

[[nodiscard]] bool hasFixed(const NestJob& job);

/// Area of the parts placed over the area of the sheets used (the used strip of the last one), 0..1.
[[nodiscard]] double density(const NestJob& job, const NestLayout& layout);

} // namespace up::layout
