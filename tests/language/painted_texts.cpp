// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/language/painted_texts.hpp"

#include <QPaintDevice>
#include <QPaintEngine>
#include <QPainter>
#include <QWidget>
#include <cmath>

namespace up::test {
namespace {

/// Draws nothing, and remembers what was to be written.
class Listener : public QPaintEngine {
public:
    explicit Listener(std::vector<PaintedText>& out) : QPaintEngine(AllFeatures), m_out(out) {}
    bool begin(QPaintDevice*) override { return true; }
    bool end() override { return true; }
    void updateState(const QPaintEngineState&) override {}
    void drawPixmap(const QRectF&, const QPixmap&, const QRectF&) override {}
    void drawImage(const QRectF&, const QImage&, const QRectF&, Qt::ImageConversionFlags) override {}
    void drawPath(const QPainterPath&) override {}
    void drawPolygon(const QPointF*, int, PolygonDrawMode) override {}
    void drawTextItem(const QPointF& at, const QTextItem& item) override {
        const QRectF box(at.x(), at.y() - item.ascent(), item.width(), item.ascent() + item.descent());
        const QRectF where = painter()->transform().mapRect(box);
        // A line is written in runs, one for each font that has to help out.
        if (!m_out.empty()) {
            auto& last = m_out.back();
            const QPointF on = where.topLeft() - last.where.topRight();
            if (std::abs(on.y()) < 2 && std::abs(on.x()) < 2) {
                last.text += item.text(), last.where |= where;
                return;
            }
        }
        m_out.push_back({item.text(), where});
    }
    [[nodiscard]] Type type() const override { return User; }

private:
    std::vector<PaintedText>& m_out;
};

class Ear : public QPaintDevice {
public:
    Ear(QSize size, std::vector<PaintedText>& out) : m_size(size), m_listener(out) {}
    [[nodiscard]] QPaintEngine* paintEngine() const override { return &m_listener; }

protected:
    [[nodiscard]] int metric(PaintDeviceMetric which) const override {
        switch (which) {
        case PdmWidth: return m_size.width();
        case PdmHeight: return m_size.height();
        case PdmDpiX:
        case PdmDpiY:
        case PdmPhysicalDpiX:
        case PdmPhysicalDpiY: return 96;
        case PdmDevicePixelRatio: return 1;
        case PdmDevicePixelRatioScaled: return static_cast<int>(devicePixelRatioFScale());
        case PdmDepth: return 32;
        default: return QPaintDevice::metric(which);
        }
    }

private:
    QSize m_size;
    mutable Listener m_listener;
};

} // namespace

std::vector<PaintedText> textsPaintedBy(QWidget& widget) {
    std::vector<PaintedText> out;
    Ear ear(widget.size(), out);
    QPainter painter(&ear);
    widget.render(&painter, {}, {}, {});
    painter.end();
    return out;
}

} // namespace up::test
