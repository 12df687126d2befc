// SPDX-License-Identifier: GPL-3.0-or-later
// What is at hand, each drawn to scale, with what it still holds and what it can be looked for by.
#pragma once

#include "app/canvas/scene.hpp"
#include "core/plan/stash/stash_search.hpp"
#include "core/quilt/quilt.hpp"

#include <vector>

namespace up::app {

struct Shown {
    Panel panel;
    plan::AtHand thing;
};

/// Cloth by colour, then thread by colour, web and what was left of it, stabiliser and batting, irons.
[[nodiscard]] std::vector<Shown> stashPanels(const quilt::Quilt& quilt);

/// What a fabric can be looked for by, as cloth and in the list.
[[nodiscard]] std::string saidOf(const quilt::Fabric& fabric);

} // namespace up::app
