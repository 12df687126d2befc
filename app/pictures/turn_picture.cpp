// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/turn_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "core/sheet/sheet.hpp"
#include "words/sentences.hpp"

#include <QPainter>
#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::app {
namespace {

constexpr double ontoCloth = 0.2, cutOut = 0.45, toFront = 0.65; // where the parts of the way begin
constexpr double turnMargin = 46;                                // pixels

/// How far through the part of the way between two moments, eased.
double through(double progress, double from, double to) {
    const double t = std::clamp((progress - from) / (to - from), 0.0, 1.0);
    return t * t * (3 - 2 * t);
}

/// Which side is seen, as on the mat: the paper side has a dashed frame and points left.
void paintBadge(QPainter& painter, double x, bool paperSide) {
    const QString words = QString(paperSide ? "◀  " : "▶  ") + q(words::sideWords(!paperSide));
    QFont font = painter.font();
    font.setBold(true);
    painter.setFont(font);
    const double half = QFontMetricsF(font).horizontalAdvance(words) / 2 + 12;
    const QRectF badge(x - half, 10, 2 * half, 28);
    painter.setBrush(paperSide ? look::q(look::webPaper) : look::q(look::panel));
    painter.setPen(QPen(look::q(look::slate), 1.4, paperSide ? Qt::DashLine : Qt::SolidLine));
    painter.drawRoundedRect(badge, 4, 4);
    painter.setPen(look::q(look::ink));
    painter.drawText(badge, Qt::AlignCenter, words);
}

} // namespace

TurnStage stageAt(double progress) {
    if (progress < ontoCloth) return TurnStage::traced;
    if (progress < cutOut) return TurnStage::ontoCloth;
    return progress < toFront ? TurnStage::cut : TurnStage::toFront;
}

TurnPicture::TurnPicture(const quilt::Quilt& quilt, BlockId blockId, PieceId chosen, QWidget* parent)
    : QWidget(parent) {
    setMinimumSize(420, 360);
    const auto* block = quilt::find(quilt.blocks, blockId);
    if (!block) return;
    for (const auto& piece : block->pieces) {
        if (chosen && piece.id != chosen) continue;
        const auto* fabric = quilt::find(quilt.fabrics, piece.fabric);
        m_parts.push_back({pathOf(sheet::contoursOf(quilt::placed(piece))),
                           fabric ? look::q(fabric->colour) : look::q(look::webPaper)});
        m_box |= m_parts.back().path.boundingRect();
    }
    const QPointF middle = m_box.center();
    for (auto& part : m_parts)
        part.path.translate(-middle);
    m_box.translate(-middle);
}

void TurnPicture::setProgress(double progress) {
    m_progress = progress;
    update();
}

void TurnPicture::paintParts(QPainter& painter, const QTransform& map, bool paperSide, bool cut) const {
    const QRectF sheet = m_box.adjusted(-8, -8, 8, 8);
    if (!cut) {
        QPainterPath whole;
        whole.addRect(sheet);
        painter.setPen(QPen(look::q(look::slate), 1.4, paperSide ? Qt::DashLine : Qt::SolidLine));
        painter.setBrush(paperSide || m_parts.empty() ? look::q(look::webPaper) : m_parts.front().cloth);
        painter.drawPath(map.map(whole));
    }
    for (const auto& part : m_parts) {
        painter.setBrush(paperSide ? (cut ? QBrush(look::q(look::webPaper)) : QBrush(Qt::NoBrush))
                                   : QBrush(part.cloth));
        painter.setPen(QPen(look::q(look::pencil), paperSide ? 2.2 : 1.4));
        painter.drawPath(map.map(part.path));
    }
}

void TurnPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), look::q(look::mat));
    if (m_parts.empty()) return;
    const double room = std::min((width() / 2.0 - turnMargin) / (m_box.width() + 16),
                                 (height() - 2 * turnMargin) / (m_box.height() + 16));
    // The template as seen stays on the left; on the right it goes its way.
    const double y = height() / 2.0;
    const auto at = [&](double x, double across) { return QTransform(room * across, 0, 0, room, x, y); };
    paintParts(painter, at(width() * 0.25, 1), false, true);
    paintBadge(painter, width() * 0.25, false);
    const double right = width() * 0.75;
    const auto stage = stageAt(m_progress);
    const bool second = stage == TurnStage::toFront;
    const double turned = second ? through(m_progress, toFront, 0.95) : 0;
    const double across = -std::cos(turned * std::numbers::pi);
    paintBadge(painter, right, across < 0);
    if (stage == TurnStage::traced) return paintParts(painter, at(right, -1), true, false);
    if (stage == TurnStage::ontoCloth) {
        // The cloth comes up from below and lies under the web, wrong side up.
        const double come = through(m_progress, ontoCloth, cutOut - 0.05);
        QTransform cloth = at(right, -1) * QTransform::fromTranslate(0, (1 - come) * height());
        QPainterPath patch;
        patch.addRect(m_box.adjusted(-14, -14, 14, 14));
        QColor wrongSide = m_parts.front().cloth.lighter(125);
        wrongSide.setAlphaF(0.75F);
        painter.setBrush(wrongSide);
        painter.setPen(QPen(look::q(look::ink), 1));
        painter.drawPath(cloth.map(patch));
        return paintParts(painter, at(right, -1), true, false);
    }
    paintParts(painter, at(right, across), across < 0, true);
}

} // namespace up::app
