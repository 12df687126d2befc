// SPDX-License-Identifier: GPL-3.0-or-later
// Works out aside, after every change and from what was found before, where the iron goes while fusing, and where the
// needle goes while stitching; then what else is good to know at the machine.
#pragma once

#include "app/session/aside.hpp"
#include "app/session/session.hpp"

namespace up::app {

class PlanJob : public QObject {
    Q_OBJECT
public:
    explicit PlanJob(Session& session, QObject* parent = nullptr);
    [[nodiscard]] bool isBusy() const { return m_upkeep.isBusy(); }

private:
    void start();
    void findPressing(const quilt::Block& block);
    void findStitching(const quilt::Block& block);
    void findHints(const quilt::Block& block);

    Session& m_session;
    Upkeep m_upkeep{this, [this] { start(); }};
};

} // namespace up::app
