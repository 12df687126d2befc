// SPDX-License-Identifier: GPL-3.0-or-later
// What is asked about a block's background, about how its pieces tuck under, and about fabrics.
#pragma once

#include "core/mend/mend.hpp"
#include "core/plan/block/block_plan.hpp"

namespace up::app {

struct GroundQuestion {
    quilt::Quilt quilt;
    BlockId block;
};
struct GroundAnswer {
    FabricId background;
    quilt::Ground ground;
};

struct UnderlapQuestion {
    quilt::Quilt quilt;
    BlockId block;
    plan::BlockPlan planned{}; ///< what is known of it already; none: worked out anew
};
using UnderlapAnswer = mend::Tucking;

struct FabricQuestion {
    quilt::Quilt quilt;
    BlockId block;   ///< on which it is shown; none: no picture
    FabricId fabric; ///< the one to begin with
};
/// All of the quilt's fabrics, changed or not.
using FabricAnswer = std::vector<quilt::Fabric>;

} // namespace up::app
