// SPDX-License-Identifier: GPL-3.0-or-later
// What printed sheets draw alike: numbers, marks, dotted edges, pens; pages for a printer that is off.
#pragma once

#include "core/quilt/quilt.hpp"
#include "output/pages/pages.hpp"
#include "output/pages/tiling.hpp"

namespace up::output {

inline constexpr Colour pencil{0x3d, 0x3d, 0x3d}, quiet{0x8a, 0x92, 0x98};

[[nodiscard]] std::string fabricName(const quilt::Quilt& quilt, FabricId id);
/// The number where it fits best; the fabric's name under it when there is room.
void label(std::vector<sheet::Item>& items, const shape::Region& region, const std::string& number,
           const std::string& fabric);
/// Inner marks in grey.
void addMarks(std::vector<sheet::Item>& items, const quilt::Piece& piece, const shape::Transform& by);
/// Dotted edges over the solid line.
void addDotted(std::vector<sheet::Item>& items, const quilt::Piece& piece, const shape::Transform& by);
/// The block from the front: what the placement sheet shows.
[[nodiscard]] Content placementContent(const quilt::Quilt& quilt, const quilt::Block& block);
/// The pages enlarged by what the printer takes away, laid out on paper as the printer makes it.
[[nodiscard]] std::vector<sheet::Page> tiled(const Content& content, const PageOptions& options);

} // namespace up::output
