// SPDX-License-Identifier: GPL-3.0-or-later
// Finds out aside, while laying, what is doubtful about how the pieces lie and how each is laid: at once, so
// that it keeps up with a drag, and only for the newest state.
#pragma once

#include "app/session/aside.hpp"
#include "app/session/session.hpp"

namespace up::app {

class PlacementJob : public QObject {
    Q_OBJECT
public:
    explicit PlacementJob(Session& session, QObject* parent = nullptr);
    [[nodiscard]] bool isBusy() const { return m_upkeep.isBusy(); }

signals:
    /// The session's Derived knows it now.
    void found();

private:
    void start();

    Session& m_session;
    Upkeep m_upkeep{this, [this] { start(); }};
};

} // namespace up::app
