// SPDX-License-Identifier: GPL-3.0-or-later
// Cloth that is at hand, and chunks of web laid on it.
#pragma once

#include "core/base/id.hpp"
#include "core/measure/angle.hpp"
#include "core/shape/ring.hpp"

#include <optional>
#include <string>

namespace up::quilt {

/// A piece of cloth as it lies wrong side up.
struct Cloth {
    ClothId id;
    std::string key;  ///< by which the stash of all quilts knows it; none: this quilt alone has it
    std::string name; ///< "slate scrap 2"
    FabricId fabric;
    shape::Rings outline; ///< mm; as of a shape::Region
    /// In which its print runs on the wrong side: 0° to the right, 90° down. None: any way, or not known.
    std::optional<measure::Angle> stripes;
    bool scrap = false; ///< left over from something: is cut into before good pieces are
    bool washed = false;
    std::string from;          ///< the block it was left over from
    BlockId heldFor;           ///< no other block may use it
    std::string heldElsewhere; ///< nor any of this quilt: "Sampler: Boat", of another one
    std::string extra;
    bool operator==(const Cloth&) const;
};

/// A chunk of web, paper side up, on a cloth. A point of the chunk on its sheet of web turned by `turn` and
/// then moved by (x, y) mm lands on the cloth.
struct OnCloth {
    int chunk = 0; ///< as in Traced
    ClothId cloth;
    double x = 0, y = 0;
    measure::Angle turn;
    bool pinned = false; ///< stays there when the rest is laid anew
    bool operator==(const OnCloth&) const = default;
};

/// What becomes of a cloth when chunks have been cut from it: its parts that are worth keeping, where they
/// lay in it.
struct ClothLeft {
    struct Part {
        shape::Rings outline;
        std::vector<std::pair<BlockId, int>> waiting; ///< chunks by block that are to be cut from it
    };
    ClothId cloth;
    std::vector<Part> parts; ///< the first stays the cloth it was; none: it is used up
};

} // namespace up::quilt
