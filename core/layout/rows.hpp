// SPDX-License-Identifier: GPL-3.0-or-later
// Equal shapes in rows, every other one turned by half: how strips of them are cut.
#pragma once

#include "core/layout/nest_job.hpp"

#include <optional>

namespace up::layout {

struct Rows {
    NestLayout layout;
    double height = 0; ///< mm, of one row
    int count = 0;
};

/// All copies of the one part of the job in rows on its roll, as close as they get, in the turn that uses
/// least; every other one is turned by half a turn where that is allowed and saves web. Nothing when the job
/// has several parts or sheets, or the roll is too short.
[[nodiscard]] std::optional<Rows> rowsOf(const NestJob& job);

} // namespace up::layout
