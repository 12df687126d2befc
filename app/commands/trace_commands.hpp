// SPDX-License-Identifier: GPL-3.0-or-later
// Laying out by the engine, and what is left of the web afterwards.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/layout_job.hpp"
#include "app/session/session.hpp"

namespace up::app {

class TraceCommands : public QObject {
    Q_OBJECT
public:
    TraceCommands(Session& session, LayoutJob& layout, Asker& asker, QObject* parent = nullptr);

    /// Starts laying out; stops when it runs.
    void startOrStop();
    /// Tries the ways that differ for this block.
    void compare();
    /// Takes one of the ways compared.
    void choose(const Way& way);

    /// Pins the chosen piece's chunk, or lets go of it.
    void togglePin();

    /// How its fabric is printed, and how the stripes run over the chosen piece.
    void setStripes();
    /// Whether the chosen piece may have a window.
    void toggleWindow();

    /// What is left of the sheets that are rough cut goes into the stash.
    void putAway();
    /// After asking: an off-cut that is used up, or crumpled.
    void throwAway(OffCutId offCut);
    /// Asks how small an off-cut is still kept.
    void askLeastOffCut();

private:
    Session& m_session;
    LayoutJob& m_layout;
    Asker& m_asker;
};

} // namespace up::app
