// SPDX-License-Identifier: GPL-3.0-or-later
// Now: the next thing to do, in one sentence with its reason, one big button, and the caution that belongs to
// it.
#pragma once

#include "app/session/layout_job.hpp"
#include "app/session/press_clock.hpp"

#include <QFrame>

class QLabel;
class QPushButton;

namespace up::app {

class NowPanel : public QFrame {
    Q_OBJECT
public:
    NowPanel(Session& session, const LayoutJob& layout, const PressClock& clock, QWidget* parent = nullptr);

signals:
    void wanted();

private:
    void refresh();

    Session& m_session;
    const LayoutJob& m_layout;
    const PressClock& m_clock;
    QLabel *m_do, *m_because, *m_caution;
    QPushButton* m_button;
};

} // namespace up::app
