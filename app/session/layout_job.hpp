// SPDX-License-Identifier: GPL-3.0-or-later
// Lays a block out aside while the window stays alive; one at a time.
#pragma once

#include "app/session/session.hpp"
#include "core/base/job.hpp"
#include "core/plan/trace_plan.hpp"

#include <QElapsedTimer>
#include <QFutureWatcher>
#include <QTimer>
#include <memory>

namespace up::app {

class LayoutJob : public QObject {
    Q_OBJECT
public:
    explicit LayoutJob(Session& session, QObject* parent = nullptr);
    ~LayoutJob() override;

    /// Lays out the block now looked at; the result is applied to that block when it comes, as one edit.
    void start(const plan::TraceOptions& options);
    /// The best layout so far is kept.
    void stop();
    [[nodiscard]] bool isRunning() const { return m_running; }

signals:
    void runningChanged(bool running);
    /// About five times a second while running; 0 to 99.
    void progressed(int percent);

private:
    void finish();

    Session& m_session;
    std::shared_ptr<up::Job> m_control;
    QFutureWatcher<std::shared_ptr<Result<quilt::Layout>>> m_watcher;
    quilt::Block m_block;
    QTimer m_tick;
    QElapsedTimer m_since;
    double m_seconds = 1;
    bool m_running = false;
};

} // namespace up::app
