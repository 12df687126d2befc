// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/stair.hpp"

#include "app/look/fitting.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>

namespace up::app {
namespace {

constexpr int stairHeight = 86, rise = 5, lowestTread = 40;

QString leftWords(const plan::TreadCount& count, bool empty) {
    if (empty) return "–";
    if (count.of == 0) return tr("not needed");
    if (count.left() == 0) return tr("✓ done");
    return tr("%1 left").arg(count.left());
}

QFont fontOf(const QPainter& painter, int pixels, bool bold) {
    QFont font = painter.font();
    font.setPixelSize(pixels);
    font.setBold(bold);
    return font;
}

/// Side by side, or where the tread is narrow one below the other.
void writeTread(QPainter& painter, const QRect& room, const QString& name, const QString& left, Colour colour,
                bool unneeded) {
    constexpr int gap = 6;
    const int wide = QFontMetrics(fontOf(painter, 16, true)).horizontalAdvance(name) + gap +
                     QFontMetrics(fontOf(painter, 13, false)).horizontalAdvance(left);
    const bool beside = wide <= room.width();
    const QRect above(room.left(), room.top(), room.width(), beside ? 19 : 15);
    painter.setPen(look::q(unneeded ? look::slate : look::ink));
    look::writeFitting(painter, above, Qt::AlignLeft | Qt::AlignVCenter, name, beside ? 16 : 14, true);
    painter.setPen(look::q(colour));
    const QRect below(room.left(), above.bottom(), room.width(), 13);
    look::writeFitting(painter, beside ? above : below,
                       (beside ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter, left, beside ? 13 : 12);
}

} // namespace

Stair::Stair(Session& session, QWidget* parent) : QWidget(parent), m_session(session) {
    setFixedHeight(stairHeight);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(&session, &Session::changed, this, qOverload<>(&QWidget::update));
}

namespace {

/// Those that stand above the stair, in order.
std::vector<View> viewsAboveIt() {
    std::vector<View> out;
    for (const View view : every<View>())
        if (view != View::landing && !treadOf(view)) out.push_back(view);
    return out;
}

} // namespace

QRect Stair::placeOf(View view) const {
    const int room = width() - 16, side = room / 10, tread = (room - 2 * side) / 8;
    const auto tall = [](int step) { return lowestTread + step * rise; };
    if (view == View::landing) return {8, stairHeight - lowestTread + rise, side - 4, lowestTread - rise - 1};
    if (!treadOf(view)) {
        const auto others = viewsAboveIt();
        const int of = static_cast<int>(others.size()), high = (stairHeight - 8 - 2 * (of + 1)) / of;
        const int at = static_cast<int>(std::find(others.begin(), others.end(), view) - others.begin());
        return {8 + side + 8 * tread + 6, 6 + at * (high + 2), side - 6, high};
    }
    const int i = static_cast<int>(*treadOf(view));
    return {8 + side + i * tread, stairHeight - 1 - tall(i), tread - 3, tall(i)};
}

void Stair::paintTread(QPainter& painter, View view) const {
    const QRect place = placeOf(view);
    const bool here = m_session.view() == view;
    const auto tread = treadOf(view);
    const auto* block = m_session.block();
    const auto count = tread && block ? plan::countOf(*block, *tread) : plan::TreadCount{};
    const bool empty = !block || block->pieces.empty();
    const bool unneeded = tread && !empty && count.of == 0;
    painter.setPen(QPen(look::q(here ? look::ink : look::line), here ? 2.5 : 1));
    painter.setBrush(look::q(unneeded ? look::plaster : look::panel));
    painter.drawRoundedRect(QRectF(place).adjusted(1, 1, -1, -1), 4, 4);
    if (tread && count.of > 0 && !empty) {
        const double full = static_cast<double>(count.done) / count.of;
        QRectF bar(place.left() + 4, place.bottom() - 8, place.width() - 8, 5);
        painter.fillRect(bar, look::q(look::line));
        bar.setWidth(bar.width() * full);
        painter.fillRect(bar, look::q(full >= 1 ? look::moss : look::brass));
    }
    if (!tread) {
        painter.setPen(look::q(look::ink));
        look::writeFitting(painter, place.adjusted(3, 0, -3, 0), Qt::AlignCenter, nameOf(view), 16, true);
        return;
    }
    const bool done = !empty && !unneeded && count.left() == 0;
    writeTread(painter, place.adjusted(8, 4, -5, -9), nameOf(view), leftWords(count, empty),
               done ? look::moss : look::slate, unneeded);
    if (here) {
        painter.setPen(Qt::NoPen);
        painter.setBrush(look::q(look::brass));
        painter.drawRect(QRectF(place.left() + 2, place.top() + 1, place.width() - 4, 4));
    }
}

void Stair::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), look::q(look::plaster));
    for (const View view : every<View>())
        paintTread(painter, view);
}

std::optional<View> Stair::viewAt(QPoint at) const {
    for (const View view : every<View>())
        if (placeOf(view).contains(at)) return view;
    return std::nullopt;
}

void Stair::mousePressEvent(QMouseEvent* event) {
    if (const auto view = viewAt(event->position().toPoint())) m_session.goTo(*view);
}

bool Stair::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    const auto view = viewAt(help->pos());
    if (!view) return true;
    QString words = nameOf(*view);
    if (const auto tread = treadOf(*view)) {
        words = tr("%1 (key %2)").arg(words).arg(static_cast<int>(*tread) + 1);
        if (const auto* block = m_session.block(); block && !block->pieces.empty()) {
            const auto count = plan::countOf(*block, *tread);
            words += tr(": %1 of %2 done").arg(count.done).arg(count.of);
        }
    }
    QToolTip::showText(help->globalPos(), words, this);
    return true;
}

} // namespace up::app
