// SPDX-License-Identifier: GPL-3.0-or-later
// Sentences in the user's language: GNU gettext with the catalogue "upstairs". The English text is the key.
// Words that stand in tables are marked with N_ and translated where they are used.
#pragma once

#include <string>
#include <string_view>
#include <vector>

/// Marks a text for translators (xgettext -kN_ -kN2_:1,2) and is the text itself.
#define N_(text) text
/// The same for one and many.
#define N2_(one, many)                                                                                       \
    { one, many }

namespace up::words {

/// A text for one thing and for many, as gettext's plural forms want it.
struct Plural {
    const char *one, *many;
};

/// Takes the language from the environment (LANGUAGE, LC_ALL, LC_MESSAGES, LANG) and its catalogue from
/// `folder`/LANG/LC_MESSAGES/upstairs.mo; numbers stay as they are in the C locale. Call it once, at the
/// start.
void chooseLanguage(const std::string& folder);

/// UTF-8; the text itself where there is no translation.
[[nodiscard]] const char* tr(const char* text);
[[nodiscard]] const char* tr(const Plural& text, std::size_t n);
/// The text with its places {0}, {1} … filled; a missing argument leaves nothing.
[[nodiscard]] std::string filled(std::string_view text, const std::vector<std::string>& args);

/// Translated and filled.
[[nodiscard]] std::string said(const char* text, const std::vector<std::string>& args = {});
/// Of so many things: {0} is how many, {1} … the rest.
[[nodiscard]] std::string said(const Plural& text, std::size_t n, std::vector<std::string> args = {});

/// "1, 4 and 7".
[[nodiscard]] std::string listed(const std::vector<std::string>& items);

} // namespace up::words
