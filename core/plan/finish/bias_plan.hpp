// SPDX-License-Identifier: GPL-3.0-or-later
// The bias strips of a quilt, cut from the cloth that is there or from the bolt.
#pragma once

#include "core/plan/finish/strips_cut.hpp"

namespace up::plan {

/// All bias strips of one fabric that are still to be laid.
struct BiasPlan : StripsCut {
    std::vector<LineId> lines; ///< by strip
};
[[nodiscard]] std::vector<BiasPlan> planBias(const quilt::Quilt& quilt);

} // namespace up::plan
