// SPDX-License-Identifier: GPL-3.0-or-later
// Beneath the mat: the ways to lay the block out as small pictures with what each costs; one click takes one.
#pragma once

#include "app/session/layout_job.hpp"

#include <QAbstractButton>
#include <QPixmap>

class QHBoxLayout;

namespace up::app {

class TraceCommands;

/// One way: its picture, its name, what it costs.
class WayCard : public QAbstractButton {
    Q_OBJECT
public:
    /// `best`: what it is best at, in a few words, or nothing.
    WayCard(const Session& session, Way way, QString best, QWidget* parent);
    [[nodiscard]] const Way& way() const { return m_way; }
    /// The same way as it now lies, perhaps moved by hand since.
    void setWay(Way way);
    void setChosen(bool chosen);
    /// What it says, in the units of the quilt as it is.
    void describe();
    [[nodiscard]] QSize sizeHint() const override { return {190, 104}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] QPixmap pictureOf(QSize size) const;

    const Session& m_session;
    Way m_way;
    QString m_best;
    bool m_chosen = false;
    QPixmap m_picture; ///< painted once: hundreds of outlines take longer than a hand over the card
};

class WaysStrip : public QWidget {
    Q_OBJECT
public:
    WaysStrip(Session& session, LayoutJob& layout, TraceCommands& commands, QWidget* parent = nullptr);

private:
    void refresh();
    void clear();
    void addWaiting();
    void addCards();
    void refreshCards();

    Session& m_session;
    LayoutJob& m_layout;
    TraceCommands& m_commands;
    QHBoxLayout* m_row;
    std::shared_ptr<const std::vector<Way>> m_ways; ///< those shown, one card each
    std::vector<WayCard*> m_cards;
};

} // namespace up::app
