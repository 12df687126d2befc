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
    /// What is laid along it; of a line with nothing on it, or of none, something new.
    void askLaid();
    void remove();
    /// Those that Now tells of are on the cloth; the part that it tells of is stitched.
    void drawn();
    void sewn();
    /// What it tells of lies there, or is stitched on.
    void laid();

private:
    void ask(bool lays);

    Session& m_session;
    Asker& m_asker;
};

} // namespace up::app
