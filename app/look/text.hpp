// SPDX-License-Identifier: GPL-3.0-or-later
// Texts of the core on the screen.
#pragma once

#include <QString>
#include <string>

namespace up::app {

[[nodiscard]] inline QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace up::app
