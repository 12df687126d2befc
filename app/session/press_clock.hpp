// SPDX-License-Identifier: GPL-3.0-or-later
// Counts a pressing down.
#pragma once

#include <QElapsedTimer>
#include <QObject>
#include <QTimer>

namespace up::app {

class PressClock : public QObject {
    Q_OBJECT
public:
    explicit PressClock(QObject* parent = nullptr);
    void start(double seconds);
    /// Before its time: how many seconds the iron has stood.
    double stop();
    [[nodiscard]] bool isRunning() const { return m_tick.isActive(); }
    [[nodiscard]] double secondsLeft() const;
    /// It has run out, and nothing has been started since.
    [[nodiscard]] bool isOver() const { return m_over; }

signals:
    void ticked();
    void runningChanged();
    /// Lift the iron.
    void over(double seconds);

private:
    void tick();

    QTimer m_tick;
    QElapsedTimer m_since;
    double m_seconds = 0;
    bool m_over = false;
};

} // namespace up::app
