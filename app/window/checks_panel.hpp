// SPDX-License-Identifier: GPL-3.0-or-later
// Checks: what is wrong or doubtful, each with Show and, where possible, Fix.
#pragma once

#include "app/session/checker.hpp"
#include "app/session/mending.hpp"

#include <QFrame>

class QLabel;
class QScrollArea;
class QVBoxLayout;

namespace up::app {

class ChecksPanel : public QFrame {
    Q_OBJECT
public:
    ChecksPanel(Session& session, const Checker& checker, Mending& mending, QWidget* parent = nullptr);

    /// More than these are shown when asked for: hundreds of rows take longer than a blink to build.
    static constexpr std::size_t firstShown = 20;

private:
    void refresh();
    [[nodiscard]] QWidget* rowFor(const check::Finding& finding);
    void fix(const check::Finding& finding, check::Fix how);

    Session& m_session;
    const Checker& m_checker;
    Mending& m_mending;
    QLabel* m_title;
    QScrollArea* m_scroll;
    QWidget* m_list;
    QVBoxLayout* m_rows;
    std::size_t m_most = firstShown; ///< so many are shown
    BlockId m_of;                    ///< of that block
};

} // namespace up::app
