// SPDX-License-Identifier: GPL-3.0-or-later
// North light in an attic workroom: palette, typeface, style sheet.
#pragma once

#include "core/sheet/palette.hpp"

#include <QColor>

class QApplication;

namespace up::app::look {

using namespace sheet::palette; // NOLINT: it is the same palette, on the screen

[[nodiscard]] inline QColor q(Colour c) {
    return {c.red, c.green, c.blue};
}

/// Loads the typeface from `dataFolder`/fonts and sets font, palette and style sheet.
void apply(QApplication& application, const QString& dataFolder);

} // namespace up::app::look
