// SPDX-License-Identifier: GPL-3.0-or-later
// Parts in groups that keep a distance of their own.
#pragma once

#include "core/base/job.hpp"
#include "core/layout/nest_job.hpp"

namespace up::layout {

/// As `nest`, but parts of different groups are at least `groupSpacing` apart, and each group lies in as few
/// connected clumps as its parts make when they are laid close together; parts without a group are clumps of
/// one. Several widths of clumps are tried, each with a share of the time.
[[nodiscard]] NestLayout nestInGroups(const NestJob& job, const NestOptions& options, up::Job& control);

} // namespace up::layout
