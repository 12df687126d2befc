// SPDX-License-Identifier: GPL-3.0-or-later
// The press clock, large: how long the iron stands, by the leaflet, and what comes after.
#pragma once

#include "app/commands/press_commands.hpp"

#include <QFrame>

class QLabel;
class QPushButton;

namespace up::app {

class PressTimer : public QFrame {
    Q_OBJECT
public:
    PressTimer(Session& session, PressCommands& presses, QWidget* parent = nullptr);

private:
    void refresh();
    void showLeft();

    Session& m_session;
    PressCommands& m_presses;
    QLabel *m_what, *m_left;
    QPushButton* m_button;
};

} // namespace up::app
