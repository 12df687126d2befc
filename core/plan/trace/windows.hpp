// SPDX-License-Identifier: GPL-3.0-or-later
// Windows: the middle of a large piece is cut out of the web, and smaller pieces are traced in it.
#pragma once

#include "core/layout/clumps.hpp"
#include "core/quilt/quilt.hpp"

namespace up::plan {

/// What is left of the web within the line. Source: common practice.
inline constexpr measure::Length windowRim = measure::Length::ofInches(1, 4);
/// A window is worth cutting where a circle so wide fits. Common practice, no source.
inline constexpr measure::Length leastWindow = measure::Length::ofInches(1, 1);

/// The window of a piece whose web has that shape; nothing where none is worth cutting.
[[nodiscard]] shape::Region windowIn(const shape::Region& piece);

/// A part of the job, as in its host's own coordinates.
struct Inside {
    std::size_t host;
    layout::Member member; ///< where it lies relative to the host's shape
    int clump;             ///< those of one number are rough cut together
};

/// Lays smaller parts in the windows of larger ones, `margin` mm and `within` mm apart like everywhere else,
/// several deep; the widest windows are filled first. `groups[i]`: which parts are of one fabric;
/// `mayHost[i]`: the part may have a window.
struct Windows {
    std::vector<Inside> inside; ///< a host stands before those within it
    std::vector<bool> hosts;    ///< parts that have a window
    [[nodiscard]] bool isInside(std::size_t part) const;
};
[[nodiscard]] Windows fillWindows(const layout::NestJob& parts, const std::vector<std::size_t>& groups,
                                  const std::vector<bool>& mayHost, double margin, up::Job& control);

} // namespace up::plan
