// SPDX-License-Identifier: GPL-3.0-or-later
// Copies, cuts and halves of one piece: what is asked, what comes back.
#pragma once

#include "core/edit/arrange.hpp"

namespace up::app {

struct ArrangeQuestion {
    quilt::Quilt quilt;
    BlockId block;
    PieceId piece;
};

} // namespace up::app
