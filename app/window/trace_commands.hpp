// SPDX-License-Identifier: GPL-3.0-or-later
// Laying out: by the engine, by hand, and what is left afterwards.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/layout_job.hpp"
#include "app/session/session.hpp"

namespace up::app {

/// Moves of one drag are one step of undo.
inline constexpr const char* dragKey = "drag on the web";

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

    /// The chosen piece's whole chunk, or with `alone` the piece itself, moved on its sheet; what has been
    /// traced stays. Pieces of one `mergeKey` move in one step of undo.
    void move(PieceId piece, double right, double down, bool alone, const std::string& mergeKey);
    void turn(double degrees, bool alone);
    /// After a drag: what lies too close goes back to where it last had room.
    void drop();
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

signals:
    void told(const QString& sentence);

private:
    [[nodiscard]] std::vector<PieceId> moving(PieceId piece, bool alone) const;
    void apply(std::vector<PieceId> pieces, double right, double down, double degrees,
               const std::string& mergeKey);

    Session& m_session;
    LayoutJob& m_layout;
    Asker& m_asker;
    /// What moves with a piece while it is held.
    struct Held {
        PieceId by;
        bool alone = false;
        std::string key;
        std::vector<PieceId> pieces;
    };
    Held m_held;
    bool m_moving = false;
    std::optional<quilt::Layout> m_free; ///< the last one of this drag in which nothing lay too close
};

} // namespace up::app
