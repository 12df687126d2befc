// SPDX-License-Identifier: GPL-3.0-or-later
// What is at hand for all quilts. Things go by keys and names, since ids are each quilt's own.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::quilt {

/// A cloth, with what must be known of its fabric.
struct StashCloth {
    std::string key;  ///< stays when it is renamed; none in a file: its name
    std::string name; ///< "slate scrap 2"
    std::string fabric;
    Colour colour = unknownColour;
    Print print = Print::plain;
    bool alike = false;
    shape::Rings outline; ///< and the rest as in Cloth
    std::optional<Angle> stripes;
    bool scrap = false, washed = false;
    std::string from;
    std::string heldFor; ///< "Towpath: Heron"; none: for nobody
    Extra extra;
    bool operator==(const StashCloth&) const = default;
    /// Of a fabric whose colour nobody has said.
    static constexpr Colour unknownColour{0xb8, 0xb8, 0xb0};
};

struct Stash {
    std::string id; ///< of this stash among all there are: the keys of its own things begin with it and "/"
    std::vector<StashCloth> cloths;
    Extra extra;
    bool operator==(const Stash&) const = default;
};

/// The quilt's cloths whose keys begin with that id; none: all that have a key.
[[nodiscard]] Stash stashOf(const Quilt& quilt, const std::string& id = "");

/// The quilt with those cloths instead of those it had of that stash: known by their keys, they keep their ids.
/// Fabrics that it doesn't know come to it. Chunks that waited on cloth that is gone wait nowhere.
[[nodiscard]] Quilt withStash(Quilt quilt, const Stash& stash);

/// What a quilt carries when it leaves: of the cloth of that stash only what is of its own fabrics, kept for its
/// blocks or waited on; fabrics that nothing else is of stay with the stash too.
[[nodiscard]] Quilt carried(Quilt quilt, const std::string& stash);

/// What both have done to the same stash. By key: who changed something is followed; where both did, cloth is
/// what both left of it, and else `mine` is followed; what one threw away is gone unless the other changed
/// it.
[[nodiscard]] Stash merged(const Stash& before, const Stash& mine, const Stash& theirs);

} // namespace up::quilt
