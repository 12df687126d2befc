// SPDX-License-Identifier: GPL-3.0-or-later
// The views: the Landing, one for each tread of the stair, and those above it.
#pragma once

#include "core/base/names.hpp"
#include "core/quilt/step.hpp"

#include <QString>
#include <array>
#include <optional>

namespace up::app {

enum class View : std::uint8_t { landing, draw, trace, bond, cut, lay, fuse, stitch, finish, stash, logbook };
/// What programs call it, in every language.
constexpr auto keysOf(View) {
    return std::to_array<std::string_view>(
        {"landing", "draw", "trace", "bond", "cut", "lay", "fuse", "stitch", "finish", "stash", "logbook"});
}

[[nodiscard]] std::optional<quilt::Tread> treadOf(View view);
[[nodiscard]] View viewOf(quilt::Tread tread);
/// "Landing", "Draw", … in the user's language.
[[nodiscard]] QString nameOf(View view);
/// The key that shows it: "0", "1", … as QKeySequence reads it.
[[nodiscard]] QString keyTo(View view);
/// By its key among programs, upper and lower case alike.
[[nodiscard]] std::optional<View> viewNamed(const QString& name);

} // namespace up::app
