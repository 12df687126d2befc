// SPDX-License-Identifier: GPL-3.0-or-later
// How pieces are joined: what is asked and answered.
#pragma once

#include "core/edit/joining.hpp"

namespace up::app {

struct FasteningQuestion {
    quilt::Quilt quilt;
    BlockId block;
    std::vector<PieceId> pieces; ///< that are asked about, one at least
    std::string of;              ///< they in words
};

struct FasteningAnswer {
    std::optional<edit::Joining> how; ///< none: each as it is
    bool quiltedFirst = false;        ///< the block's background
};

} // namespace up::app
