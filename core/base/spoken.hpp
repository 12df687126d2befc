// SPDX-License-Identifier: GPL-3.0-or-later
// The few words of people's language that the core itself must make: names of new things (a fabric by its colour,
// a lining), what was expected in a damaged file. English, unless the application has said who translates.
#pragma once

#include <initializer_list>
#include <string>

/// Marks a text for translators that is spoken elsewhere, as in a table.
#define UP_SPOKEN(text) text

namespace up {

/// `translate` gives the text in the user's language, or the text itself; it must live as long as the program.
/// Call it once, at the start.
void speakBy(const char* (*translate)(const char* english));

[[nodiscard]] std::string spoken(const char* english);
/// With its places {0}, {1} … filled.
[[nodiscard]] std::string spoken(const char* english, std::initializer_list<std::string> what);

} // namespace up
