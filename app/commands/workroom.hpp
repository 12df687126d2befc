// SPDX-License-Identifier: GPL-3.0-or-later
// The program without its window: the open quilt, what computes for it, and all that can be done to it.
#pragma once

#include "app/commands/cloth_commands.hpp"
#include "app/commands/commands.hpp"
#include "app/commands/files.hpp"
#include "app/commands/place_commands.hpp"
#include "app/commands/press_commands.hpp"
#include "app/commands/shape_commands.hpp"
#include "app/commands/sheet_commands.hpp"
#include "app/commands/stack_commands.hpp"
#include "app/commands/stash_commands.hpp"
#include "app/devices/scanner.hpp"
#include "app/session/autosave.hpp"
#include "app/session/checker.hpp"
#include "app/session/layout_job.hpp"
#include "app/session/mending.hpp"
#include "app/session/placement_job.hpp"
#include "app/session/plan_job.hpp"
#include "app/session/stash_keeper.hpp"

namespace up::app {

struct Surroundings {
    QString folder;                      ///< the user's data folder
    QString sample;                      ///< the sample quilt's file
    QString otherSample{};               ///< the second sample's
    QString scannedPage{};               ///< the page on the sample scanner
    bool standIns = false;               ///< sample scanner, printer and cutter from the start
    std::function<std::int64_t()> clock; ///< seconds since 1970 UTC
    int autosaveDelay = 250;             ///< ms from a change to its recovery copy
};

/// In the order in which they need each other. What happens is told by `session`: `changed`, `told`, `trouble`.
class Workroom {
    const Surroundings m_around;
    bool m_standIns = false;

public:
    Workroom(Surroundings around, Asker& asker);
    Workroom(const Workroom&) = delete;
    Workroom& operator=(const Workroom&) = delete;

    Asker& asker;
    Session session;
    Checker checker;
    LayoutJob layout;
    PlacementJob placements;
    PlanJob planning;
    SampleScanner scanner;
    ImportCommands imports;
    TraceCommands tracing;
    Mending mending;
    StashKeeper stash;
    ClothCommands cloths;
    PressCommands presses;
    SewingCommands sewing;
    FinishCommands finishing;
    LineCommands lines;
    StashCommands shelf;
    Commands commands;
    SheetCommands sheets;
    ShapeCommands shapes;
    StackCommands stack;
    PlaceCommands places;
    Autosave autosave;
    Files files;

    /// The file that remembers how the user likes it.
    [[nodiscard]] QString settings() const { return m_around.folder + "/settings.ini"; }
    [[nodiscard]] bool hasStandIns() const { return m_standIns; }
    void openOtherSample();
    /// With it come the sample scanner, printer and cutter.
    void openSample();
    /// Quilts are opened, anything else is imported: what was dropped, or named when the program was started.
    void openFiles(const QStringList& files);

private:
    void useStandIns();
};

} // namespace up::app
