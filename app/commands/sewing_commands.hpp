// SPDX-License-Identifier: GPL-3.0-or-later
// At the sewing machine: each leg recorded, how edges are stitched, which thread.
#pragma once

#include "app/session/session.hpp"

namespace up::app {

class SewingCommands : public QObject {
    Q_OBJECT
public:
    explicit SewingCommands(Session& session, QObject* parent = nullptr);

    /// The leg that is next is stitched.
    void legDone();
    /// What is left of its trail is, to where the thread is tied off.
    void trailDone();
    void setThread(ThreadId thread);
    /// In the open, without tying off: not at all, or as far as is usual.
    void setJump(quilt::Length jump);

private:
    /// Legs of that trail from there on, up to and without `end`.
    void record(plan::AtLeg from, std::size_t end, const QString& what);
    Session& m_session;
};

} // namespace up::app
