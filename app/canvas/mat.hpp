// SPDX-License-Identifier: GPL-3.0-or-later
// The cutting mat: shows a scene at true proportions; zoom, pan, click, drag, nudge.
#pragma once

#include "app/canvas/scene.hpp"

#include <QTransform>
#include <QWidget>
#include <optional>

namespace up::app {

class Mat : public QWidget {
    Q_OBJECT
public:
    explicit Mat(QWidget* parent = nullptr);

    void show(Scene scene);
    [[nodiscard]] const Scene& scene() const { return m_scene; }
    /// Where a point of a panel lies in the widget.
    [[nodiscard]] QPointF pixelOf(std::size_t panel, shape::Point point) const;
    void zoomBy(double factor);
    void fit();

    [[nodiscard]] QSize minimumSizeHint() const override { return {360, 300}; }

signals:
    /// `more`, with Ctrl: as well as what is chosen.
    void clicked(std::uint32_t tag, bool more);
    /// A frame drawn round what is to be chosen, in scenes that allow it; mm on the panel.
    void framed(std::size_t panel, up::shape::Box box, bool more);
    void panelClicked(std::uint32_t tag);
    /// While dragging a piece: how far since the last time, mm on the panel; `alone`
    /// with Shift.
    void dragged(std::uint32_t tag, double right, double down, bool alone);
    void dropped();
    /// Arrow keys, in steps: -1, 0 or 1 each; `far` with Shift.
    void nudged(int right, int down, bool far);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    struct Cell {
        QRectF whole, drawing;
        QTransform page; ///< panel mm → widget pixels
    };
    void arrange();
    void paintPanel(QPainter& painter, const Panel& panel, const Cell& cell) const;
    void paintWords(QPainter& painter, const Panel& panel, const Cell& cell) const;
    void paintBadge(QPainter& painter, Side side, QPointF topLeft) const;
    [[nodiscard]] std::optional<std::size_t> panelAt(QPointF pixel) const;

    Scene m_scene;
    std::vector<Cell> m_cells;
    double m_zoom = 1;
    QPointF m_pan;
    double m_beyond = 0, m_scroll = 0; ///< pixels of rows below the mat, and how far they are scrolled up
    std::uint32_t m_held = 0;
    std::size_t m_heldPanel = 0;
    QPointF m_last;
    bool m_panning = false, m_moved = false;
    std::optional<QPointF> m_frame; ///< where a frame was begun
};

} // namespace up::app
