// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/opening.hpp"

#include <QTimer>
#include <QWidget>
#include <algorithm>

namespace up::app {

QSize insideFor(QSize wanted, const QRect& free, const QMargins& frame) {
    return wanted.boundedTo(free.size() - QSize(frame.left() + frame.right(), frame.top() + frame.bottom()));
}

namespace {

void correct(QWidget& window, const QRect& free) {
    if (window.isMaximized() || window.isFullScreen()) return;
    const QRect outer = window.frameGeometry(), inner = window.geometry();
    const QMargins frame(inner.left() - outer.left(), inner.top() - outer.top(),
                         outer.right() - inner.right(), outer.bottom() - inner.bottom());
    if (free.contains(outer)) return;
    window.resize(insideFor(window.size(), free, frame));
    const QRect now = window.frameGeometry();
    window.move(std::clamp(now.left(), free.left(), std::max(free.left(), free.right() + 1 - now.width())),
                std::clamp(now.top(), free.top(), std::max(free.top(), free.bottom() + 1 - now.height())));
}

} // namespace

void showWithin(QWidget& window, const QRect& free) {
    constexpr int framed = 300; // ms: by then the desktop has drawn its frame
    window.resize(insideFor(window.size(), free, usualFrame));
    window.show();
    QTimer::singleShot(framed, &window, [&window, free] { correct(window, free); });
}

} // namespace up::app
