// SPDX-License-Identifier: GPL-3.0-or-later
// Pictures of the window for the documents: a view, perhaps with controls used in it.
#pragma once

#include "app/window/window.hpp"

class QApplication;

namespace up::app {

struct Pose {
    QString picture; ///< the file to write, ending in .png
    View view = View::landing;
    QString block;         ///< its name, upper and lower case alike
    std::size_t piece = 0; ///< chosen, from 1; 0 = none
    bool templates = false, turned = false;
    QStringList press;  ///< controls used before the picture: "draw.sizes", "size.percent=60"
    QStringList lookAt; ///< drawings whose import is opened
    QSize size{};       ///< of the window; empty: as it comes
};

/// Shows the window so, writes its picture and closes what has opened. False when it cannot be written.
[[nodiscard]] bool takePicture(QApplication& application, Window& window, const Pose& pose);

} // namespace up::app
