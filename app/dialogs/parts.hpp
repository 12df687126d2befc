// SPDX-License-Identifier: GPL-3.0-or-later
// What dialogs share: swatches, lengths as they are typed.
#pragma once

#include "core/base/colour.hpp"
#include "core/quilt/quilt.hpp"

#include <QIcon>
#include <QString>

class QWidget;

namespace up::app {

/// A little square of that colour, for lists.
[[nodiscard]] QIcon swatchOf(Colour colour);
/// With its picture, if it has one.
[[nodiscard]] QIcon swatchOf(const quilt::Fabric& fabric);

/// Two fields in one row, the second so wide; 0: both are equally wide.
[[nodiscard]] QWidget* beside(QWidget* first, QWidget* second, int wide = 0);

/// As somebody would type it, to 1/`denominator` in; to the left or upwards has a minus.
[[nodiscard]] QString typed(double mm, measure::System units, int denominator);

/// The other way: mm, with a minus where one was typed. Errors: Code::badLength.
[[nodiscard]] Result<double> readSigned(const QString& text, measure::System units);

/// A length from `least` to `most`; `what` it is of is named when it is not. Errors: Code::badLength, absurdSize.
[[nodiscard]] Result<measure::Length> readBetween(const QString& text, measure::System units,
                                                  const QString& what, measure::Length least,
                                                  measure::Length most);

} // namespace up::app
