// SPDX-License-Identifier: GPL-3.0-or-later
// Says that a file is being read and how far it is, with a button that stops it.
#pragma once

#include "app/session/reading.hpp"

#include <QTimer>
#include <QWidget>

class QLabel;
class QProgressBar;

namespace up::app {

/// Shows itself when a reading takes longer than a third of a second, and goes when it ends.
class ReadingStrip : public QWidget {
    Q_OBJECT
public:
    explicit ReadingStrip(Reading& reading, QWidget* parent = nullptr);

private:
    void tick();

    Reading& m_reading;
    QLabel* m_what;
    QProgressBar* m_bar;
    QTimer m_tick;
};

} // namespace up::app
