// SPDX-License-Identifier: GPL-3.0-or-later
// What a hand does on the mat: choosing, dragging, nudging, turning, and what that means in each view.
#pragma once

#include "app/canvas/mat.hpp"
#include "app/session/session.hpp"

namespace up::app {

class TraceCommands;

class MatHand : public QObject {
    Q_OBJECT
public:
    MatHand(Session& session, Mat& mat, TraceCommands& tracing);
    /// The chosen pieces on the block, or the chosen one's chunk on the web; clockwise.
    void turn(double degrees);

private:
    void press(std::uint32_t tag, bool more);
    void frame(const shape::Box& box, bool more);
    void drag(std::uint32_t tag, double right, double down, bool alone);
    void drop();
    void nudge(int right, int down, bool far);
    void snap();
    void dragSection(bool first, double right, double down);
    void move(double right, double down, const std::string& key);
    void tick(PieceId piece);

    Session& m_session;
    Mat& m_mat;
    TraceCommands& m_tracing;
};

} // namespace up::app
