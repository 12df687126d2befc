// SPDX-License-Identifier: GPL-3.0-or-later
// The plan of the present step as a list: to press, to lay, to stitch.
#pragma once

#include "app/views/view.hpp"

#include <QFrame>
#include <QTimer>

class QLabel;
class QListWidget;

namespace up::app {

class FoldHandle;

class RowsPanel : public QFrame {
    Q_OBJECT
public:
    /// `settings`: the file that remembers whether it is folded.
    explicit RowsPanel(const QString& settings, QWidget* parent = nullptr);
    void show(const Rows& rows);

    [[nodiscard]] FoldHandle& fold() { return *m_fold; }

signals:
    void chosen(const up::sheet::Tag& tag);

private:
    QLabel* m_title;
    QListWidget* m_list;
    FoldHandle* m_fold;
    void update();
    std::vector<Row> m_rows, m_wanted; ///< what the list shows, and is to show when the hand rests
    QTimer m_pause;
};

} // namespace up::app
