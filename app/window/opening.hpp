// SPDX-License-Identifier: GPL-3.0-or-later
// A window that opens within its screen, title bar and all.
#pragma once

#include <QMargins>
#include <QRect>
#include <QSize>

class QWidget;

namespace up::app {

/// What a desktop draws round a window, about; the truth is known once it is shown. Source: common practice.
inline constexpr QMargins usualFrame{4, 40, 4, 4};

/// The inside of a window that would like to be `wanted`, so that it and its frame fit into what is free of a
/// screen.
[[nodiscard]] QSize insideFor(QSize wanted, const QRect& free, const QMargins& frame);

/// Shows the window within `free`; when its true frame turns out larger, it is made smaller and moved.
void showWithin(QWidget& window, const QRect& free);

} // namespace up::app
