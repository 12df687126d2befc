// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/look.hpp"
#include "core/base/place.hpp"
#include "output/pdf/pdf.hpp"

#include <QApplication>
#include <cstdio>
#include <cstdlib>
#include <gtest/gtest.h>

namespace {
/// The offscreen platform says this at every window; anything else is worth reading.
void messages(QtMsgType, const QMessageLogContext&, const QString& text) {
    if (!text.contains("propagateSizeHints")) std::fprintf(stderr, "%s\n", qPrintable(text));
}
} // namespace

int main(int count, char** words) {
    qInstallMessageHandler(messages);
    testing::InitGoogleTest(&count, words);
    QApplication application(count, words);
    QApplication::setQuitOnLastWindowClosed(false);
    up::app::look::apply(application, QString::fromStdString(up::dataFolder()));
    const int code = RUN_ALL_TESTS();
    std::fflush(nullptr);
    std::_Exit(code); // as the program does: what still computes is not waited for
}
