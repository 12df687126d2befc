// SPDX-License-Identifier: GPL-3.0-or-later
// One moment of a template on its way to the front of the block.
#pragma once

#include "core/quilt/quilt.hpp"

#include <QColor>
#include <QPainterPath>
#include <QWidget>

namespace up::app {

/// The way in four parts: traced (mirrored, on the paper side), the web turned over onto the wrong side of
/// the cloth, cut out, turned over to the front.
enum class TurnStage { traced, ontoCloth, cut, toFront };
[[nodiscard]] TurnStage stageAt(double progress);

class TurnPicture : public QWidget {
    Q_OBJECT
public:
    TurnPicture(const quilt::Quilt& quilt, BlockId block, PieceId chosen, QWidget* parent = nullptr);
    void setProgress(double progress);

protected:
    void paintEvent(QPaintEvent*) override;

private:
    struct Part {
        QPainterPath path; ///< as seen from the front, mm about the middle
        QColor cloth;
    };
    void paintParts(QPainter& painter, const QTransform& map, bool paperSide, bool cut) const;
    std::vector<Part> m_parts;
    QRectF m_box;
    double m_progress = 0;
};

} // namespace up::app
