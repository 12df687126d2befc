// SPDX-License-Identifier: GPL-3.0-or-later
// Another size for a block or a piece: what is asked, what comes back.
#pragma once

#include "core/plan/block/judge_plan.hpp"

#include <memory>

namespace up::app {

struct SizeQuestion {
    measure::System units;
    quilt::Block block;
    PieceId chosen;                                ///< none: only the whole block can be sized
    std::shared_ptr<const plan::Judgement> judged; ///< of this block
};

struct SizeAnswer {
    bool wholeBlock = true;
    double factor = 1;
    quilt::EdgeStitch edge;
    bool keepWidths = false; ///< of built-in stems, strips and rings
};

} // namespace up::app
