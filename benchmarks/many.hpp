// SPDX-License-Identifier: GPL-3.0-or-later
// 500 pieces in one drawing, for benchmarks.
#pragma once

#include "core/quilt/drawing.hpp"
#include "core/quilt/quilt.hpp"

#include <string>

namespace up::bench {

inline constexpr int pieces = 500;

/// Leaves, stars, boots and blobs on a 40 in page, alike and unlike, turned and mirrored; as SVG. `colours`:
/// how many fabrics they ask for.
[[nodiscard]] std::string drawing(int colours);

/// A quilt with that drawing as its only block.
[[nodiscard]] quilt::Quilt quiltOf(const quilt::Drawing& found);

/// So many pieces in a block of 20 in, each over about four others.
[[nodiscard]] quilt::Quilt overlapping(int pieces, std::uint64_t seed = 1);

} // namespace up::bench
