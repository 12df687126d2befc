// SPDX-License-Identifier: GPL-3.0-or-later
// What goes onto pages, and pages for a printer that is off. For the .cpp files of this room only.
#pragma once

#include "core/quilt/quilt.hpp"
#include "output/pages/pages.hpp"
#include "output/pages/tiling.hpp"

namespace up::output {

/// The block from the front: what the placement sheet shows; `guides`: only the lines that guide.
[[nodiscard]] Content placementContent(const quilt::Quilt& quilt, const quilt::Block& block,
                                       bool guides = false);
/// The pages enlarged by what the printer takes away, laid out on paper as the printer makes it.
[[nodiscard]] std::vector<sheet::Page> tiled(const Content& content, const PageOptions& options);

} // namespace up::output
