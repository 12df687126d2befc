// SPDX-License-Identifier: GPL-3.0-or-later
// Every dialog of the program, over one small quilt, for the tests that walk them all.
#pragma once

#include "app/dialogs/form.hpp"
#include "core/quilt/quilt.hpp"

#include <array>
#include <memory>
#include <string>

namespace up::test {

/// Three pieces on a pieced background, and one of them.
struct Ground {
    quilt::Quilt quilt;
    BlockId block;
    PieceId piece;
};
[[nodiscard]] Ground smallGround();
/// Everything that the user has named is a number, so that what is left of letters is ours.
[[nodiscard]] quilt::Quilt nameless(quilt::Quilt quilt);

enum class Names : std::uint8_t { words, numbers };
inline constexpr std::array everyDialog{"arrange", "block",    "cloth",   "edges",   "fabrics",  "ground",
                                        "iron",    "thread",   "stitch",  "stretch", "supply",   "threads",
                                        "import",  "light",    "machine", "pages",   "print",    "shape",
                                        "size",    "fitting",  "laid",    "line",    "setting",  "stripes",
                                        "turn",    "underlap", "web",     "which",   "fastening"};
[[nodiscard]] std::unique_ptr<app::Form> dialogNamed(const std::string& which, Names names = Names::words);

} // namespace up::test
