// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/rows_panel.hpp"

#include "app/look/text.hpp"

#include "app/look/look.hpp"
#include "app/look/names.hpp"
#include "app/look/swatches.hpp"
#include "app/look/wrap_label.hpp"
#include "app/window/fold_handle.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QPainter>
#include <QScrollBar>
#include <QVBoxLayout>
#include <algorithm>

namespace up::app {
namespace {

constexpr int pause = 120;      // ms
constexpr int leastHeight = 44; // one row; Now and its caution come first

QPixmap swatchOf(const Row& row) {
    constexpr int side = 22; // dots
    QPixmap pixmap(side, side);
    pixmap.fill(Qt::transparent);
    QPainter painter(&pixmap);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setBrush(swatchPixmap(*row.swatch, row.picture->picture, side));
    painter.setPen(look::q(look::slate));
    painter.drawRoundedRect(1, 1, 20, 20, 3, 3);
    return pixmap;
}

} // namespace

RowsPanel::RowsPanel(const QString& settings, QWidget* parent)
    : QFrame(parent), m_title(new WrapLabel("title", this)), m_list(named(new QListWidget(this), "rows")),
      m_fold(new FoldHandle(*m_list, FoldHandle::Way::up, "plan.fold", settings, this)) {
    setProperty("card", true);
    m_list->setWordWrap(true);
    m_list->setMinimumHeight(leastHeight);
    m_list->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Ignored);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* column = new QVBoxLayout(this);
    auto* head = new QHBoxLayout;
    head->addWidget(m_title, 1);
    head->addWidget(m_fold);
    column->addLayout(head);
    column->addWidget(m_list, 1);
    const auto room = [this](bool open) {
        setSizePolicy(QSizePolicy::Preferred, open ? QSizePolicy::Expanding : QSizePolicy::Maximum);
    };
    connect(m_fold, &FoldHandle::changed, this, room);
    room(m_fold->isOpen());
    m_pause.setSingleShot(true);
    m_pause.setInterval(pause);
    connect(&m_pause, &QTimer::timeout, this, &RowsPanel::update);
    connect(m_list, &QListWidget::itemClicked, this, [this](const QListWidgetItem* item) {
        const auto row = static_cast<std::size_t>(m_list->row(item));
        if (row < m_wanted.size() && sheet::isSet(m_wanted[row].tag)) emit chosen(m_wanted[row].tag);
    });
}

namespace {

QString textOf(const Row& row) {
    QString text = (row.done ? "✓ " : row.next ? "▸ " : "") + q(row.text);
    if (!row.detail.empty()) text += "\n" + q(row.detail);
    return text;
}

void fill(QListWidgetItem& item, const Row& row) {
    item.setText(textOf(row));
    item.setIcon(row.swatch ? QIcon(swatchOf(row)) : QIcon());
    item.setForeground(row.done ? QBrush(look::q(look::moss)) : QBrush());
    QFont font = item.font();
    font.setBold(row.next);
    item.setFont(font);
}

} // namespace

/// Rows that stay as they were are left alone, and measures that change in a drag wait until the hand rests:
/// laying hundreds of rows out anew takes longer than a frame.
void RowsPanel::show(const Rows& rows) {
    const auto title = q(rows.title);
    const bool other = title != m_title->text();
    if (other || rows.rows.size() != m_rows.size()) {
        const int scrolled = other ? 0 : m_list->verticalScrollBar()->value();
        m_title->setText(title);
        m_list->clear();
        for (const auto& row : rows.rows)
            fill(*new QListWidgetItem(m_list), row);
        m_list->verticalScrollBar()->setValue(scrolled);
    } else {
        const bool onlyDetails =
            std::equal(rows.rows.begin(), rows.rows.end(), m_rows.begin(), [](Row a, const Row& b) {
                a.detail = b.detail;
                return a == b;
            });
        m_wanted = rows.rows;
        if (onlyDetails) return m_pause.start();
        update();
    }
    const auto isNext = [](const Row& row) { return row.next; };
    const auto next = std::find_if(rows.rows.begin(), rows.rows.end(), isNext);
    const auto before = std::find_if(m_rows.begin(), m_rows.end(), isNext);
    if (next != rows.rows.end() && (other || before == m_rows.end() || before->tag != next->tag))
        m_list->scrollToItem(m_list->item(static_cast<int>(next - rows.rows.begin())));
    m_rows = m_wanted = rows.rows;
}

/// Brings the rows that have changed up to date.
void RowsPanel::update() {
    m_pause.stop();
    for (std::size_t i = 0; i < m_wanted.size() && i < m_rows.size(); ++i)
        if (!(m_wanted[i] == m_rows[i])) fill(*m_list->item(static_cast<int>(i)), m_wanted[i]);
    m_rows = m_wanted;
}

} // namespace up::app
