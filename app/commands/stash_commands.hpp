// SPDX-License-Identifier: GPL-3.0-or-later
// What is at hand: fabrics, webs, threads, stabiliser and batting, irons; what is kept for all quilts.
#pragma once

#include "app/commands/cloth_commands.hpp"
#include "app/commands/press_commands.hpp"
#include "app/commands/trace_commands.hpp"
#include "core/sheet/tag.hpp"

namespace up::app {

/// Whatever is new comes into the stash of all quilts.
class StashCommands : public QObject {
    Q_OBJECT
public:
    /// What else the stash holds is asked about by those. `reading`: what is read is read there.
    struct Others {
        TraceCommands& tracing;
        ClothCommands& cloths;
        PressCommands& presses;
        Errand& reading;
    };
    StashCommands(Session& session, StashKeeper& stash, Asker& asker, Others others,
                  QObject* parent = nullptr);

    /// What was clicked in the stash: what is it like, is it still there?
    void open(const sheet::Tag& tag);

    void newFabric();
    /// Asks for their names, colours and how much light comes through; the chosen piece's first.
    void editFabrics() { editFabrics({}); }
    /// Its colour and picture from a photograph or scan.
    void pictureFabric();
    void newThread();
    void newWeb();
    /// Asks for the leaflet's figures of the block's web.
    void editWeb();
    void newSupply();
    /// What the quilt alone has of webs, threads and irons goes into the stash.
    void keepForAll();

private:
    void editFabrics(FabricId first);
    void editWeb(WebId web);
    void editThread(ThreadId thread);
    void editSupply(SupplyId supply);
    void editIron(IronId iron);
    /// The chosen piece, which gets what is new; none.
    [[nodiscard]] PieceId pieceForIt() const;

    Session& m_session;
    StashKeeper& m_stash;
    Asker& m_asker;
    Others m_others;
};

} // namespace up::app
