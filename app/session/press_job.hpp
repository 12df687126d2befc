// SPDX-License-Identifier: GPL-3.0-or-later
// Works out aside, while fusing, where the iron goes: after every change, from what was found before.
#pragma once

#include "app/session/aside.hpp"
#include "app/session/session.hpp"

namespace up::app {

class PressJob : public QObject {
    Q_OBJECT
public:
    explicit PressJob(Session& session, QObject* parent = nullptr);
    [[nodiscard]] bool isBusy() const { return m_upkeep.isBusy(); }

private:
    void start();

    Session& m_session;
    Upkeep m_upkeep{this, [this] { start(); }};
};

} // namespace up::app
