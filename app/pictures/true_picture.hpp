// SPDX-License-Identifier: GPL-3.0-or-later
// One piece at its true size on this screen, to hold the cut one against.
#pragma once

#include "app/pictures/fitted_picture.hpp"
#include "core/quilt/quilt.hpp"

#include <QColor>
#include <QPainterPath>

namespace up::app {

class TruePicture : public FittedPicture {
    Q_OBJECT
public:
    explicit TruePicture(QWidget* parent = nullptr);
    /// The piece as its drawing has it, turned; seen from the paper side when `fromPaper`.
    void show(const quilt::Piece& piece, measure::Angle turn, QColor cloth, bool fromPaper);
    /// How many times smaller than true it is drawn, since it does not fit; 1 when it is true.
    [[nodiscard]] double reduction() const;

signals:
    /// The picture grew or shrank: the reduction may be another.
    void resized();

protected:
    [[nodiscard]] QRectF area() const override;
    void paint(QPainter& painter, const QTransform& map) override;
    [[nodiscard]] QTransform toWidget() const override;
    void resizeEvent(QResizeEvent*) override { emit resized(); }

private:
    QPainterPath m_path; ///< mm, about its middle
    QColor m_cloth;
};

} // namespace up::app
