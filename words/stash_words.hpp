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

/// What is left, a line for each: "120 m on the spool", "30 m on bobbins"; empty when nobody has said.
[[nodiscard]] std::string leftWords(const quilt::Thread& thread);
/// "roll 17 × 72 in", "10 sheets 9 × 12 in".
[[nodiscard]] std::string stockWords(const quilt::Web& web, measure::System units);
/// "9 × 2 in of slate grey, for Heron".
[[nodiscard]] std::string wantWords(const quilt::Quilt& quilt, const quilt::Want& want);
/// "holds 9 × 4 in": the largest rectangle that is free in cloth, down to a quarter of an inch; empty when it is one itself,
/// or holds hardly any.
[[nodiscard]] std::string holdsWords(const shape::Region& free, measure::System units);
[[nodiscard]] std::string purposeWords(quilt::Purpose purpose);

} // namespace up::words
