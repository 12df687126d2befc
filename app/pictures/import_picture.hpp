// SPDX-License-Identifier: GPL-3.0-or-later
// The page with what was found on it; a click changes what becomes of a shape.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "app/questions/importing.hpp"

#include <QPainterPath>

namespace up::app {

class ImportPicture : public FittedPicture {
    Q_OBJECT
public:
    explicit ImportPicture(QWidget* parent = nullptr);
    void show(const quilt::Drawing& drawing);
    void setRoles(const std::vector<edit::Role>& roles);
    void setPointed(int shape); ///< −1: none
    [[nodiscard]] QSize sizeHint() const override { return {560, 560}; }
    /// The topmost shape at a place of the widget; −1: none.
    [[nodiscard]] int shapeAt(QPointF pixel) const;

    /// A ruler is dragged over the page instead of clicking shapes.
    void setMeasuring(bool on);
    /// Length of the ruler, mm on the page; 0 until one was dragged.
    [[nodiscard]] double marked() const { return shape::distance(m_from, m_to); }

signals:
    void markMoved();
    void clicked(int shape);

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

private:
    quilt::Drawing m_drawing;
    std::vector<QPainterPath> m_paths;
    std::vector<QPainterPath> m_marks, m_dotted;
    bool m_measuring = false;
    shape::Point m_from, m_to; ///< the ruler, mm on the page
    QPainterPath m_loose;      ///< lines that lie on no shape
    std::vector<edit::Role> m_roles;
    QRectF m_area; ///< page and shapes, mm
    int m_pointed = -1;
};

} // namespace up::app
