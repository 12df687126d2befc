// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/press_clock.hpp"

#include <algorithm>

namespace up::app {

PressClock::PressClock(QObject* parent) : QObject(parent) {
    m_tick.setInterval(100);
    connect(&m_tick, &QTimer::timeout, this, &PressClock::tick);
}

void PressClock::start(double seconds) {
    m_seconds = seconds;
    m_over = false;
    m_since.start();
    m_tick.start();
    emit runningChanged();
}

double PressClock::stop() {
    if (!isRunning()) return 0;
    const double stood = m_seconds - secondsLeft();
    m_tick.stop();
    emit runningChanged();
    return stood;
}

double PressClock::secondsLeft() const {
    if (!isRunning()) return 0;
    return std::max(0.0, m_seconds - static_cast<double>(m_since.elapsed()) / 1000);
}

void PressClock::tick() {
    if (secondsLeft() > 0) {
        emit ticked();
        return;
    }
    m_tick.stop();
    m_over = true;
    emit over(m_seconds);
    emit runningChanged();
}

} // namespace up::app
