// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/pictures/join_picture.hpp"

#include "app/canvas/painter.hpp"
#include "app/look/look.hpp"
#include "core/sheet/sheet.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

namespace up::app {
namespace {
constexpr double dropReach = 8, ownReach = 25; // mm: how far a page is moved to match
} // namespace

JoinPicture::JoinPicture(const std::vector<quilt::Drawing>& pages, QWidget* parent)
    : FittedPicture(parent, {420, 420}, {20, 20, 20, 20}), m_pages(pages) {
    for (const auto& page : pages) {
        QPainterPath path;
        for (const auto& drawn : page.shapes) {
            path.addPath(pathOf(sheet::contoursOf(drawn.outline)));
            path.addPath(pathOf(drawn.marks));
        }
        for (const auto& loose : page.loose)
            path.addPath(pathOf({loose.line}));
        m_paths.push_back(path);
    }
    m_grid.moved.resize(pages.size());
    setCursor(Qt::OpenHandCursor);
}

void JoinPicture::setGrid(intake::PageGrid grid) {
    grid.moved.resize(m_pages.size());
    m_grid = std::move(grid);
    update();
}

QTransform JoinPicture::toWidget() const {
    return m_held >= 0 ? m_map : FittedPicture::toWidget();
}

QRectF JoinPicture::area() const {
    const auto corners = cornersOf(m_pages, m_grid);
    QRectF all;
    for (std::size_t i = 0; i < m_pages.size(); ++i)
        all |= QRectF(corners[i].x, corners[i].y, m_pages[i].width, m_pages[i].height);
    return all;
}

void JoinPicture::paint(QPainter& painter, const QTransform& map) {
    const auto corners = cornersOf(m_pages, m_grid);
    QFont font = painter.font();
    font.setPixelSize(26);
    font.setBold(true);
    painter.setFont(font);
    for (std::size_t i = 0; i < m_pages.size(); ++i) {
        const QTransform own = QTransform::fromTranslate(corners[i].x, corners[i].y) * map;
        const QRectF sheet = own.mapRect(QRectF(0, 0, m_pages[i].width, m_pages[i].height));
        const bool held = static_cast<int>(i) == m_held;
        QColor paper = look::q(look::panel);
        paper.setAlphaF(0.8F);
        painter.setBrush(paper);
        painter.setPen(QPen(look::q(held ? look::brassBright : look::slate), held ? 3 : 1.2));
        painter.drawRect(sheet);
        painter.setPen(look::q(look::slate));
        painter.drawText(sheet.adjusted(10, 8, -10, -8), Qt::AlignLeft | Qt::AlignTop,
                         QString::number(i + 1));
    }
    for (std::size_t i = 0; i < m_pages.size(); ++i) {
        const QTransform own = QTransform::fromTranslate(corners[i].x, corners[i].y) * map;
        painter.strokePath(own.map(m_paths[i]), QPen(look::q(i % 2 == 0 ? look::ink : look::rust), 1.4));
    }
}

void JoinPicture::mousePressEvent(QMouseEvent* event) {
    m_map = toWidget();
    const QPointF at = m_map.inverted().map(event->position());
    const auto corners = cornersOf(m_pages, m_grid);
    for (std::size_t i = m_pages.size(); i-- > 0;)
        if (QRectF(corners[i].x, corners[i].y, m_pages[i].width, m_pages[i].height).contains(at)) {
            m_held = static_cast<int>(i);
            break;
        }
    m_last = at;
}

void JoinPicture::mouseMoveEvent(QMouseEvent* event) {
    if (m_held < 0) return;
    const QPointF at = m_map.inverted().map(event->position()), by = at - m_last;
    auto& moved = m_grid.moved[static_cast<std::size_t>(m_held)];
    moved = moved + shape::Point{by.x(), by.y()};
    m_last = at;
    update();
}

void JoinPicture::mouseReleaseEvent(QMouseEvent*) {
    if (m_held < 0) return;
    const bool matches = match(static_cast<std::size_t>(m_held), dropReach);
    m_held = -1;
    update();
    emit dropped(matches);
}

std::vector<std::size_t> JoinPicture::neighboursOf(std::size_t page) const {
    const auto columns = static_cast<std::size_t>(std::max(1, m_grid.columns));
    std::vector<std::size_t> out;
    if (page % columns != 0) out.push_back(page - 1);
    if (page >= columns) out.push_back(page - columns);
    if (out.empty() && page + 1 < m_pages.size()) out.push_back(page + 1);
    return out;
}

bool JoinPicture::match(std::size_t page, double reach) {
    const auto corners = cornersOf(m_pages, m_grid);
    for (const auto other : neighboursOf(page)) {
        const auto by =
            intake::matchPages(m_pages[other], m_pages[page], corners[page] - corners[other], reach);
        if (!by) continue;
        m_grid.moved[page] = m_grid.moved[page] + *by;
        return true;
    }
    return false;
}

int JoinPicture::matchAll() {
    int matched = 0;
    for (std::size_t i = 1; i < m_pages.size(); ++i)
        matched += match(i, ownReach) ? 1 : 0;
    update();
    return matched;
}

} // namespace up::app
