// SPDX-License-Identifier: GPL-3.0-or-later
// The cutting mat: shows a scene at true proportions; zoom, pan, click, drag, nudge.
#pragma once

#include "app/canvas/gesture.hpp"
#include "app/canvas/scene.hpp"

#include <QTimer>
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

    /// Who knows what may be moved, and what that means.
    void setTakeUp(TakeUp takeUp) { m_takeUp = std::move(takeUp); }
    /// Begins a gesture, ending one that goes on; false when that cannot be moved.
    bool take(const Grip& grip);
    /// Moves what is held, mm on the panel. `later`: once there is time, together with what else has come by
    /// then.
    void carry(double right, double down, bool later = false);
    /// Ends the gesture, if there is one: done.
    void letGo();
    /// Ends it: taken back.
    void cancel();
    [[nodiscard]] bool holds() const { return m_gesture != nullptr; }

    [[nodiscard]] QSize minimumSizeHint() const override { return {240, 140}; }

signals:
    /// `more`, with Ctrl: as well as what is chosen.
    void clicked(const up::sheet::Tag& tag, bool more);
    /// A frame drawn round what is to be chosen, in scenes that allow it; mm on the panel.
    void framed(std::size_t panel, up::shape::Box box, bool more);
    void panelClicked(const up::sheet::Tag& tag);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;
    bool event(QEvent* event) override;

private:
    struct Cell {
        QRectF whole, drawing;
        QTransform page; ///< panel mm → widget pixels
    };
    void arrange();
    /// `held`: the key is held down, and comes again faster than it may be shown.
    void nudge(int right, int down, bool far, bool held);
    void flush();
    /// The hand is empty again.
    [[nodiscard]] std::unique_ptr<Gesture> release();
    void paintPanel(QPainter& painter, const Panel& panel, const Cell& cell) const;
    void paintWords(QPainter& painter, const Panel& panel, const Cell& cell) const;
    void paintBadge(QPainter& painter, Side side, QPointF topLeft) const;
    [[nodiscard]] std::optional<std::size_t> panelAt(QPointF pixel) const;

    Scene m_scene;
    std::vector<Cell> m_cells;
    double m_zoom = 1;
    QPointF m_pan;
    double m_beyond = 0, m_scroll = 0; ///< pixels of rows below the mat, and how far they are scrolled up
    TakeUp m_takeUp;
    std::unique_ptr<Gesture> m_gesture;
    bool m_byKeys = false;
    QPointF m_toCarry;       ///< mm not passed on yet
    QTimer m_breath, m_rest; ///< until the next step is passed on; until a series of arrow keys is over
    sheet::Tag m_held;       ///< what the button was pressed on
    std::size_t m_heldPanel = 0;
    QPointF m_last;
    bool m_panning = false, m_moved = false;
    std::optional<QPointF> m_frame; ///< where a frame was begun
};

} // namespace up::app
