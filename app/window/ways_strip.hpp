// SPDX-License-Identifier: GPL-3.0-or-later
// Beneath the mat: the ways to lay the block out as small pictures with what each costs; one click takes one.
#pragma once

#include "app/session/layout_job.hpp"

#include <QAbstractButton>

class QHBoxLayout;

namespace up::app {

class TraceCommands;

/// One way: its picture, its name, what it costs.
class WayCard : public QAbstractButton {
    Q_OBJECT
public:
    /// `best`: what it is best at, in a few words, or nothing.
    WayCard(const Session& session, Way way, QString best, bool chosen, QWidget* parent);
    [[nodiscard]] const Way& way() const { return m_way; }
    [[nodiscard]] QSize sizeHint() const override { return {190, 104}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void paintSheets(QPainter& painter, const QRectF& room) const;

    const Session& m_session;
    Way m_way;
    QString m_best;
    bool m_chosen;
};

class WaysStrip : public QWidget {
    Q_OBJECT
public:
    WaysStrip(Session& session, LayoutJob& layout, TraceCommands& commands, QWidget* parent = nullptr);

private:
    void refresh();
    void addCards(const std::vector<Way>& ways);

    Session& m_session;
    LayoutJob& m_layout;
    TraceCommands& m_commands;
    QHBoxLayout* m_row;
};

} // namespace up::app
