// SPDX-License-Identifier: GPL-3.0-or-later
// Object name, accessible name and tooltip of every control, from one table.
#pragma once

#include "app/look/text.hpp"

#include <QAction>
#include <QWidget>

namespace up::app {

/// Gives the widget its object name `key` and what the table says of it. CHECKs that the table knows the key.
template<class Widget> Widget* named(Widget* widget, const char* key);
QAction* named(QAction* action, const char* key);

struct ControlWords {
    const char *accessible, *tip;
};
[[nodiscard]] const ControlWords& wordsOf(const QString& key);
[[nodiscard]] bool hasWords(const QString& key);

template<class Widget> Widget* named(Widget* widget, const char* key) {
    const auto& words = wordsOf(key);
    widget->setObjectName(key);
    widget->setAccessibleName(tr(words.accessible));
    widget->setToolTip(tr(words.tip));
    return widget;
}

} // namespace up::app
