// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/rows_panel.hpp"

#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/wrap_label.hpp"

#include <QLabel>
#include <QListWidget>
#include <QPainter>
#include <QScrollBar>
#include <QVBoxLayout>

namespace up::app {
namespace {

constexpr int leastHeight = 44; // one row; Now and its caution come first

QPixmap swatchOf(Colour colour) {
    QPixmap pixmap(22, 22);
    pixmap.fill(Qt::transparent);
    QPainter painter(&pixmap);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setBrush(look::q(colour));
    painter.setPen(look::q(look::slate));
    painter.drawRoundedRect(1, 1, 20, 20, 3, 3);
    return pixmap;
}

} // namespace

RowsPanel::RowsPanel(QWidget* parent)
    : QFrame(parent), m_title(new WrapLabel("title", this)), m_list(named(new QListWidget(this), "rows")) {
    setProperty("card", true);
    m_list->setWordWrap(true);
    m_list->setMinimumHeight(leastHeight);
    m_list->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Ignored);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* column = new QVBoxLayout(this);
    column->addWidget(m_title);
    column->addWidget(m_list, 1);
    connect(m_list, &QListWidget::itemClicked, this, [this](const QListWidgetItem* item) {
        if (const auto tag = item->data(Qt::UserRole).toUInt()) emit chosen(tag);
    });
}

void RowsPanel::show(const Rows& rows) {
    const auto title = QString::fromStdString(rows.title);
    const int scrolled = title == m_title->text() ? m_list->verticalScrollBar()->value() : 0;
    m_title->setText(title);
    m_list->clear();
    QListWidgetItem* next = nullptr;
    for (const auto& row : rows.rows) {
        QString text = (row.done ? "✓ " : row.next ? "▸ " : "") + QString::fromStdString(row.text);
        if (!row.detail.empty()) text += "\n" + QString::fromStdString(row.detail);
        auto* item = new QListWidgetItem(text, m_list);
        item->setData(Qt::UserRole, row.tag);
        if (row.swatch) item->setIcon(swatchOf(*row.swatch));
        if (row.done) item->setForeground(look::q(look::moss));
        if (row.next) {
            QFont font = item->font();
            font.setBold(true);
            item->setFont(font);
            if (!next) next = item;
        }
    }
    m_list->verticalScrollBar()->setValue(scrolled);
    if (next) m_list->scrollToItem(next);
}

} // namespace up::app
