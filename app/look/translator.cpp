// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/translator.hpp"

#include "words/translated.hpp"

#include <QCoreApplication>
#include <QLibraryInfo>
#include <QLocale>
#include <array>

namespace up::app {

namespace {
/// What Qt writes on the buttons of its boxes: ours where we have it, so that a box speaks one language.
[[maybe_unused]] constexpr std::array buttons{N_("OK"),      N_("&OK"),   N_("Cancel"),
                                              N_("&Cancel"), N_("Close"), N_("&Close")};
} // namespace

/// Classes of Qt's own are left to Qt's translations where our catalogue has nothing; QObject::tr is what free
/// functions of ours call.
QString Translator::translate(const char* context, const char* text, const char*, int) const {
    const QLatin1String by(context);
    const char* ours = words::tr(text);
    const bool qts = by.startsWith(QLatin1String("Q")) && by != QLatin1String("QObject");
    return qts && ours == text ? QString() : QString::fromUtf8(ours);
}

void speakUsersLanguage(const QString& data) {
    words::chooseLanguage(data.toStdString() + "/locale");
    auto* application = QCoreApplication::instance();
    auto* qts = new QTranslator(application);
    if (qts->load(QLocale(), "qtbase", "_", QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
        QCoreApplication::installTranslator(qts);
    QCoreApplication::installTranslator(new Translator(application)); // asked before it
}

} // namespace up::app
