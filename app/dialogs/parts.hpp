// SPDX-License-Identifier: GPL-3.0-or-later
// What dialogs share: swatches, lengths as they are typed.
#pragma once

#include "core/base/colour.hpp"
#include "core/quilt/quilt.hpp"

#include <QIcon>
#include <QString>

namespace up::app {

/// A little square of that colour, for lists.
[[nodiscard]] QIcon swatchOf(Colour colour);
/// With its picture, if it has one.
[[nodiscard]] QIcon swatchOf(const quilt::Fabric& fabric);

/// As somebody would type it, to 1/`denominator` in; to the left or upwards has a minus.
[[nodiscard]] QString typed(double mm, measure::System units, int denominator);

/// The other way: mm, with a minus where one was typed. Errors: Code::badLength.
[[nodiscard]] Result<double> readSigned(const QString& text, measure::System units);

} // namespace up::app
