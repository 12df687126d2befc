// SPDX-License-Identifier: GPL-3.0-or-later
// QObject::tr by the one catalogue of the program, which `words` reads (GNU gettext): translators have one file.
#pragma once

#include <QTranslator>

namespace up::app {

class Translator : public QTranslator {
public:
    using QTranslator::QTranslator;
    [[nodiscard]] bool isEmpty() const override { return false; }
    [[nodiscard]] QString translate(const char* context, const char* text, const char* disambiguation,
                                    int n) const override;
};

/// The application speaks the user's language from here on: the catalogues under `data`/locale, and Qt's own for
/// its dialogs where the system has it. Before the first text is shown; lives as long as the application.
void speakUsersLanguage(const QString& data);

} // namespace up::app
