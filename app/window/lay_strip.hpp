// SPDX-License-Identifier: GPL-3.0-or-later
// Beneath the mat while laying step by step, or counting: what is done now, and the buttons for it.
#pragma once

#include "app/session/session.hpp"

#include <QFrame>

class QLabel;
class QPushButton;

namespace up::app {

class PlaceCommands;

class LayStrip : public QFrame {
    Q_OBJECT
public:
    LayStrip(Session& session, PlaceCommands& places, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override { return {600, 128}; }
    void refresh();

private:
    void showStep();
    void showCount();
    void go(std::size_t step);
    void follow(const std::vector<plan::PlacementStep>& dry);

    Session& m_session;
    QLabel *m_title, *m_says;
    QPushButton *m_back, *m_next, *m_all, *m_again;
    bool m_going = false;
    PieceId m_seen; ///< the piece that was chosen when last looked
};

} // namespace up::app
