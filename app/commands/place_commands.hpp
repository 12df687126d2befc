// SPDX-License-Identifier: GPL-3.0-or-later
// Where pieces lie: locked, lined up, spaced, centred; and whether they are all there to be laid.
#pragma once

#include "app/commands/block_commands.hpp"
#include "app/session/mending.hpp"
#include "core/edit/stacking.hpp"
#include "core/plan/lay/alignment.hpp"
#include "core/plan/lay/centring.hpp"

namespace up::app {

class PlaceCommands : public BlockCommands {
    Q_OBJECT
public:
    PlaceCommands(Session& session, Mending& mending, QObject* parent = nullptr)
        : BlockCommands(session, parent), m_mending(mending) {}

    /// The chosen pieces stay where they are, or may move again.
    void toggleLock();
    /// The chosen pieces come into line with the one chosen last.
    void lineUp(plan::Line line);
    void spaceEvenly(bool down);
    void centre(plan::Centre how);

    /// Everything that is cut is here.
    void tickAll();
    /// What is cut but not ticked off is lost: it goes back to be traced.
    void cutMissingAgain();

private:
    using Finding = std::function<edit::Moves(const quilt::Block&, const plan::BlockPlan&)>;
    /// `find`: by how much which pieces go; asked again of the block as it is by then when it is done aside.
    /// `already`: what is said when nothing moves.
    void move(const Finding& find, const QString& what, const QString& already, Mending::Saying then = {});
    Mending& m_mending;
};

} // namespace up::app
