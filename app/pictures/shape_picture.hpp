// SPDX-License-Identifier: GPL-3.0-or-later
// Shapes on their block, with the measures of the whole beside them.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "app/questions/shaping.hpp"

#include <QPainterPath>

namespace up::app {

class ShapePicture : public FittedPicture {
    Q_OBJECT
public:
    explicit ShapePicture(const ShapeQuestion& question, QWidget* parent = nullptr);
    void show(const std::vector<edit::NewShape>& shapes);
    [[nodiscard]] QSize sizeHint() const override { return {420, 420}; }

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;

private:
    const ShapeQuestion& m_question;
    QPainterPath m_path; ///< mm
};

/// A small picture of a shape for a list.
[[nodiscard]] QPixmap shapeIcon(const shape::Outline& outline, int side);

} // namespace up::app
