// SPDX-License-Identifier: GPL-3.0-or-later
// What a reader of foreign drawings hands over: shapes bottom first, at their size on the page.
#pragma once

#include "core/base/colour.hpp"
#include "core/base/error.hpp"
#include "core/quilt/reading.hpp"
#include "core/quilt/recipe.hpp"
#include "core/shape/path.hpp"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace up::quilt {

using up::Colour;

/// What a piece was in the drawing.
enum class Origin : std::uint8_t {
    fill,    ///< a filled shape
    outline, ///< a closed line
    band     ///< a line as wide as its pen
};

struct DrawnShape {
    std::string name;
    Colour fill;
    shape::Outline outline;            ///< mm on the page
    std::vector<shape::Contour> marks; ///< open lines lying on it
    Origin origin = Origin::fill;
    std::vector<shape::Contour> dotted{}; ///< stretches of its edge that were drawn dotted
    std::optional<Recipe> recipe{};       ///< of a band: the line it lies along and its width
    double pen = 0;                       ///< mm: how wide an outline was drawn
};

/// A closed line that was drawn over filled shapes: no piece, unless the user wants it as one.
struct LineOver {
    DrawnShape shape;                    ///< the piece it would be
    std::size_t above = 0;               ///< how many of the drawing's shapes lie beneath it
    std::vector<shape::Contour> marks{}; ///< what of it follows no edge: these are among the marks of shapes
};

enum class Remark : std::uint8_t {
    openLinesLeftOut,  ///< {count}
    openShapeClosed,   ///< {shape}
    crossingRepaired,  ///< {shape, x mm, y mm}
    beyondPage,        ///< {shape}
    sizeAssumed,       ///< {}: no physical size; 96 units to the inch taken
    unitAssumed,       ///< {length}: the file names no unit; one unit was taken as that
    squareFound,       ///< {mm}: the printed inch, as it measures by the resolution; it sets the size
    dpiAssumed,        ///< {dots to the inch}
    straightened,      ///< {degrees}
    flattened,         ///< {}: a photographed page, drawn as if from straight above; its paper gives the size
    hiddenLeftOut,     ///< {count}: on layers that are switched off
    textLeftOut,       ///< {count}
    imageLeftOut,      ///< {count}
    penLines,          ///< {count}: closed lines along the edges of filled shapes
    linesAreMarks,     ///< {count}: closed lines on filled shapes that follow no edge
    tooSmallLeftOut,   ///< {count}: shapes and holes
    smallMarksLeftOut, ///< {count}: sets of ink on a scan, shorter than 8 mm
    absurdLeftOut,     ///< {count}: more than 20 m from the page
    tangledLeftOut,    ///< {count}: lines that cross themselves thousands of times
    missingLeftOut,    ///< {count}: copies of something that is not in the file
    endlessLeftOut,    ///< {count}: copies within copies, groups within groups, without end
    unknownLeftOut,    ///< {element, count}
    cutShort,          ///< {}: the file ends before the picture does; what is there was read
    wrongLetters,      ///< {}: bytes that are no letters in the encoding the file says it has
};

struct Warning {
    Remark remark;
    std::vector<std::string> args;
    bool operator==(const Warning&) const = default;
};

/// A line that lies on no shape.
struct Loose {
    shape::Contour line;
    bool dotted = false;
};

struct Drawing {
    std::vector<DrawnShape> shapes;
    double width = 0, height = 0; ///< of the page, mm
    std::vector<Warning> warnings;
    std::vector<Loose> loose{}; ///< left out; an end may lie on another page
    Reading letters = Reading::unknown;
    std::vector<LineOver> linesOver{};
};

/// A name that a program gave, not a person: an element's kind or a program's prefix, then only digits:
/// "path1234", "g12-3", "rect", "SVGID_4_". Empty names too.
[[nodiscard]] bool isMadeUpName(std::string_view name);

/// The drawing with each closed line over filled shapes as the piece it would be, and not as marks.
[[nodiscard]] Drawing withLinesAsPieces(const Drawing& drawing);

} // namespace up::quilt
