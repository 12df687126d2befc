// SPDX-License-Identifier: GPL-3.0-or-later
// What is at hand in words, and words about it understood.
#pragma once

#include "core/plan/stash/stash_search.hpp"
#include "core/quilt/quilt.hpp"

#include <string>

namespace up::words {

/// "green, at least 9 × 2", "dark blue scrap", in the user's language: colours by their names, one size, "light" and
/// "dark"; whatever else stands there must stand in what is said of a thing. A number alone is a word.
[[nodiscard]] plan::StashSearch searchOf(const std::string& text, measure::System units);

/// What is left: "120 m on the spool, 30 m on bobbins"; "nobody has said how much".
[[nodiscard]] std::string leftWords(const quilt::Thread& thread);
/// "roll 17 × 72 in", "10 sheets 9 × 12 in".
[[nodiscard]] std::string stockWords(const quilt::Web& web, measure::System units);
/// "9 × 2 in of slate grey, for Heron".
[[nodiscard]] std::string wantWords(const quilt::Quilt& quilt, const quilt::Want& want);
[[nodiscard]] std::string purposeWords(quilt::Purpose purpose);

} // namespace up::words
