// SPDX-License-Identifier: GPL-3.0-or-later
// The colours of everything drawn: north light in an attic workroom.
#pragma once

#include "core/base/colour.hpp"

namespace up::sheet::palette {

inline constexpr Colour plaster{0xF2, 0xF1, 0xED}, panel{0xFF, 0xFF, 0xFF}, ink{0x1F, 0x2A, 0x33},
    slate{0x55, 0x62, 0x6C}, mat{0x24, 0x43, 0x4B}, matRule{0x2F, 0x55, 0x60}, matRuleBold{0x3E, 0x6B, 0x77},
    webPaper{0xF6, 0xF2, 0xE4}, pencil{0x3D, 0x3D, 0x3D}, quiet{0x8A, 0x92, 0x98}, brass{0xA9, 0x70, 0x1A},
    brassBright{0xE8, 0xB2, 0x4C}, moss{0x3B, 0x7A, 0x4B}, rust{0xB0, 0x3A, 0x25}, ochre{0x8F, 0x6A, 0x00},
    line{0xD5, 0xD2, 0xC8};

/// Dark or light, whichever is read better on that cloth: the greater contrast of WCAG 2.1.
[[nodiscard]] inline Colour inkOn(Colour cloth) {
    return luminance(cloth) > 0.18 ? ink : panel;
}
/// `b` mixed into `a`, 0…1, channel by channel.
[[nodiscard]] Colour mixed(Colour a, Colour b, double shareOfB);

} // namespace up::sheet::palette
