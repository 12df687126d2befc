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
    Shared<Swatch> swatch{}; ///< its fabric's
    bool operator==(const StashCloth&) const = default;
    /// Of a fabric whose colour nobody has said.
    static constexpr Colour unknownColour{0xb8, 0xb8, 0xb0};
};

struct StashOffCut {
    std::string key, web; ///< its own, and that of what it is of
    shape::Rings outline;
    std::string from;
    Extra extra;
    bool operator==(const StashOffCut&) const = default;
};

/// Webs, threads, irons and supplies are as in a quilt, but for their ids, which are 0.
struct Stash {
    std::string id; ///< of this stash among all there are: the keys of its own things begin with it and "/"
    std::vector<StashCloth> cloths;
    Extra extra;
    std::vector<Web> webs{};
    std::vector<StashOffCut> offCuts{};
    std::vector<Thread> threads{};
    std::vector<Iron> irons{};
    std::vector<Supply> supplies{};
    bool operator==(const Stash&) const = default;
};

/// Calls `see(&Stash::…)` for each kind of thing that a stash holds.
template<class See> void eachKind(See&& see) {
    see(&Stash::cloths);
    see(&Stash::webs);
    see(&Stash::offCuts);
    see(&Stash::threads);
    see(&Stash::irons);
    see(&Stash::supplies);
}

/// The same things, whatever the stashes are called.
[[nodiscard]] bool holdTheSame(const Stash& one, const Stash& other);

/// The quilt's things whose keys begin with that id; none: all that have a key.
[[nodiscard]] Stash stashOf(const Quilt& quilt, const std::string& id = "");

/// The quilt with those things instead of what it had of that stash: known by their keys, they keep their ids.
/// Fabrics that it doesn't know come to it. Chunks that waited on cloth that is gone wait nowhere; a web, thread or
/// iron that is gone but in use becomes the quilt's own. In a quilt without blocks the stash's webs come first, and
/// stand for its own of the same name.
[[nodiscard]] Quilt withStash(Quilt quilt, const Stash& stash);

/// What a quilt carries when it leaves: of the cloth of that stash only what is of its own fabrics, kept for its
/// blocks or waited on; webs, threads and the iron that it uses, and off-cuts of such webs; fabrics that nothing else
/// is of stay with the stash too.
[[nodiscard]] Quilt carried(Quilt quilt, const std::string& stash);

/// What both have done to the same stash. By key: who changed something is followed; where both did, cloth is
/// what both left of it, of web, thread and supplies is gone what both have used, and else `mine` is followed; what one
/// threw away is gone unless the other changed it.
[[nodiscard]] Stash merged(const Stash& before, const Stash& mine, const Stash& theirs);

/// As it was `before`, with what has been put in by hand since: what was cut off something has not been.
[[nodiscard]] Stash uncut(const Stash& before, const Stash& now);

} // namespace up::quilt
