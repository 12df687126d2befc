// SPDX-License-Identifier: GPL-3.0-or-later
// Judges the shapes of the current block and runs its checks aside, when changes pause; only the newest
// quilt's answer counts.
#pragma once

#include "app/session/aside.hpp"
#include "app/session/session.hpp"
#include "core/check/rows.hpp"

#include <QTimer>

namespace up::app {

class Checker : public QObject {
    Q_OBJECT
public:
    explicit Checker(Session& session, QObject* parent = nullptr);

    /// Of the last checked state; the same as the quilt's when not `isBusy`.
    [[nodiscard]] const std::vector<check::Row>& rows() const { return m_rows; }
    /// What the user has left as it is.
    [[nodiscard]] std::size_t left() const { return m_left; }
    [[nodiscard]] bool isBusy() const { return m_upkeep.isBusy() || m_pause.isActive(); }

signals:
    void checked();

private:
    /// What the next check starts from.
    struct Stacked {
        plan::BlockPlan plan;
        plan::Doubts doubts;
        measure::Length underlap;
        quilt::EdgeStitch edge;
        std::shared_ptr<const plan::Judgement> judged;
    };
    struct Answer {
        std::vector<check::Row> rows;
        std::size_t left = 0;
        std::shared_ptr<const plan::Judgement> judged;
        std::vector<PieceId> pieces; ///< that were judged
        std::shared_ptr<const Stacked> stack;
    };
    void start();
    void finish(const Answer& answer);

    Session& m_session;
    std::vector<check::Row> m_rows;
    std::size_t m_left = 0;
    std::shared_ptr<const Stacked> m_stack;
    std::shared_ptr<const plan::StitchPlan> m_stitching; ///< that was checked with
    QTimer m_pause; ///< a drag is many changes: checking each would only take the window's time
    Upkeep m_upkeep{this, [this] { start(); }};
};

} // namespace up::app
