// SPDX-License-Identifier: GPL-3.0-or-later
// The stash of all quilts, between value and text.
#pragma once

#include "core/base/error.hpp"
#include "core/quilt/stash.hpp"

namespace up::store {

/// The newest version of the stash format.
inline constexpr int stashVersion = 1;

[[nodiscard]] std::string writeStash(const quilt::Stash& stash);
/// Errors: Code::notJson, wrongFormat, newerVersion, damaged; an outline that crosses itself or is of no area:
/// Code::clothCrosses, clothNoArea {cloth}.
[[nodiscard]] Result<quilt::Stash> readStash(const std::string& text, const std::string& file);

} // namespace up::store
