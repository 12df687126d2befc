// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/parts.hpp"

#include "app/look/swatches.hpp"
#include "app/look/text.hpp"

#include <cmath>

namespace up::app {

QIcon swatchOf(Colour colour) {
    return swatchPixmap(colour, "");
}

QIcon swatchOf(const quilt::Fabric& fabric) {
    return swatchPixmap(fabric.colour, fabric.swatch->picture);
}

QString typed(double mm, measure::System units, int denominator) {
    const auto length = measure::Length::ofMm(std::abs(mm));
    const auto words = units == measure::System::inches ? measure::fraction(length, denominator) + " in"
                                                        : measure::sayMetric(length);
    return (mm < -0.05 ? "-" : "") + q(words);
}

Result<double> readSigned(const QString& given, measure::System units) {
    auto text = given.trimmed();
    const bool back = text.startsWith('-');
    if (back) text.remove(0, 1);
    return measure::readLength(text.toStdString(), units).map([&](measure::Length length) {
        return back ? -length.mm() : length.mm();
    });
}

Result<measure::Length> readBetween(const QString& text, measure::System units, const QString& what,
                                    measure::Length least, measure::Length most) {
    const auto length = measure::readLength(text.toStdString(), units);
    if (!length || (*length >= least && *length <= most)) return length;
    return failure(Code::absurdSize, {what.toStdString(), measure::say(*length, units),
                                      measure::say(least, units), measure::say(most, units)});
}

QWidget* beside(QWidget* first, QWidget* second, int wide) {
    auto* both = new QWidget(first->parentWidget());
    auto* row = new QHBoxLayout(both);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(first, 1);
    row->addWidget(second, wide > 0 ? 0 : 1);
    if (wide > 0) second->setFixedWidth(wide);
    return both;
}

} // namespace up::app
