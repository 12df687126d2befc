// SPDX-License-Identifier: GPL-3.0-or-later
// What *Fix* does, as an edit.
#pragma once

#include "core/check/finding.hpp"
#include "core/edit/edits.hpp"

namespace up::app {

/// The quilt with the finding's fix done; the same quilt for Fix::none. Errors as the edits'.
[[nodiscard]] edit::Edited fixed(const quilt::Quilt& quilt, const check::Finding& finding);

} // namespace up::app
