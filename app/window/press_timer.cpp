// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/press_timer.hpp"

#include "app/look/names.hpp"
#include "app/look/text.hpp"
#include "app/look/wrap_label.hpp"
#include "core/base/text.hpp"

#include <QApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <cmath>

namespace up::app {

PressTimer::PressTimer(Session& session, PressCommands& presses, QWidget* parent)
    : QFrame(parent), m_session(session), m_presses(presses), m_what(new WrapLabel("quiet", this)),
      m_left(new QLabel(this)), m_button(named(new QPushButton(this), "timer")) {
    setProperty("card", true);
    m_left->setObjectName("timer.left");
    auto* column = new QVBoxLayout(this);
    auto* row = new QHBoxLayout;
    column->addWidget(m_what);
    column->addLayout(row);
    row->addWidget(m_left, 1);
    row->addWidget(m_button);
    const auto& clock = m_presses.clock();
    connect(&clock, &PressClock::ticked, this, &PressTimer::showLeft);
    connect(&clock, &PressClock::runningChanged, this, &PressTimer::refresh);
    connect(&clock, &PressClock::over, this, [] { QApplication::beep(); });
    connect(m_button, &QPushButton::clicked, &m_presses, &PressCommands::startOrPause);
    connect(&m_session, &Session::changed, this, &PressTimer::refresh);
    refresh();
}

void PressTimer::refresh() {
    const auto* pressing = m_presses.leaflet();
    setVisible(pressing || m_presses.seconds() > 0 || m_presses.clock().isRunning());
    m_what->setVisible(m_session.next().what != plan::What::press); // else Now says it
    if (pressing)
        m_what->setText(tr("%1 pressing: %2, %3. Longer or hotter, and the glue melts away.")
                            .arg(m_session.view() == View::bond ? tr("First") : tr("Final"),
                                 q(pressing->heat), pressing->steam ? tr("steam") : tr("no steam")));
    showLeft();
}

void PressTimer::showLeft() {
    const auto& clock = m_presses.clock();
    const double left = clock.isRunning() ? clock.secondsLeft() : m_presses.seconds();
    const bool over = clock.isOver() && !clock.isRunning();
    m_left->setText(over ? tr("Lift the iron") : tr("%1 s").arg(q(plainNumber(std::ceil(left), 0))));
    m_left->setStyleSheet(QString("font-size: %1px; font-weight: 700;%2")
                              .arg(over                ? 24
                                   : clock.isRunning() ? 56
                                                       : 34) // read from the board
                              .arg(over ? " color: #B03A25;" : ""));
    m_button->setText(clock.isRunning() ? tr("Lift  T") : tr("Start  T"));
}

} // namespace up::app
