// SPDX-License-Identifier: GPL-3.0-or-later
// What a reader of foreign drawings hands over: shapes bottom first, at their size on the page.
#pragma once

#include "core/base/colour.hpp"
#include "core/base/error.hpp"
#include "core/shape/path.hpp"

#include <string>
#include <vector>

namespace up::quilt {

using up::Colour;

struct DrawnShape {
    std::string name;
    Colour fill;
    shape::Outline outline;            ///< mm on the page
    std::vector<shape::Contour> marks; ///< open lines lying on it
};

enum class Remark : std::uint8_t {
    openLinesLeftOut, ///< {count}
    openShapeClosed,  ///< {shape}
    crossingRepaired, ///< {shape, x mm, y mm}
    beyondPage,       ///< {shape}
    sizeAssumed,      ///< {}: no physical size; 96 units to the inch taken
    textLeftOut,      ///< {count}
    imageLeftOut,     ///< {count}
    tooSmallLeftOut,  ///< {count}
    unknownLeftOut,   ///< {element, count}
};

struct Warning {
    Remark remark;
    std::vector<std::string> args;
    bool operator==(const Warning&) const = default;
};

struct Drawing {
    std::vector<DrawnShape> shapes;
    double width = 0, height = 0; ///< of the page, mm
    std::vector<Warning> warnings;
};

} // namespace up::quilt
