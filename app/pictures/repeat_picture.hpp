// SPDX-License-Identifier: GPL-3.0-or-later
// One repeat of a decorative stitch, drawn hole by hole on a grid; how it runs along an edge beside it.
#pragma once

#include "app/pictures/fitted_picture.hpp"

#include <vector>

namespace up::app {

/// Where the needle goes through: x 0…1 of the length, y -1…1 of half the width, towards the piece > 0.
class RepeatPicture : public FittedPicture {
    Q_OBJECT
public:
    explicit RepeatPicture(QWidget* parent = nullptr);
    void show(std::vector<shape::Point> holes);
    [[nodiscard]] const std::vector<shape::Point>& holes() const { return m_holes; }
    static constexpr int along = 12, across = 8; ///< cells of the grid
    static constexpr int repeats = 3;            ///< that are seen; the first is drawn

    void undoHole();

signals:
    void drawn();

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    std::vector<shape::Point> m_holes;
};

} // namespace up::app
