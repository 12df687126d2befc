// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/canvas/mat.hpp"

#include "app/canvas/mat_layout.hpp"
#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "words/sentences.hpp"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QWheelEvent>
#include <utility>

namespace up::app {
namespace {

constexpr double border = 18, badgeHeight = 34;

void paintRules(QPainter& painter, const QRectF& room) {
    painter.setRenderHint(QPainter::Antialiasing, false);
    painter.fillRect(room, look::q(look::mat));
    constexpr int step = 24;
    for (int i = 1; i * step < std::max(room.width(), room.height()); ++i) {
        painter.setPen(QPen(look::q(i % 4 == 0 ? look::matRuleBold : look::matRule), 1));
        painter.drawLine(QPointF(i * step, 0), QPointF(i * step, room.height()));
        painter.drawLine(QPointF(0, i * step), QPointF(room.width(), i * step));
    }
    painter.setRenderHint(QPainter::Antialiasing);
}

QFont sized(const QPainter& painter, int pixels, bool bold) {
    QFont font = painter.font();
    font.setPixelSize(pixels);
    font.setBold(bold);
    return font;
}

} // namespace

Mat::Mat(QWidget* parent) : QWidget(parent) {
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(false);
    m_breath.setSingleShot(true);
    m_breath.setInterval(0);
    connect(&m_breath, &QTimer::timeout, this, &Mat::flush);
    constexpr int series = 1000; // ms between arrow keys that are one step
    m_rest.setSingleShot(true);
    m_rest.setInterval(series);
    connect(&m_rest, &QTimer::timeout, this, &Mat::letGo);
}

void Mat::show(Scene scene) {
    if (m_gesture && !m_byKeys && m_heldPanel >= scene.panels.size()) cancel();
    const bool other = scene.panels.size() != m_scene.panels.size() || scene.sameScale != m_scene.sameScale;
    m_scene = std::move(scene);
    if (other) fit();
    arrange();
    update();
}

void Mat::fit() {
    m_zoom = 1;
    m_pan = {};
    m_scroll = 0;
    arrange();
    update();
}

void Mat::zoomBy(double factor) {
    const double zoom = std::clamp(m_zoom * factor, 1.0, 16.0);
    m_pan *= zoom / m_zoom;
    m_zoom = zoom;
    if (m_zoom <= 1.0) m_pan = {};
    arrange();
    update();
}

QPointF Mat::pixelOf(std::size_t panel, shape::Point point) const {
    return m_cells.at(panel).page.map(QPointF(point.x, point.y));
}

void Mat::arrange() {
    m_cells.clear();
    const double top = m_scene.badges == Badges::arrows ? 0 : badgeHeight;
    const QRectF room = QRectF(rect()).adjusted(border, border + top, -border, -border);
    if (m_scene.panels.empty() || room.width() < 10 || room.height() < 10) return;
    const QPointF middle = room.center();
    QTransform zoom;
    zoom.translate(middle.x() + m_pan.x(), middle.y() + m_pan.y());
    zoom.scale(m_zoom, m_zoom);
    zoom.translate(-middle.x(), -middle.y());
    const auto shelves = shelvesFor(m_scene, room);
    m_beyond = 0;
    for (const auto& shelf : shelves)
        m_beyond = std::max(m_beyond, shelf.whole.bottom() - room.bottom());
    m_scroll = std::clamp(m_scroll, 0.0, m_beyond);
    zoom.translate(0, -m_scroll);
    for (std::size_t i = 0; i < shelves.size(); ++i) {
        const auto& box = m_scene.panels[i].box;
        QTransform page;
        page.translate(shelves[i].drawing.left(), shelves[i].drawing.top());
        page.scale(shelves[i].scale, shelves[i].scale);
        page.translate(-box.left, -box.top);
        m_cells.push_back({zoom.mapRect(shelves[i].whole), zoom.mapRect(shelves[i].drawing), page * zoom});
    }
}

void Mat::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    paintRules(painter, rect());
    if (m_cells.empty()) {
        painter.setFont(sized(painter, 20, true));
        painter.setPen(Qt::white);
        painter.drawText(rect().adjusted(40, 40, -40, -40), Qt::AlignCenter | Qt::TextWordWrap,
                         q(m_scene.empty));
        return;
    }
    for (std::size_t i = 0; i < m_cells.size(); ++i)
        paintPanel(painter, m_scene.panels[i], m_cells[i]);
    if (m_scene.badges == Badges::pair) {
        painter.fillRect(QRectF(0, 0, width(), badgeHeight + 10),
                         look::q(look::mat)); // over what is scrolled beneath
        paintBadge(painter, Side::front, {border, 12});
        paintBadge(painter, Side::paper, {border + 180, 12});
    }
    if (m_scene.badges == Badges::one) paintBadge(painter, m_scene.panels.front().side, {border, 12});
    if (!m_frame || !m_moved) return;
    painter.setPen(QPen(look::q(look::brassBright), 2, Qt::DashLine));
    painter.setBrush(QColor(255, 255, 255, 40));
    painter.drawRect(QRectF(*m_frame, m_last).normalized());
}

void Mat::paintPanel(QPainter& painter, const Panel& panel, const Cell& cell) const {
    for (const auto& layer : panel.layers)
        paintLayer(painter, layer, cell.page);
    for (const auto& layer : panel.layers)
        paintFlags(painter, layer, cell.page);
    if (panel.side != Side::plain || panel.chosen) {
        QPen pen(panel.chosen ? look::q(look::brassBright) : QColor(255, 255, 255, 190),
                 panel.chosen ? 4 : 1.5);
        if (isReversed(panel.side)) pen.setDashPattern({9 / pen.widthF(), 6 / pen.widthF()});
        painter.setPen(pen);
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(cell.drawing.adjusted(-3, -3, 3, 3));
    }
    paintWords(painter, panel, cell);
    if (m_scene.badges == Badges::each)
        paintBadge(painter, panel.side, cell.drawing.topLeft() - QPointF(3, badgeHeight + 3));
}

void Mat::paintWords(QPainter& painter, const Panel& panel, const Cell& cell) const {
    const QRectF words(cell.whole.left(), 0, cell.whole.width(), captionHeight);
    painter.setPen(Qt::white);
    painter.setFont(sized(painter, 15, true));
    const auto shortened = [&](const std::string& text) {
        return painter.fontMetrics().elidedText(q(text), Qt::ElideRight, static_cast<int>(words.width()));
    };
    const char* arrow = m_scene.badges != Badges::arrows || panel.side == Side::plain ? ""
                        : panel.side == Side::front                                   ? "▶ "
                                                                                      : "◀ ";
    const QString caption = shortened(arrow + std::string(panel.done ? "✓ " : "") + panel.caption);
    painter.drawText(words.translated(0, cell.drawing.top() - captionHeight - 4), Qt::AlignCenter, caption);
    double y = cell.drawing.bottom() + 5;
    if (panel.hasStair) {
        const double w = std::min(16.0, cell.drawing.width() / 10), left = cell.drawing.center().x() - 4 * w;
        for (std::size_t i = 0; i < panel.stair.size(); ++i) {
            if (panel.stair[i] < 0) continue;
            const double h = 5 + 1.5 * static_cast<double>(i);
            const QRectF step(left + static_cast<double>(i) * w, y + 16 - h, w - 2, h);
            painter.fillRect(step, QColor(255, 255, 255, 60));
            QRectF full = step;
            full.setTop(step.bottom() - step.height() * panel.stair[i]);
            painter.fillRect(full,
                             panel.stair[i] >= 1 ? QColor(0x8F, 0xC7, 0x9B) : look::q(look::brassBright));
        }
        y += 18;
    }
    painter.setFont(sized(painter, 14, false));
    painter.drawText(QRectF(words.left(), y, words.width(), belowHeight - 4),
                     Qt::AlignHCenter | Qt::AlignTop | Qt::TextWordWrap, q(panel.below));
}

void Mat::paintBadge(QPainter& painter, Side side, QPointF topLeft) const {
    if (side == Side::plain) return;
    const bool front = side == Side::front;
    const QString text =
        QString(front ? "▶  " : "◀  ") + q(side == Side::back ? words::backWords() : words::sideWords(front));
    painter.setFont(sized(painter, 15, true));
    const QRectF box(topLeft, QSizeF(painter.fontMetrics().horizontalAdvance(text) + 24, 28));
    QPen frame(front ? look::q(look::ink) : look::q(look::pencil), 2);
    if (!front) frame.setDashPattern({4, 3});
    painter.setPen(frame);
    painter.setBrush(look::q(front ? look::panel : look::webPaper));
    painter.drawRoundedRect(box, 4, 4);
    painter.setPen(look::q(look::ink));
    painter.drawText(box, Qt::AlignCenter, text);
}

std::optional<std::size_t> Mat::panelAt(QPointF pixel) const {
    for (std::size_t i = 0; i < m_cells.size(); ++i)
        if (m_cells[i].whole.contains(pixel)) return i;
    return std::nullopt;
}

void Mat::resizeEvent(QResizeEvent*) {
    arrange();
}

bool Mat::take(const Grip& grip) {
    letGo();
    m_gesture = m_takeUp ? m_takeUp(grip) : nullptr;
    m_byKeys = grip.byKeys;
    return holds();
}

void Mat::carry(double right, double down, bool later) {
    m_toCarry += QPointF(right, down);
    if (!later) return flush();
    if (!m_breath.isActive()) m_breath.start();
}

void Mat::flush() {
    if (!m_gesture || m_toCarry.isNull()) return;
    const auto by = std::exchange(m_toCarry, {});
    m_gesture->moved(by.x(), by.y());
}

std::unique_ptr<Gesture> Mat::release() {
    m_toCarry = {};
    m_rest.stop();
    m_held = {};
    return std::exchange(m_gesture, nullptr);
}

void Mat::letGo() {
    flush();
    if (const auto gesture = release()) gesture->done();
}

void Mat::cancel() {
    if (const auto gesture = release()) gesture->cancelled();
}

void Mat::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton && (m_gesture || m_frame || m_panning)) {
        m_panning = false;
        m_frame.reset();
        update();
        return cancel();
    }
    letGo(); // of a series of arrow keys
    m_last = event->position();
    m_moved = false;
    m_held = {};
    const auto panel = panelAt(m_last);
    if (panel && event->button() == Qt::LeftButton) {
        m_heldPanel = *panel;
        m_held = tagAt(m_scene.panels[*panel].layers, m_cells[*panel].page, m_last);
        const auto own = m_scene.panels[*panel].tag;
        emit clicked(m_held, event->modifiers().testFlag(Qt::ControlModifier));
        if (sheet::isSet(own)) emit panelClicked(own);
    }
    const bool frames = panel && !sheet::isSet(m_held) && m_scene.framing &&
                        event->button() == Qt::LeftButton &&
                        (m_zoom <= 1 || event->modifiers().testFlag(Qt::ControlModifier));
    m_frame = frames ? std::optional(m_last) : std::nullopt;
    m_panning = !frames && !(sheet::isSet(m_held) && m_scene.draggable) && m_zoom > 1;
}

void Mat::mouseMoveEvent(QMouseEvent* event) {
    const QPointF step = event->position() - m_last;
    if (!m_moved && step.manhattanLength() < 3) return;
    const bool first = !std::exchange(m_moved, true);
    m_last = event->position();
    if (first && sheet::isSet(m_held) && m_scene.draggable)
        take({m_held, event->modifiers().testFlag(Qt::ShiftModifier), false});
    if (m_gesture && m_heldPanel < m_cells.size()) {
        const auto& page = m_cells[m_heldPanel].page;
        carry(step.x() / page.m11(), step.y() / page.m22());
    } else if (m_frame) {
        update();
    } else if (m_panning) {
        m_pan += step;
        arrange();
        update();
    }
}

void Mat::mouseReleaseEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton && event->buttons().testFlag(Qt::LeftButton)) return;
    letGo();
    if (m_frame && m_moved && m_heldPanel < m_cells.size()) {
        const auto box = m_cells[m_heldPanel].page.inverted().mapRect(QRectF(*m_frame, m_last).normalized());
        emit framed(m_heldPanel, {box.left(), box.top(), box.right(), box.bottom()},
                    event->modifiers().testFlag(Qt::ControlModifier));
    }
    if (std::exchange(m_frame, std::nullopt)) update();
    m_panning = false;
}

void Mat::wheelEvent(QWheelEvent* event) {
    const double turned = event->angleDelta().y();
    if (m_beyond > 0 && !event->modifiers().testFlag(Qt::ControlModifier)) {
        m_scroll -= turned / 2;
        arrange();
        update();
    } else if (turned != 0) {
        zoomBy(turned > 0 ? 1.15 : 1 / 1.15);
    }
}

void Mat::nudge(int right, int down, bool far, bool held) {
    constexpr double step = 25.4 / 16, stride = 25.4 / 4; // mm
    if (m_gesture && !m_byKeys) return;                   // the mouse holds it
    if (!m_gesture && !take({{}, false, true})) return;
    m_rest.start();
    carry(right * (far ? stride : step), down * (far ? stride : step), held);
}

void Mat::keyPressEvent(QKeyEvent* event) {
    const bool far = event->modifiers().testFlag(Qt::ShiftModifier), held = event->isAutoRepeat();
    switch (event->key()) {
    case Qt::Key_Left: return nudge(-1, 0, far, held);
    case Qt::Key_Right: return nudge(1, 0, far, held);
    case Qt::Key_Up: return nudge(0, -1, far, held);
    case Qt::Key_Down: return nudge(0, 1, far, held);
    case Qt::Key_Escape:
        if (m_gesture) return cancel();
        if (std::exchange(m_frame, std::nullopt)) return update();
        [[fallthrough]];
    default: QWidget::keyPressEvent(event);
    }
}

/// Escape is the hand's own while it holds something, whatever it is a key for otherwise.
bool Mat::event(QEvent* event) {
    if (event->type() == QEvent::ShortcutOverride && m_gesture &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape)
        event->accept();
    return QWidget::event(event);
}

void Mat::focusOutEvent(QFocusEvent* event) {
    if (m_byKeys)
        letGo();
    else
        cancel();
    QWidget::focusOutEvent(event);
}

} // namespace up::app
