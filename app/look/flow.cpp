// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/look/flow.hpp"

#include <QWidget>
#include <algorithm>

namespace up::app {

Flow::Flow(QWidget* parent, int gap) : QLayout(parent), m_gap(gap) {
    setContentsMargins(0, 0, 0, 0);
}

QLayoutItem* Flow::itemAt(int index) const {
    return index >= 0 && index < count() ? m_items[static_cast<std::size_t>(index)].get() : nullptr;
}

QLayoutItem* Flow::takeAt(int index) {
    if (!itemAt(index)) return nullptr;
    const auto at = m_items.begin() + index;
    auto* out = at->release();
    m_items.erase(at);
    return out;
}

QSize Flow::sizeHint() const {
    QSize out;
    for (const auto& item : m_items) {
        if (item->isEmpty()) continue;
        const auto size = item->sizeHint();
        out = {out.width() + size.width() + (out.width() > 0 ? m_gap : 0),
               std::max(out.height(), size.height())};
    }
    return out;
}

QSize Flow::minimumSize() const {
    QSize out;
    for (const auto& item : m_items)
        if (!item->isEmpty()) out = out.expandedTo(item->minimumSize());
    return out;
}

void Flow::setGeometry(const QRect& place) {
    QLayout::setGeometry(place);
    laid(place, true);
}

int Flow::laid(const QRect& place, bool really) const {
    std::vector<std::pair<QLayoutItem*, QRect>> row; // not yet placed: it is not known how high they are
    int y = place.y();
    const auto endRow = [&] {
        int high = 0;
        for (const auto& [item, at] : row)
            high = std::max(high, at.height());
        for (const auto& [item, at] : row)
            if (really) item->setGeometry(at.translated(0, y + (high - at.height()) / 2));
        row.clear();
        y += high;
    };
    int x = place.x();
    for (const auto& item : m_items) {
        if (item->isEmpty()) continue;
        const auto size = item->sizeHint().boundedTo({std::max(place.width(), 1), QWIDGETSIZE_MAX});
        if (!row.empty() && x + size.width() > place.right() + 1) {
            endRow();
            y += m_gap;
            x = place.x();
        }
        row.push_back({item.get(), QRect(QPoint(x, 0), size)});
        x += size.width() + m_gap;
    }
    endRow();
    return y - place.y();
}

} // namespace up::app
