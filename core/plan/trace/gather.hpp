// SPDX-License-Identifier: GPL-3.0-or-later
// A block's pieces gathered into what is rough cut together, by the school chosen.
#pragma once

#include "core/layout/clumps.hpp"
#include "core/quilt/quilt.hpp"

namespace up::plan {

/// The pieces as parts for the layout engine: reversed, one copy each; `spacing` is the scissors' width.
/// Pieces on printed fabric that want their stripes some way may only be turned so that, within one clump,
/// the stripes run to the right (or to the left, where a print has no top).
[[nodiscard]] layout::NestJob partsOf(const quilt::Quilt& quilt,
                                      const std::vector<const quilt::Piece*>& pieces);

/// Turns, in degrees, of a reversed piece that lay its stripes along +x, within the fabric's tolerance; empty
/// = any. Reversing mirrors the wanted direction: a becomes 180° − a. By arithmetic.
[[nodiscard]] std::vector<double> turnsAlong(const quilt::Fabric* fabric, const quilt::Piece& piece);

struct Gathering {
    quilt::School school = quilt::School::byFabric;
    double width = 0;         ///< mm that fabrics are gathered on: the narrower, the longer the chunks
    layout::NestOptions each; ///< for all pieces together
};
/// Clumps of `wanted` parts of `job`. `groups[i]`: which parts are of one fabric.
[[nodiscard]] std::vector<layout::Clump> gathered(const layout::NestJob& job,
                                                  const std::vector<std::size_t>& groups,
                                                  const std::vector<std::size_t>& wanted,
                                                  const Gathering& how, up::Job& control);

/// Equal shapes are worth strips from this many on. Common practice, no source.
inline constexpr std::size_t leastForStrip = 4;
/// Parts of one group that are the same shape turned, at least `leastForStrip` of them, with the turn and
/// move that lays the first of the list on each.
struct Equal {
    std::vector<std::size_t> parts;
    std::vector<layout::Member> onto;
};
[[nodiscard]] std::vector<Equal> equalShapes(const layout::NestJob& job,
                                             const std::vector<std::size_t>& group);

} // namespace up::plan
