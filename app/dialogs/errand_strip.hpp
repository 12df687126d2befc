// SPDX-License-Identifier: GPL-3.0-or-later
// Says what is being done aside and how far it is, with a button that stops it.
#pragma once

#include "app/session/errand.hpp"

#include <QTimer>
#include <QWidget>

class QLabel;
class QProgressBar;

namespace up::app {

/// Shows itself when an errand takes longer than a third of a second, and goes when it ends.
class ErrandStrip : public QWidget {
    Q_OBJECT
public:
    /// `stop`: what its button is called by.
    ErrandStrip(Errand& errand, const char* stop, QWidget* parent = nullptr);

private:
    void tick();

    Errand& m_errand;
    QLabel* m_what;
    QProgressBar* m_bar;
    QTimer m_tick;
};

} // namespace up::app
