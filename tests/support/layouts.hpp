// SPDX-License-Identifier: GPL-3.0-or-later
// Jobs for the layout engine, and what is asked of every layout.
#pragma once

#include "core/layout/nest.hpp"
#include "tests/support/shapes.hpp"

namespace up::test {

/// That many random stars, 6.35 mm apart, on a roll 300 mm wide.
[[nodiscard]] layout::NestJob randomJob(std::uint64_t seed, std::size_t count);

/// The part where the layout puts it.
[[nodiscard]] shape::Region where(const layout::NestJob& job, const layout::Placed& placed);

/// Every copy is placed once or named as unplaced; turns are allowed; parts lie inside their sheets and keep
/// their spacing, to 0.02 mm, as GEOS measures it.
void expectValid(const layout::NestJob& job, const layout::NestLayout& layout);

} // namespace up::test
