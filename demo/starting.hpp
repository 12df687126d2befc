// SPDX-License-Identifier: GPL-3.0-or-later
// What both sample quilts begin with.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::demo {

/// Fabrics, threads and webs, no block yet.
[[nodiscard]] quilt::Quilt startingQuilt();
/// None if there is no such.
[[nodiscard]] FabricId fabricNamed(const quilt::Quilt& quilt, const std::string& name);

/// With a block more, 9 in wide and high, of the drawing in that file.
[[nodiscard]] Result<quilt::Quilt> withDrawing(const quilt::Quilt& quilt, const std::string& folder,
                                               const std::string& file, const std::string& block,
                                               const std::string& background, std::int64_t time);

} // namespace up::demo
