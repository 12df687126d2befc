// SPDX-License-Identifier: GPL-3.0-or-later
// Counts a pressing down, with the web's own first or final setting.
#pragma once

#include "app/session/session.hpp"

#include <QElapsedTimer>
#include <QFrame>
#include <QTimer>

class QLabel;
class QPushButton;

namespace up::app {

class PressTimer : public QFrame {
    Q_OBJECT
public:
    explicit PressTimer(Session& session, QWidget* parent = nullptr);
    /// Starts; stops when running.
    void toggle();
    [[nodiscard]] bool isRunning() const { return m_tick.isActive(); }
    [[nodiscard]] double secondsLeft() const;

private:
    void refresh();
    void tick();
    void showLeft();
    [[nodiscard]] const quilt::Pressing* pressing() const;

    Session& m_session;
    QLabel *m_what, *m_left;
    QPushButton* m_button;
    QTimer m_tick;
    QElapsedTimer m_since;
    double m_seconds = 0;
    bool m_over = false;
};

} // namespace up::app
