// SPDX-License-Identifier: GPL-3.0-or-later
// Checks: what is wrong or doubtful, each with Show and, where possible, Fix.
#pragma once

#include "app/session/checker.hpp"

#include <QFrame>

class QLabel;
class QScrollArea;
class QVBoxLayout;

namespace up::app {

class ChecksPanel : public QFrame {
    Q_OBJECT
public:
    ChecksPanel(Session& session, const Checker& checker, QWidget* parent = nullptr);

private:
    void refresh();
    [[nodiscard]] QWidget* rowFor(const check::Finding& finding);
    void fix(const check::Finding& finding, check::Fix how);

    Session& m_session;
    const Checker& m_checker;
    QLabel* m_title;
    QScrollArea* m_scroll;
    QWidget* m_list;
    QVBoxLayout* m_rows;
};

} // namespace up::app
