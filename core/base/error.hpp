// SPDX-License-Identifier: GPL-3.0-or-later
// What went wrong, as data: a code and its arguments. `words/sentences` turns it into one sentence.
#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <tl/expected.hpp>
#include <utility>
#include <vector>

namespace up {

enum class Code : std::uint8_t {
    // files
    cannotOpen,   ///< {file, system's reason}
    cannotWrite,  ///< {file, system's reason}
    diskFull,     ///< {file}
    notJson,      ///< {file, what the parser said}
    wrongFormat,  ///< {file, expected format, found format}
    newerVersion, ///< {file, found version, newest known}
    damaged,      ///< {file, place in the file, what was expected}
    // measures and names
    badLength,    ///< {text}
    badName,      ///< {name}: empty, too long, or with characters that cannot be shown
    absurdSize,   ///< {what, value, least, most}
    noSuchBlock,  ///< {name, names that exist}
    noSuchPiece,  ///< {id}
    noSuchFabric, ///< {name}
    noSuchOffCut, ///< {its number}
    webIsARoll,   ///< cannot be printed on: {web}
    nothingToDo,  ///< {what}
    misprinted,   ///< a printer too far off for its square to correct it: {}
    // drawings
    notSvg,          ///< {file, what the parser said}
    notDxf,          ///< {file, what is wrong}
    notPdf,          ///< {file, what is wrong}
    lockedPdf,       ///< {file}
    noSuchPage,      ///< {file, page, pages}
    onlyPicture,     ///< {file, page}: nothing on it but a picture
    toolMissing,     ///< {package, what it is for}
    notPicture,      ///< {file, what is wrong}
    tooManyDots,     ///< {file, width × height}
    unknownDrawing,  ///< {file}
    emptyDrawing,    ///< {file}
    nothingChosen,   ///< none of what a drawing holds is to become a piece: {}
    unreadableShape, ///< {shape, why}
    // shapes
    crossing,       ///< {shape}
    degenerate,     ///< {shape}
    tooLarge,       ///< {what, limit}
    measureOut,     ///< {which, least, most}: of a built-in shape
    noSuchShape,    ///< {what}
    noLetters,      ///< a text with nothing in it to cut out: {}
    noStraightEdge, ///< {piece}
    lineMisses,     ///< {piece}
    // work
    notYet,        ///< {piece, step wanted, step that comes first}
    alreadyTraced, ///< {block}
    alreadyFused,  ///< {piece}
    alreadyJoined, ///< {piece}
    locked,        ///< {piece}
    comesBetween,  ///< pieces cannot be a unit: {piece that lies between them}
    othersMind,    ///< a piece that cannot go over another: {upper, lower, who lies between}
    cannotUntie,   ///< interwoven pieces that meet in one place: {pieces}
    nothingToLine, ///< too small for a lining: {piece}
    stopped,       ///< {}
    halfAnOrder,   ///< an order that does not name every piece of the block once: {}
    overItself,    ///< a piece that is to lie over itself: {piece}
    clothCrosses,  ///< {cloth}: its outline crosses itself
    clothNoArea,   ///< {cloth}: nothing in it, or more than one piece
    noOtherCloth,  ///< no other cloth has room for the chunk: {}
    noSuchCloth,   ///< {its name or number}
    noSuchLine,    ///< {its number}
    lineIsSewn,    ///< a line that floss holds already: {line}
    noSuchLetter,  ///< {letter}: the program's own hand does not know it
    noSuchSupply,  ///< {its name or number}: thread, stabiliser, batting, something to buy
    badOpacity,    ///< outside 0…1: {}
    badSoleplate,  ///< crosses itself, or nothing of it would be left to press with: {}
    badUse,        ///< {what}: the command line's
};

struct Place {
    int line = 0;                                  ///< 1-based; 0 = unknown
    std::optional<std::pair<double, double>> spot; ///< millimetres on the drawing
    bool operator==(const Place&) const = default;
};

struct Error {
    Code code;
    std::vector<std::string> args{};
    Place where{};
    bool operator==(const Error&) const = default;
};

template<class T> using Result = tl::expected<T, Error>;

[[nodiscard]] inline tl::unexpected<Error> failure(Code code, std::vector<std::string> args = {},
                                                   Place where = {}) {
    return tl::unexpected<Error>(Error{code, std::move(args), where});
}

} // namespace up
