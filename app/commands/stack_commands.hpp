// SPDX-License-Identifier: GPL-3.0-or-later
// What lies on what: order, underlap, linings, units, wishes, the background beneath.
#pragma once

#include "app/commands/block_commands.hpp"
#include "app/dialogs/asker.hpp"
#include "app/session/mending.hpp"
#include "core/plan/block/underlap_plan.hpp"

namespace up::app {

class StackCommands : public BlockCommands {
    Q_OBJECT
public:
    StackCommands(Session& session, Mending& mending, Asker& asker, QObject* parent = nullptr);

    /// By step, fabric and place.
    void numberAnew();
    /// Every lower piece grows beneath those above it.
    void tuckAll(plan::Below below);
    /// Asks how far they reach, and which of two goes below.
    void askUnderlap();
    /// Of two chosen pieces the last goes over the other.
    void putOver();
    /// The chosen piece gets a lining.
    void line();
    /// The chosen pieces become a unit; of one piece, the unit that the overlaps suggest for it; if it is in
    /// one, that is let go.
    void toggleUnit();
    /// The chosen pieces are kept from the iron, or no longer.
    void toggleMelts();
    /// Asks how the chosen pieces are joined, or all of the block when none is.
    void askJoining();
    /// Asks which of the units that the overlaps suggest is to be one.
    void offerUnits();
    /// Asks for the background's cloth, strips, creases and how much larger it is cut.
    void askGround();

private:
    void makeUnit(const std::vector<PieceId>& pieces);

    Mending& m_mending;
    Asker& m_asker;
};

} // namespace up::app
