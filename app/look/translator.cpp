// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/translator.hpp"

#include "words/translated.hpp"

namespace up::app {

/// Classes of Qt's own are left to Qt's translations; QObject::tr is what free functions of ours call.
QString Translator::translate(const char* context, const char* text, const char*, int) const {
    const QLatin1String by(context);
    if (by.startsWith(QLatin1String("Q")) && by != QLatin1String("QObject")) return {};
    return QString::fromUtf8(words::tr(text));
}

} // namespace up::app
