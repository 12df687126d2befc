// SPDX-License-Identifier: GPL-3.0-or-later
// At the sewing machine: each leg recorded, how edges are stitched, which thread.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/session.hpp"

namespace up::app {

class SewingCommands : public QObject {
    Q_OBJECT
public:
    SewingCommands(Session& session, Asker& asker, QObject* parent = nullptr);

    /// The leg that is next is stitched.
    void legDone();
    /// What is left of its trail is, to where the thread is tied off.
    void trailDone();
    void setThread(ThreadId thread);
    /// Asks which thread: several side by side on the chosen piece, or on the one that is next.
    void tryThreads();
    /// Asks how the chosen pieces are stitched, or the block when none is.
    void askStitch();
    /// Asks how the stretch is stitched that is next.
    void askStretch();
    /// A new needle is in the machine.
    void newNeedle();

private:
    /// Legs of that trail from there on, up to and without `end`.
    void record(plan::AtLeg from, std::size_t end, const QString& what);
    Session& m_session;
    Asker& m_asker;
};

} // namespace up::app
