// SPDX-License-Identifier: GPL-3.0-or-later
// Lays a block out aside while the window stays alive, then tries the other ways to gather its pieces.
#pragma once

#include "app/session/session.hpp"
#include "core/base/job.hpp"
#include "core/plan/trace/lay_out.hpp"

#include <QElapsedTimer>
#include <QTimer>
#include <memory>

namespace up::app {

/// One way to lay the block out, and what it costs.
struct Way {
    quilt::School school;
    quilt::Layout layout;
    plan::TracePlan plan;
    plan::TraceCost cost;
};

class LayoutJob : public QObject {
    Q_OBJECT
public:
    explicit LayoutJob(Session& session, QObject* parent = nullptr);
    ~LayoutJob() override;

    /// Lays out the block now looked at; the result is applied to that block when it comes, as one edit. Then
    /// the other ways are compared.
    void start(const plan::TraceOptions& options);
    /// The best layout so far is kept.
    void stop();
    [[nodiscard]] bool isRunning() const { return m_running; }

    /// Tries all ways that differ for the block now looked at.
    void compare(const plan::TraceOptions& options);
    void stopComparing();
    [[nodiscard]] bool isComparing() const { return m_comparing; }
    /// Of the block now looked at, as it is, or null when they are not known, or of what it was before. The same
    /// object as long as nobody compares anew.
    [[nodiscard]] std::shared_ptr<const std::vector<Way>> ways() const;

signals:
    void runningChanged(bool running);
    /// About five times a second while running; 0 to 99.
    void progressed(int percent);
    /// Comparing began or ended.
    void waysChanged();

private:
    /// A layout and what it means.
    using Laid = std::pair<Result<quilt::Layout>, plan::TracePlan>;
    void finish(const Laid& laid);
    void finishComparing(std::vector<Way> ways);
    /// What was laid out: looked at, to see whether the answer still holds.
    struct Asked {
        quilt::Quilt quilt;
        BlockId block;
        std::uint64_t state = 0;
    };
    [[nodiscard]] bool isAsItWas(const Asked& was) const;

    Session& m_session;
    std::shared_ptr<up::Job> m_control, m_compareControl;
    Asked m_laid, m_compared;
    plan::TraceOptions m_options;
    std::shared_ptr<const std::vector<Way>> m_ways;
    QTimer m_tick;
    QElapsedTimer m_since;
    bool m_running = false, m_comparing = false;
};

} // namespace up::app
