// SPDX-License-Identifier: GPL-3.0-or-later
// A drawing in millimetres that fills its widget: the base of the dialogs' pictures.
#pragma once

#include "core/shape/point.hpp"
#include "core/sheet/palette.hpp"

#include <QTransform>
#include <QWidget>

namespace up::app {

class FittedPicture : public QWidget {
public:
    /// Where a point of the drawing is in the widget, pixels.
    [[nodiscard]] QPointF pixelOf(shape::Point mm) const;

protected:
    /// `margins`: pixels that stay free round the drawing.
    FittedPicture(QWidget* parent, QSize least, QMarginsF margins, Colour ground = sheet::palette::mat);

    /// What is to be seen, mm.
    [[nodiscard]] virtual QRectF area() const = 0;
    /// Over the ground.
    virtual void paint(QPainter& painter, const QTransform& map) = 0;

    /// From millimetres to pixels: as large as it goes, in the middle of what the margins leave.
    [[nodiscard]] virtual QTransform toWidget() const;
    [[nodiscard]] shape::Point mmAt(QPointF pixel) const;
    void paintEvent(QPaintEvent*) final;

private:
    QMarginsF m_margins;
    Colour m_ground;
};

} // namespace up::app
