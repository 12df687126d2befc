// SPDX-License-Identifier: GPL-3.0-or-later
// What a hand does on the mat: choosing, dragging, nudging, turning, and what that means in each view.
#pragma once

#include "app/canvas/mat.hpp"
#include "app/window/gestures.hpp"

namespace up::app {

class StashCommands;

class MatHand : public QObject {
    Q_OBJECT
public:
    MatHand(Session& session, Mat& mat, StashCommands& shelf);
    /// The chosen pieces on the block, or the chosen one's chunk on the web; clockwise.
    void turn(double degrees);

private:
    void press(const sheet::Tag& tag, bool more);
    void frame(const shape::Box& box, bool more);
    void tick(PieceId piece);
    void follow();
    [[nodiscard]] std::unique_ptr<Gesture> gestureFor(const Grip& grip);
    [[nodiscard]] std::unique_ptr<MoveOnWeb> onWeb(PieceId piece, bool alone);

    Session& m_session;
    Mat& m_mat;
    View m_view; ///< what was looked at when last something changed
    BlockId m_block;
};

} // namespace up::app
