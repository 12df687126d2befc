// SPDX-License-Identifier: GPL-3.0-or-later
// Words, veins and legs on a block: added, changed, traced, stitched.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/session.hpp"

namespace up::app {

class LineCommands : public QObject {
    Q_OBJECT
public:
    LineCommands(Session& session, Asker& asker, QObject* parent = nullptr);

    /// The line that is chosen, or a new one.
    void ask();
    void remove();
    /// Those that Now tells of are on the cloth; the part that it tells of is stitched.
    void drawn();
    void sewn();

private:
    Session& m_session;
    Asker& m_asker;
};

} // namespace up::app
