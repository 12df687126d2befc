// SPDX-License-Identifier: GPL-3.0-or-later
// How a block is fitted, and how the quilt is set: what is asked and answered.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::app {

struct FittingQuestion {
    quilt::Quilt quilt;
    BlockId block;
};
using FittingAnswer = quilt::Fitting; ///< with what it measures

struct SettingQuestion {
    quilt::Quilt quilt;
};
struct SettingAnswer {
    quilt::Setting setting;
    quilt::Length sashing;
    int columns = 1;
};

} // namespace up::app
