// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/canvas/stroking.hpp"

#include <QPaintEngine>
#include <cmath>

namespace up::app {
namespace {

/// The part of a segment that lies in the box: from and to, 0 to 1 along it. Source: Liang & Barsky, "A new
/// concept and method for line clipping", 1984.
std::optional<std::pair<double, double>> within(const QRectF& box, QPointF a, QPointF b) {
    double from = 0, to = 1;
    const QPointF d = b - a;
    const auto cut = [&](double p, double q) {
        if (p == 0) return q >= 0;
        const double r = q / p;
        if (p < 0) from = std::max(from, r);
        if (p > 0) to = std::min(to, r);
        return from <= to;
    };
    if (cut(-d.x(), a.x() - box.left()) && cut(d.x(), box.right() - a.x()) &&
        cut(-d.y(), a.y() - box.top()) && cut(d.y(), box.bottom() - a.y()))
        return std::pair{from, to};
    return std::nullopt;
}

class Strokes {
public:
    Strokes(QPainter& painter, QPen pen, const QRectF& box)
        : m_painter(painter), m_pen(std::move(pen)), m_box(box) {}

    void draw(const QPolygonF& line) {
        double along = 0;
        for (int i = 1; i < line.size(); ++i) {
            const QPointF a = line[i - 1], b = line[i];
            const double length = std::hypot(b.x() - a.x(), b.y() - a.y());
            if (const auto part = within(m_box, a, b)) {
                if (part->first > 0) flush();
                if (m_run.isEmpty())
                    m_run << a + (b - a) * part->first, m_begin = along + length * part->first;
                m_run << a + (b - a) * part->second;
                if (part->second < 1) flush();
            } else {
                flush();
            }
            along += length;
        }
        flush();
    }

private:
    void flush() {
        if (m_run.size() > 1) {
            if (m_pen.style() == Qt::CustomDashLine) m_pen.setDashOffset(m_begin / m_pen.widthF());
            m_painter.setPen(m_pen);
            m_painter.drawPolyline(m_run);
        }
        m_run.clear();
    }
    QPainter& m_painter;
    QPen m_pen;
    QRectF m_box;
    QPolygonF m_run;
    double m_begin = 0;
};

} // namespace

std::optional<QRectF> inSight(const QPainter& painter) {
    const auto* engine = painter.paintEngine();
    if (!engine || engine->type() != QPaintEngine::Raster) return std::nullopt;
    QRectF seen(0, 0, painter.device()->width(), painter.device()->height());
    const auto map = painter.transform().inverted();
    if (painter.hasClipping()) seen &= painter.transform().mapRect(painter.clipBoundingRect());
    return map.mapRect(seen);
}

void stroke(QPainter& painter, const QPainterPath& path, const QPen& pen) {
    const auto seen = inSight(painter);
    const double wide = pen.widthF();
    if (!seen) return painter.strokePath(path, pen);
    const auto near = seen->adjusted(-wide, -wide, wide, wide);
    const auto box = path.controlPointRect();
    if (!near.intersects(box.adjusted(-wide, -wide, wide, wide))) return;
    if (near.contains(box)) return painter.strokePath(path, pen);
    painter.save();
    painter.setBrush(Qt::NoBrush);
    Strokes strokes(painter, pen, near.adjusted(-wide, -wide, wide, wide));
    for (const auto& line : path.toSubpathPolygons())
        strokes.draw(line);
    painter.restore();
}

} // namespace up::app
