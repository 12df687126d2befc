// SPDX-License-Identifier: GPL-3.0-or-later
// A piece of cloth wrong side up, with the way its print runs; a drag turns that.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "core/quilt/quilt.hpp"
#include "core/shape/region.hpp"

#include <QColor>

namespace up::app {

class ClothPicture : public FittedPicture {
    Q_OBJECT
public:
    explicit ClothPicture(QWidget* parent = nullptr);
    /// `oneWay`: the print has a head.
    void show(const shape::Region& area, std::optional<measure::Angle> stripes, bool oneWay, QColor cloth,
              measure::System units);

    /// What is shown is the soleplate of an iron.
    void showIron(const shape::Region& area, QColor colour, measure::System units) {
        m_isIron = true;
        show(area, std::nullopt, false, colour, units);
    }

signals:
    /// As it lies: 0° to the right, 90° down.
    void turned(double degrees);

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    void mousePressEvent(QMouseEvent* event) override { mouseMoveEvent(event); }
    void mouseMoveEvent(QMouseEvent* event) override;

private:
    shape::Region m_area;
    std::optional<measure::Angle> m_stripes;
    bool m_oneWay = false, m_isIron = false;
    QColor m_cloth;
    measure::System m_units = measure::System::inches;
};

} // namespace up::app
