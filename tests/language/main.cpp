// SPDX-License-Identifier: GPL-3.0-or-later
// A process of its own, in the made-up language from the start.
#include "app/look/look.hpp"
#include "app/look/translator.hpp"
#include "core/base/place.hpp"

#include <QApplication>
#include <cstdlib>
#include <gtest/gtest.h>

int main(int count, char** words) {
    ::setenv("LC_ALL", "C.UTF-8", 1);
    ::setenv("LANGUAGE", "en@accents", 1);
    testing::InitGoogleTest(&count, words);
    QApplication application(count, words);
    QApplication::setQuitOnLastWindowClosed(false);
    const auto data = QString::fromStdString(up::dataFolder());
    up::app::speakUsersLanguage(data);
    up::app::look::apply(application, data);
    const int code = RUN_ALL_TESTS();
    std::fflush(nullptr);
    std::_Exit(code);
}
