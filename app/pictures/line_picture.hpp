// SPDX-License-Identifier: GPL-3.0-or-later
// A block with one of its lines, stitch by stitch; where that is wanted, a line is drawn with the mouse.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "core/quilt/quilt.hpp"
#include "core/sheet/sheet.hpp"

namespace up::app {

class LinePicture : public FittedPicture {
    Q_OBJECT
public:
    explicit LinePicture(QWidget* parent = nullptr);
    /// The line as part of the block; none: the block alone.
    void show(const quilt::Quilt& quilt, BlockId block, const quilt::Line* line);
    void setDrawing(bool draws);

signals:
    /// A stroke that was drawn, mm on the block, smoothed; of a click a dot.
    void drawn(const up::shape::Contour& stroke);

protected:
    [[nodiscard]] QRectF area() const override { return m_area; }
    void paint(QPainter& painter, const QTransform& map) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

private:
    std::vector<sheet::Layer> m_layers;
    QRectF m_area{0, 0, 100, 100}; ///< mm
    bool m_draws = false;
    shape::Polyline m_path; ///< under the mouse, mm
};

} // namespace up::app
