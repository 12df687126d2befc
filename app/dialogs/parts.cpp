// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/parts.hpp"
#include "app/look/text.hpp"

#include "app/look/look.hpp"
#include "app/look/names.hpp"

#include <QDialog>
#include <QDialogButtonBox>
#include <QPushButton>
#include <QVBoxLayout>
#include <cmath>

namespace up::app {

QPushButton* addButtons(QDialog& dialog, QVBoxLayout& column, const QString& accept, const char* key) {
    auto* buttons = new QDialogButtonBox(&dialog);
    auto* out = named(buttons->addButton(accept, QDialogButtonBox::AcceptRole), key);
    buttons->addButton(tr("Cancel"), QDialogButtonBox::RejectRole)->setAutoDefault(false);
    QObject::connect(buttons, &QDialogButtonBox::accepted, &dialog, &QDialog::accept);
    QObject::connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    column.addWidget(buttons);
    return out;
}

Colour clothOf(const quilt::Quilt& quilt, FabricId id) {
    const auto* fabric = quilt::find(quilt.fabrics, id);
    return fabric ? fabric->colour : look::webPaper;
}

QIcon swatchOf(Colour colour) {
    QPixmap out(18, 18);
    out.fill(look::q(colour));
    return out;
}

QString typed(double mm, measure::System units, int denominator) {
    const auto length = measure::Length::ofMm(std::abs(mm));
    const auto words = units == measure::System::inches ? measure::fraction(length, denominator) + " in"
                                                        : measure::sayMetric(length);
    return (mm < -0.05 ? "-" : "") + QString::fromStdString(words);
}

Result<double> readSigned(const QString& given, measure::System units) {
    auto text = given.trimmed();
    const bool back = text.startsWith('-');
    if (back) text.remove(0, 1);
    return measure::readLength(text.toStdString(), units).map([&](measure::Length length) {
        return back ? -length.mm() : length.mm();
    });
}

} // namespace up::app
