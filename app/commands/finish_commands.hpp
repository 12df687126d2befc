// SPDX-License-Identifier: GPL-3.0-or-later
// Fitting blocks together: what a block measures, its strips, how the quilt is set.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/session.hpp"

namespace up::app {

class FinishCommands : public QObject {
    Q_OBJECT
public:
    FinishCommands(Session& session, Asker& asker, QObject* parent = nullptr);

    /// The block is trimmed, or one more strip is on: whichever is next.
    void trimmed();
    void stripSewn();
    /// Asks what the block measures and how it is fitted.
    void askFit();
    /// Asks how the quilt is set.
    void askSetting();

private:
    Session& m_session;
    Asker& m_asker;
};

} // namespace up::app
