// SPDX-License-Identifier: GPL-3.0-or-later
// Lays shapes out on sheets so that little is used.
#pragma once

#include "core/base/job.hpp"
#include "core/layout/nest_job.hpp"

namespace up::layout {

/// Always answers with a valid layout; stops early when `job` says so, after at least one round.
/// Valid:  parts are at least `spacing` apart, to 0.02 mm, and inside their sheet (irregular sheets:
///         spacing/2 inside).
/// Method: a first layout, one part after the other (`construct`), which is then squeezed into less and less
///         room (`squeeze`).
[[nodiscard]] NestLayout nest(const NestJob& job, const NestOptions& options, up::Job& control);

} // namespace up::layout
