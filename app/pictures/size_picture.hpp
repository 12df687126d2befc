// SPDX-License-Identifier: GPL-3.0-or-later
// The block at its new size over its old one, with thin parts and a ruler whose ends are dragged.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "app/questions/sizing.hpp"

#include <QPainterPath>
#include <QPixmap>

class QTimer;

namespace up::app {

class SizePicture : public FittedPicture {
    Q_OBJECT
public:
    explicit SizePicture(const SizeQuestion& question, QWidget* parent = nullptr);

    /// What grows is the whole block, or the chosen piece about its own middle.
    void show(bool wholeBlock, double factor);
    /// Thin parts at the factor last worked out, by piece.
    void setThin(std::vector<std::vector<shape::Narrow>> thin, double factor);
    /// Length of the ruler on the block as it is now, mm.
    [[nodiscard]] double marked() const { return shape::distance(m_from, m_to); }
    [[nodiscard]] QSize sizeHint() const override { return {460, 460}; }

signals:
    void markMoved();

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override { m_held = nullptr; }

    /// From mm of the block as it is now, at its new size.
    [[nodiscard]] QTransform toWidget() const override;

private:
    void paintPieces(QPainter& painter, const QTransform& map) const;
    void paintThin(QPainter& painter, const QTransform& map) const;
    void paintRuler(QPainter& painter, const QTransform& map) const;

    const SizeQuestion& m_question;
    std::vector<QPainterPath> m_paths; ///< mm
    QPixmap m_drawn; ///< the pieces as last drawn, shown enlarged or reduced while the scale is dragged
    double m_drawnFactor = 0;
    QTimer* m_still; ///< runs out when the scale has come to rest
    std::vector<std::vector<shape::Narrow>> m_thin;
    double m_factor = 1, m_thinFactor = 1;
    bool m_whole = true;
    shape::Point m_from, m_to; ///< the ruler's ends, mm
    shape::Point* m_held = nullptr;
};

} // namespace up::app
