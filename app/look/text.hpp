// SPDX-License-Identifier: GPL-3.0-or-later
// Texts on the screen: those of the core, and the window's own in the user's language.
#pragma once

#include "words/translated.hpp"

#include <QString>
#include <string>

namespace up::app {

[[nodiscard]] inline QString q(const std::string& text) {
    return QString::fromStdString(text);
}

/// As QObject::tr, for what is no QObject: both ask the catalogue of `words` (app/look/translator).
[[nodiscard]] inline QString tr(const char* text) {
    return QString::fromUtf8(words::tr(text));
}

} // namespace up::app
