// SPDX-License-Identifier: GPL-3.0-or-later
// What is laid along a line or set at its places, as it looks; and strips as they are cut from cloth at 45°.
#pragma once

#include "core/plan/finish/bias_plan.hpp"
#include "drawn/parts.hpp"

namespace up::drawn {

/// On paper: where it goes, of a stem where its raw edges are laid. Else as it lies there, pale and dashed until it does.
/// `line.laid` is there. mm on the block.
void addLaid(std::vector<sheet::Item>& items, const quilt::Quilt& quilt, const quilt::Line& line, For whom);

/// One piece of cloth with the strips that are cut from it, each with the name of its line. mm on the cloth, wrong side or right:
/// strips have none.
[[nodiscard]] sheet::Layer biasCutting(const quilt::Quilt& quilt, const plan::BiasPlan& plan,
                                       std::size_t cloth);

} // namespace up::drawn
