// SPDX-License-Identifier: GPL-3.0-or-later
// A piece stitched with several threads, side by side.
#pragma once

#include "app/questions/sewing.hpp"

#include <QPainterPath>
#include <QRectF>
#include <QWidget>

namespace up::app {

class ThreadsPicture : public QWidget {
    Q_OBJECT
public:
    explicit ThreadsPicture(const ThreadsQuestion& question, QWidget* parent = nullptr);
    /// Up to `tiles` of them; one is framed.
    void show(std::vector<ThreadTried> threads, ThreadId chosen);
    static constexpr int across = 3, down = 2, tiles = across * down;
    [[nodiscard]] QRectF tile(int i) const;

signals:
    void picked(ThreadId thread);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;

private:
    void paintTile(QPainter& painter, int i) const;

    Colour m_cloth, m_ground;
    QPainterPath m_piece;
    std::vector<shape::Polyline> m_stitches;
    QRectF m_detail; ///< that is seen, mm
    std::vector<ThreadTried> m_threads;
    ThreadId m_chosen;
};

} // namespace up::app
