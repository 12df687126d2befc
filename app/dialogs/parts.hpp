// SPDX-License-Identifier: GPL-3.0-or-later
// What dialogs share: their two buttons, lengths as they are typed.
#pragma once

#include "core/quilt/quilt.hpp"

#include <QIcon>
#include <QString>

class QDialog;
class QPushButton;
class QVBoxLayout;

namespace up::app {

/// Adds the button that accepts, named `key`, and *Cancel* at the foot of the column.
QPushButton* addButtons(QDialog& dialog, QVBoxLayout& column, const QString& accept, const char* key);

/// Its colour; that of web's paper when there is no such fabric.
[[nodiscard]] Colour clothOf(const quilt::Quilt& quilt, FabricId fabric);
/// A little square of that colour, for lists.
[[nodiscard]] QIcon swatchOf(Colour colour);

/// As somebody would type it, to 1/`denominator` in; to the left or upwards has a minus.
[[nodiscard]] QString typed(double mm, measure::System units, int denominator);

/// The other way: mm, with a minus where one was typed. Errors: Code::badLength.
[[nodiscard]] Result<double> readSigned(const QString& text, measure::System units);

} // namespace up::app
