// SPDX-License-Identifier: GPL-3.0-or-later
// Cloth at hand, and which chunk of web goes onto which.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/errand.hpp"
#include "app/session/mending.hpp"
#include "app/session/stash_keeper.hpp"

namespace up::app {

class ClothCommands : public QObject {
    Q_OBJECT
public:
    /// `reading`: what is read is read there.
    ClothCommands(Session& session, Mending& mending, StashKeeper& stash, Asker& asker, Errand& reading,
                  QObject* parent = nullptr);

    /// Finds cloth for every chunk that is not bonded, aside; pinned ones stay where they are.
    void layOnCloth();
    /// The chosen piece's chunk goes onto the next cloth of its fabric that has room.
    void useAnother();
    /// Its chunk stays where it is when the rest is laid anew, or no longer.
    void togglePin();
    /// These pieces, and what is left of the cloth goes into the stash.
    void bond(const std::vector<PieceId>& pieces, const QString& what);

    /// What a cloth is like, or that it is gone.
    void change(ClothId cloth);
    void add();
    /// Something on the shopping list is here, or not wanted any more.
    void bought(WantId want);
    /// Its outline from a scan, a photograph or a drawing.
    void trace();

private:
    [[nodiscard]] const quilt::OnCloth* chosenOnCloth() const;
    [[nodiscard]] quilt::Cloth fresh() const;
    [[nodiscard]] bool hasFabrics();
    void bring(WantId want);

    Session& m_session;
    Mending& m_mending;
    StashKeeper& m_stash;
    Asker& m_asker;
    Errand& m_reading;
};

} // namespace up::app
