// SPDX-License-Identifier: GPL-3.0-or-later
// At the ironing board: each setting down of the iron timed and recorded, edges tested, the iron chosen.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/errand.hpp"
#include "app/session/press_clock.hpp"
#include "app/session/session.hpp"
#include "app/session/stash_keeper.hpp"

namespace up::app {

class PressCommands : public QObject {
    Q_OBJECT
public:
    /// `reading`: what is read is read there.
    PressCommands(Session& session, StashKeeper& stash, Asker& asker, Errand& reading,
                  QObject* parent = nullptr);

    [[nodiscard]] const PressClock& clock() const { return m_clock; }
    /// By the leaflet of the block's web; null where nothing is pressed.
    [[nodiscard]] const quilt::Pressing* leaflet() const;
    /// That would be counted now.
    [[nodiscard]] double seconds() const;
    /// Counts down; in Fuse the press that is next, which is recorded at its end. Before its end: lifts the iron, and
    /// what it has stood is recorded; the rest is still to be pressed.
    void startOrPause();
    /// What is left of the stage has been pressed without the clock.
    void stageDone();
    /// An edge of the piece that is tested, or chosen, lifts.
    void edgeLifts();

    void setByLayers(bool byLayers);
    void useSoleplate(press::Soleplate soleplate);
    void useIron(IronId iron);
    /// One of one's own, from a scan or drawing of its soleplate.
    void traceIron();

private:
    /// The press that is next, as it would be recorded, and what would be finished by it.
    struct Ahead {
        BlockId block;
        quilt::Pressed pressed;
        std::vector<PieceId> finished;
        double left = 0;
    };
    [[nodiscard]] std::optional<Ahead> ahead() const;
    void record(double seconds);

    Session& m_session;
    StashKeeper& m_stash;
    Asker& m_asker;
    Errand& m_reading;
    PressClock m_clock;
    std::optional<Ahead> m_running; ///< none: nothing is recorded of what the clock counts
};

} // namespace up::app
