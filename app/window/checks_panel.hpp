// SPDX-License-Identifier: GPL-3.0-or-later
// Checks: what is wrong or doubtful, like things in one row, each with Show and what can be done about it; what
// was left as it is.
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

    /// Of one row's, more are shown when asked for: hundreds of boxes take longer than a blink to build.
    static constexpr std::size_t firstShown = 20;

private:
    void refresh();
    class Box;
    [[nodiscard]] Box* bareBox(const check::Row& row, QWidget* parent);
    [[nodiscard]] QWidget* boxFor(const check::Row& row);
    [[nodiscard]] QWidget* leftBox();
    void fix(const check::Row& row, check::Fix how);

    Session& m_session;
    const Checker& m_checker;
    Mending& m_mending;
    QLabel* m_title;
    QScrollArea* m_scroll;
    QWidget* m_list;
    QVBoxLayout* m_rows;
    std::optional<check::Kind> m_unfolded; ///< that row's are shown one by one
    std::size_t m_most = firstShown;       ///< so many of them
    BlockId m_of;                          ///< of that block
};

} // namespace up::app
