// SPDX-License-Identifier: GPL-3.0-or-later
// North light in an attic workroom: palette, typeface, style sheet.
#pragma once

#include "core/base/colour.hpp"

#include <QColor>

class QApplication;

namespace up::app::look {

inline constexpr Colour plaster{0xF2, 0xF1, 0xED}, panel{0xFF, 0xFF, 0xFF}, ink{0x1F, 0x2A, 0x33},
    slate{0x55, 0x62, 0x6C}, mat{0x24, 0x43, 0x4B}, matRule{0x2F, 0x55, 0x60}, matRuleBold{0x3E, 0x6B, 0x77},
    webPaper{0xF6, 0xF2, 0xE4}, pencil{0x3D, 0x3D, 0x3D}, brass{0xA9, 0x70, 0x1A},
    brassBright{0xE8, 0xB2, 0x4C}, moss{0x3B, 0x7A, 0x4B}, rust{0xB0, 0x3A, 0x25}, ochre{0x8F, 0x6A, 0x00},
    line{0xD5, 0xD2, 0xC8};

[[nodiscard]] inline QColor q(Colour c) {
    return {c.red, c.green, c.blue};
}

/// Loads the typeface from `dataFolder`/fonts and sets font, palette and style sheet.
void apply(QApplication& application, const QString& dataFolder);

} // namespace up::app::look
