// SPDX-License-Identifier: GPL-3.0-or-later
// Which chunk of web goes onto which piece of cloth. Knows shapes only; all of one fabric.
#pragma once

#include "core/base/job.hpp"
#include "core/shape/region.hpp"

#include <optional>

namespace up::bond {

/// A piece of cloth, wrong side up.
struct Cloth {
    shape::Region area;            ///< mm; may have holes
    std::optional<double> stripes; ///< degrees in which its print runs; none: it doesn't matter
    bool scrap = true;             ///< is cut into before good pieces are
};

/// A chunk turned by `turn` degrees about the origin and moved by (x, y) mm lies on the cloth.
struct Lying {
    std::size_t chunk = 0, cloth = 0;
    double turn = 0, x = 0, y = 0;
};

/// Web that is bonded in one go, paper side up.
struct Chunk {
    shape::Region outline;         ///< mm; no holes
    std::optional<double> stripes; ///< degrees in which they must run over it as it is; none: any way
    bool oneWay = false;           ///< those of the cloth have a head and a tail
    std::optional<Lying> pinned{}; ///< a hand has put it there: stays, whatever it touches
};

struct Task {
    std::vector<Cloth> cloths;
    std::vector<Chunk> chunks;
    double margin = 3.175; ///< mm of cloth round each chunk, and between two
};

struct Bonding {
    std::vector<Lying> lying;         ///< by chunk
    std::vector<std::size_t> missing; ///< chunks that no cloth has room for
};

struct Options {
    int tries = 2500; ///< of a chunk on a cloth, to make it better: the same answer everywhere
    std::uint64_t seed = 1;
};

/// Wanted, in this order: as little as possible missing; the fewest cloths cut into; scraps before good
/// pieces; the largest rectangle left; little cloth opened. Stops early when `job` says so, with what it has.
/// Method: chunks are laid bottom-left on bitmaps of the cloths (as `layout::construct` does), the largest
/// first; then a few cloths are cleared and filled again, over and over, and what is no worse is kept. Source:
/// Schrimpf, Schneider, Stamm-Wilbrandt & Dueck, "Record Breaking Optimization Results Using the Ruin and
/// Recreate Principle", 2000.
[[nodiscard]] Bonding bond(const Task& task, const Options& options, Job& job);

/// Whether some cloth has room for the task's one chunk.
[[nodiscard]] bool hasRoom(const Task& task);

/// What is left of a cloth when those chunks have been cut from it, edge to edge; in mm, one region for each
/// part.
[[nodiscard]] std::vector<shape::Region> leftOf(const shape::Region& cloth,
                                                const std::vector<shape::Region>& chunks);

/// The largest upright rectangle in a region, within 2 mm of its sides; with fewer cells along the longer one sooner, and
/// farther from them.
[[nodiscard]] shape::Box largestRectangle(const shape::Region& region, int cells = 800);

[[nodiscard]] shape::Transform placing(const Lying& lying);

} // namespace up::bond
