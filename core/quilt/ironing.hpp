// SPDX-License-Identifier: GPL-3.0-or-later
// The iron in use, and where irons have stood.
#pragma once

#include "core/base/id.hpp"
#include "core/base/names.hpp"
#include "core/shape/ring.hpp"

#include <cstdint>
#include <string>
#include <vector>

namespace up::quilt {

/// An iron at hand: its soleplate seen from above, in mm about the middle of its handle.
struct Iron {
    IronId id;
    std::string name;
    shape::Rings outline; ///< one ring
    std::string extra;
    std::string key{}; ///< by which the stash of all quilts knows it; none: this quilt alone has it
    bool operator==(const Iron&) const = default;
};

/// How the pieces of a block are pressed.
enum class Fusing : std::uint8_t {
    atOnce,  ///< when all lie in their places
    byLayers ///< what lies on the background first, then what lies on that
};
constexpr auto keysOf(Fusing) {
    return std::to_array<std::string_view>({"atOnce", "byLayers"});
}

/// An iron stood there, for the final pressing or again.
struct Pressed {
    std::int64_t time = 0; ///< at its end: seconds since 1970-01-01 UTC
    shape::Rings under;    ///< its soleplate, mm on the block as seen from the front
    double seconds = 0;
    bool fromBack = false;
    int unit = 0;                ///< on the pressing sheet, with that unit alone
    bool again = false;          ///< for an edge that had lifted
    std::vector<PieceId> pieces; ///< whatever lay under it: it has had that heat
    bool operator==(const Pressed&) const = default;
    /// The final pressing itself, on the block.
    [[nodiscard]] bool fuses() const { return unit == 0 && !fromBack && !again; }
};

} // namespace up::quilt
