// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/size_picture.hpp"

#include "app/look/text.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "core/sheet/sheet.hpp"
#include "words/judge_words.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <QTimer>
#include <algorithm>

namespace up::app {
namespace {

constexpr double sizeMargin = 18, handle = 9; // pixels

void writeOn(QPainter& painter, QPointF at, const QString& text, const QColor& colour) {
    QFont font = painter.font();
    font.setPixelSize(14);
    font.setBold(true);
    QPainterPath path;
    path.addText(at, font, text);
    painter.strokePath(path, QPen(QColor(255, 255, 255, 230), 4));
    painter.fillPath(path, colour);
}

} // namespace

SizePicture::SizePicture(const SizeQuestion& question, QWidget* parent)
    : FittedPicture(parent, {300, 300}, {sizeMargin, sizeMargin, sizeMargin, sizeMargin}),
      m_question(question), m_still(new QTimer(this)) {
    m_still->setSingleShot(true);
    m_still->setInterval(120);
    connect(m_still, &QTimer::timeout, this, [this] { update(); });
    shape::Box box;
    for (const auto& piece : question.block.pieces) {
        m_paths.push_back(pathOf(sheet::contoursOf(quilt::placed(piece))));
        if (!question.chosen || piece.id == question.chosen) box.take(boundsOf(quilt::placed(piece)));
    }
    // Low down and within the block, where it hides least.
    const double low = box.top + box.height() * 0.9;
    m_from = {std::max(box.left, 0.0), low};
    m_to = {std::min(box.right, question.block.width.mm()), low};
    m_thin.resize(m_paths.size());
    setCursor(Qt::CrossCursor);
}

void SizePicture::show(bool wholeBlock, double factor) {
    const bool moves = wholeBlock && m_whole && factor != m_factor;
    m_whole = wholeBlock;
    m_factor = factor;
    if (moves)
        m_still->start();
    else
        m_drawn = {};
    update();
}

void SizePicture::setThin(std::vector<std::vector<shape::Narrow>> thin, double factor) {
    m_thin = std::move(thin);
    m_thinFactor = factor;
    update();
}

/// The larger of old and new.
QRectF SizePicture::area() const {
    const double w = m_question.block.width.mm(), h = m_question.block.height.mm();
    const double more = (std::max(1.0, m_whole ? m_factor : 1.0) - 1) / 2;
    return QRectF(0, 0, w, h).adjusted(-w * more, -h * more, w * more, h * more);
}

QTransform SizePicture::toWidget() const {
    const double grown = m_whole ? m_factor : 1;
    const QPointF middle = area().center();
    return QTransform::fromTranslate(-middle.x(), -middle.y()) * QTransform::fromScale(grown, grown) *
           QTransform::fromTranslate(middle.x(), middle.y()) * FittedPicture::toWidget();
}

void SizePicture::paint(QPainter& painter, const QTransform& map) {
    const double w = m_question.block.width.mm(), h = m_question.block.height.mm();
    const QRectF target = map.mapRect(QRectF(0, 0, w, h));
    if (m_whole && m_still->isActive() && !m_drawn.isNull()) {
        // While it moves, the last picture in the new size: it is drawn anew once it rests.
        const double by = target.width() / m_drawnFactor;
        const QSizeF size = QSizeF(m_drawn.size()) * by;
        painter.drawPixmap(
            QRectF(QPointF((width() - size.width()) / 2, (height() - size.height()) / 2), size), m_drawn,
            m_drawn.rect());
    } else if (m_whole) {
        m_drawn = QPixmap(size());
        m_drawn.fill(look::q(look::mat));
        QPainter within(&m_drawn);
        within.setRenderHint(QPainter::Antialiasing);
        paintPieces(within, map);
        m_drawnFactor = target.width();
        painter.drawPixmap(0, 0, m_drawn);
    } else {
        paintPieces(painter, map);
    }
    if (m_whole && m_factor != 1) { // the old size behind the new
        const QTransform old = QTransform::fromTranslate(-w / 2, -h / 2) *
                               QTransform::fromScale(1 / m_factor, 1 / m_factor) *
                               QTransform::fromTranslate(w / 2, h / 2) * map;
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(look::q(look::brassBright), 1.4, Qt::DashLine));
        painter.drawRect(old.mapRect(QRectF(0, 0, w, h)));
    }
    paintThin(painter, map);
    paintRuler(painter, map);
}

void SizePicture::paintPieces(QPainter& painter, const QTransform& map) const {
    const double w = m_question.block.width.mm(), h = m_question.block.height.mm();
    painter.fillRect(map.mapRect(QRectF(0, 0, w, h)), look::q(look::panel));
    QPen pen(look::q(look::pencil), 1.2);
    painter.setPen(pen);
    painter.setBrush(QColor(0xE9, 0xE4, 0xD2));
    for (std::size_t i = 0; i < m_paths.size(); ++i) {
        const bool chosen = m_question.block.pieces[i].id == m_question.chosen;
        QTransform own = map;
        if (!m_whole && chosen) {
            const QPointF middle = m_paths[i].boundingRect().center();
            own = QTransform::fromTranslate(-middle.x(), -middle.y()) *
                  QTransform::fromScale(m_factor, m_factor) *
                  QTransform::fromTranslate(middle.x(), middle.y()) * map;
        }
        painter.setBrush(chosen && !m_whole ? look::q(look::brassBright) : QColor(0xE9, 0xE4, 0xD2));
        painter.drawPath(own.map(m_paths[i]));
    }
}

void SizePicture::paintThin(QPainter& painter, const QTransform& map) const {
    painter.setPen(QPen(look::q(look::rust), 3));
    int written = 0;
    for (std::size_t i = 0; i < m_thin.size(); ++i)
        for (const auto& part : m_thin[i]) {
            const QPointF at = map.map(QPointF(part.narrowest.middle.x, part.narrowest.middle.y));
            painter.setBrush(Qt::NoBrush);
            painter.setPen(QPen(look::q(look::rust), 3));
            painter.drawEllipse(at, 9, 9);
            if (++written <= 12)
                writeOn(painter, at + QPointF(12, 5),
                        q(words::fineWords(part.narrowest.width, m_question.units)), look::q(look::rust));
        }
}

void SizePicture::paintRuler(QPainter& painter, const QTransform& map) const {
    const QPointF a = map.map(QPointF(m_from.x, m_from.y)), b = map.map(QPointF(m_to.x, m_to.y));
    painter.setPen(QPen(look::q(look::ink), 4));
    painter.drawLine(a, b);
    painter.setPen(QPen(look::q(look::brassBright), 2));
    painter.drawLine(a, b);
    painter.setBrush(look::q(look::brassBright));
    painter.setPen(QPen(look::q(look::ink), 1.5));
    for (const QPointF end : {a, b})
        painter.drawEllipse(end, handle - 2, handle - 2);
    const auto length = measure::Length::ofMm(marked() * m_factor);
    writeOn(painter, (a + b) / 2 + QPointF(-20, -10), q(measure::say(length, m_question.units)),
            look::q(look::ink));
}

void SizePicture::mousePressEvent(QMouseEvent* event) {
    const auto away = [&](shape::Point p) { return QLineF(pixelOf(p), event->position()).length(); };
    m_held = away(m_from) < away(m_to) ? &m_from : &m_to;
    mouseMoveEvent(event);
}

void SizePicture::mouseMoveEvent(QMouseEvent* event) {
    if (!m_held) return;
    *m_held = mmAt(event->position());
    update();
    emit markMoved();
}

} // namespace up::app
