// SPDX-License-Identifier: GPL-3.0-or-later
// What may be moved on the mat: pieces on the block, chunks on the web, the line of the section.
#pragma once

#include "app/canvas/gesture.hpp"
#include "app/session/session.hpp"

namespace up::app {

/// A gesture that edits the quilt: all of it is one step of the history, which it alone may take back.
class EditGesture : public Gesture {
public:
    /// `name`: the step's, for Undo.
    EditGesture(Session& session, QString name);
    void done() override;
    void cancelled() override;

protected:
    /// Changes the quilt as it is now. Nothing is done any more once somebody else has changed it, or another
    /// block is looked at.
    void apply(edit::Edited next);
    [[nodiscard]] bool isStale() const;
    /// The block it began on; null once that is stale.
    [[nodiscard]] const quilt::Block* block() const;
    /// As the mat shows it: what is turned over moves the other way.
    [[nodiscard]] double across(double right) const { return m_session.turnedOver() ? -right : right; }

    Session& m_session;
    const BlockId m_block;

private:
    const QString m_name;
    const std::string m_key;
    std::uint64_t m_state;
};

/// The pieces that are chosen, on the block; one alone snaps to a crease when it is let go.
class MovePieces final : public EditGesture {
public:
    explicit MovePieces(Session& session, bool snaps);
    void moved(double right, double down) override;
    void done() override;

private:
    void move(double right, double down);
    const std::vector<PieceId> m_pieces;
    const bool m_snaps;
};

/// A line on the block.
class MoveLine final : public EditGesture {
public:
    MoveLine(Session& session, LineId line);
    void moved(double right, double down) override;

private:
    const LineId m_line;
};

/// A chunk, or one piece of it, on the web. What is passed on the way does not come along, even where it
/// joins the chunk for a moment; when it is let go too close to something, it goes back to where it last had
/// room.
class MoveOnWeb final : public EditGesture {
public:
    MoveOnWeb(Session& session, PieceId piece, bool alone);
    /// Clockwise as the mat shows it.
    void turned(double degrees);
    void moved(double right, double down) override;
    void done() override;
    /// Nothing of it may move: all has been traced.
    [[nodiscard]] bool isEmpty() const { return m_pieces.empty(); }

private:
    void move(double right, double down, double degrees);
    std::vector<PieceId> m_pieces;
    std::optional<quilt::Layout> m_free; ///< the last one in which nothing lay too close
};

/// A chunk on its cloth; pinned there from then on. Let go where it may not lie, it goes back to where it last
/// lay well.
class MoveOnCloth final : public EditGesture {
public:
    MoveOnCloth(Session& session, PieceId piece);
    void turned(double degrees);
    void moved(double right, double down) override;
    void done() override;
    [[nodiscard]] bool isEmpty() const { return !m_chunk; }

private:
    void move(double right, double down, double degrees);
    [[nodiscard]] plan::Lies lies() const;
    std::optional<int> m_chunk;
    std::optional<std::vector<quilt::OnCloth>> m_good; ///< the last ones where it lay well
};

/// One end of the section's line; it stays within what is cut, so that it can be taken hold of again.
class MoveSection final : public Gesture {
public:
    MoveSection(Session& session, sheet::Handle end);
    void moved(double right, double down) override;
    void done() override {}
    void cancelled() override { m_session.setSection(m_before); }

private:
    Session& m_session;
    const sheet::Handle m_end;
    const Session::Section m_before;
};

} // namespace up::app
