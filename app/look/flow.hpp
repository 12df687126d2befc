// SPDX-License-Identifier: GPL-3.0-or-later
// Widgets side by side, in as many rows as they need at the width there is.
#pragma once

#include <QLayout>
#include <memory>
#include <vector>

namespace up::app {

class Flow : public QLayout {
public:
    explicit Flow(QWidget* parent, int gap = 5);

    void addItem(QLayoutItem* item) override { m_items.emplace_back(item); }
    [[nodiscard]] int count() const override { return static_cast<int>(m_items.size()); }
    [[nodiscard]] QLayoutItem* itemAt(int index) const override;
    QLayoutItem* takeAt(int index) override;
    [[nodiscard]] Qt::Orientations expandingDirections() const override { return {}; }
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override { return laid({0, 0, width, 0}, false); }
    /// All in one row.
    [[nodiscard]] QSize sizeHint() const override;
    /// As wide as the widest.
    [[nodiscard]] QSize minimumSize() const override;
    void setGeometry(const QRect& place) override;

private:
    /// Answers how high it is; `really`: the widgets are placed as well.
    int laid(const QRect& place, bool really) const;

    int m_gap;
    std::vector<std::unique_ptr<QLayoutItem>> m_items;
};

} // namespace up::app
