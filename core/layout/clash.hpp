// SPDX-License-Identifier: GPL-3.0-or-later
// Whether two laid forms overlap, and about how badly.
#pragma once

#include "core/layout/form.hpp"

#include <limits>

namespace up::layout {

/// Whether their insides meet: edges that cross, or one within the other. One that lies in the other's hole
/// does not meet it; edges that only touch may go either way.
[[nodiscard]] bool meet(const Laid& a, const Laid& b);

/// 0 when they don't meet; else greater the deeper they lie in one another and the larger the smaller of them
/// is: the small give way to the large. It falls steadily towards the ways out, also while one lies wholly
/// within the other. Method: discs that stand for the insides, each pair by how far it would have to be moved;
/// after Gardeyn, Vanden Berghe & Wauters, "An open-source heuristic to reboot 2D nesting research", 2025.
/// Past `enough` only that it is more.
[[nodiscard]] double clash(const Laid& a, const Laid& b,
                           double enough = std::numeric_limits<double>::infinity());

} // namespace up::layout
