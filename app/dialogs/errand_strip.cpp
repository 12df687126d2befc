// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/dialogs/errand_strip.hpp"

#include "app/look/names.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>

namespace up::app {

ErrandStrip::ErrandStrip(Errand& errand, const char* key, QWidget* parent)
    : QWidget(parent), m_errand(errand), m_what(new QLabel(this)), m_bar(new QProgressBar(this)) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    auto* stop = named(new QPushButton(tr("Stop"), this), key);
    stop->setAutoDefault(false);
    m_what->setTextFormat(Qt::PlainText);
    m_bar->setTextVisible(false);
    row->addWidget(m_what);
    row->addWidget(m_bar, 1);
    row->addWidget(stop);
    hide();
    connect(stop, &QPushButton::clicked, &m_errand, &Errand::stop);
    connect(&m_tick, &QTimer::timeout, this, &ErrandStrip::tick);
    connect(&m_errand, &Errand::runningChanged, this, [this](bool running) {
        hide();
        if (running)
            m_tick.start(330);
        else
            m_tick.stop();
    });
}

void ErrandStrip::tick() {
    m_tick.setInterval(100);
    m_what->setText(m_errand.what() + "…");
    // While nothing is known the bar runs to and fro.
    m_bar->setRange(0, m_errand.percent() > 0 ? 100 : 0);
    m_bar->setValue(m_errand.percent());
    show();
}

} // namespace up::app
