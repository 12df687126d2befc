// SPDX-License-Identifier: GPL-3.0-or-later
// Fabrics as little squares, for lists.
#pragma once

#include "core/base/colour.hpp"

#include <QPixmap>
#include <string>

namespace up::app {

/// `side` dots wide and high; from `picture`, a PNG in Base64, its middle; of that colour where there is none or it cannot
/// be read.
[[nodiscard]] QPixmap swatchPixmap(Colour colour, const std::string& picture, int side = 18);

} // namespace up::app
