// SPDX-License-Identifier: GPL-3.0-or-later
// Where to set an iron down, so that every place gets its heat with the fewest presses and without sliding.
#pragma once

#include "core/press/iron.hpp"

#include <optional>

namespace up::press {

struct CoverJob {
    shape::Region area;   ///< to be covered, mm
    shape::Region spared; ///< what the iron must not touch
    Iron iron;
    measure::Length overlap = usualOverlap;
    /// Tips that lie loose: no press should end on one if another place would do.
    std::vector<shape::Point> tips{};
    bool operator==(const CoverJob&) const = default;
};

struct CoverOptions {
    int rounds = 1500; ///< of looking for what was left open
    int steps = 1000;  ///< of each, until there is one press more
    std::uint64_t seed = 1;
    std::size_t enough = 0;     ///< presses: fewer are not looked for
    std::vector<Press> start{}; ///< it is begun with these: what covered nearly the same area
};

struct Cover {
    std::vector<Press> presses;          ///< the lowest first, then the nearest
    std::vector<shape::Point> unreached; ///< spots that no press covers without touching what is spared
    std::size_t leastByArea = 0;         ///< no iron of that size can do with fewer
};

/// Presses that cover the area with the iron made smaller by half the overlap. What is nearer to something spared
/// than the overlap need not be covered. Errors: as coverOf.
/// Method: places on a grid and flush with the area's box, in every turn; as few as cover some points of a fine lattice;
/// where they leave others open, some of those are taken in, until none is; then one fewer. Deterministic.
[[nodiscard]] Result<Cover> coverWith(const CoverJob& job, const CoverOptions& options = {});

/// The same presses for another area, without those that it does not need; nothing when they leave some of it open, or
/// touch what is spared. Errors: as coverOf.
[[nodiscard]] Result<std::optional<Cover>> stillCovering(const CoverJob& job, const Cover& before);

/// The same presses but for one, which goes as near to where it was as will do, or for up to four next to each other;
/// nothing when that doesn't help either.
/// Errors: as coverOf.
[[nodiscard]] Result<std::optional<Cover>> withFewMoved(const CoverJob& job, const Cover& before);

/// A press whose border comes so near to a loose tip ends on it.
inline constexpr double nearTip = 6; // mm; common practice, no source

} // namespace up::press
