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

PressTimer::PressTimer(Session& session, QWidget* parent)
    : QFrame(parent), m_session(session), m_what(new WrapLabel("quiet", this)), m_left(new QLabel(this)),
      m_button(named(new QPushButton(this), "timer")) {
    setProperty("card", true);
    m_left->setObjectName("timer.left");
    m_left->setStyleSheet("font-size: 34px; font-weight: 700;");
    m_tick.setInterval(100);
    auto* column = new QVBoxLayout(this);
    auto* row = new QHBoxLayout;
    column->addWidget(m_what);
    column->addLayout(row);
    row->addWidget(m_left, 1);
    row->addWidget(m_button);
    connect(&m_tick, &QTimer::timeout, this, &PressTimer::tick);
    connect(m_button, &QPushButton::clicked, this, &PressTimer::toggle);
    connect(&m_session, &Session::changed, this, &PressTimer::refresh);
    refresh();
}

const quilt::Pressing* PressTimer::pressing() const {
    const auto* block = m_session.block();
    const auto* web = block ? quilt::find(m_session.quilt().webs, block->web) : nullptr;
    if (!web || (m_session.view() != View::bond && m_session.view() != View::fuse)) return nullptr;
    return m_session.view() == View::bond ? &web->first : &web->final;
}

void PressTimer::refresh() {
    const auto* p = pressing();
    setVisible(p != nullptr);
    if (!p) {
        m_tick.stop();
        return;
    }
    if (isRunning()) return;
    m_seconds = p->seconds;
    m_over = false;
    m_what->setText(tr("%1 pressing: %2, %3. Longer or hotter, and the glue melts away.")
                        .arg(m_session.view() == View::bond ? tr("First") : tr("Final"), q(p->heat),
                             p->steam ? "steam" : tr("no steam")));
    showLeft();
}

double PressTimer::secondsLeft() const {
    if (!isRunning()) return m_over ? 0 : m_seconds;
    return std::max(0.0, m_seconds - static_cast<double>(m_since.elapsed()) / 1000);
}

void PressTimer::toggle() {
    if (!pressing()) return;
    if (isRunning()) {
        m_tick.stop();
        refresh();
    } else {
        m_over = false;
        m_since.start();
        m_tick.start();
    }
    showLeft();
}

void PressTimer::tick() {
    if (secondsLeft() <= 0) {
        m_tick.stop();
        m_over = true;
        QApplication::beep();
    }
    showLeft();
}

void PressTimer::showLeft() {
    const double left = secondsLeft();
    m_left->setText(m_over ? tr("Lift the iron") : q(plainNumber(std::ceil(left), 0)) + " s");
    m_left->setStyleSheet(QString("font-size: %1px; font-weight: 700;%2")
                              .arg(m_over ? 24 : 34)
                              .arg(m_over ? " color: #B03A25;" : ""));
    m_button->setText(isRunning() ? tr("Stop  T") : tr("Start  T"));
}

} // namespace up::app
