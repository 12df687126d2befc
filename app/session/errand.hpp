// SPDX-License-Identifier: GPL-3.0-or-later
// Work done aside for the user, who waits for it: how far it is, and an end to it whenever they like.
#pragma once

#include "app/session/aside.hpp"

#include <QObject>
#include <QString>

namespace up::app {

/// One at a time: a new one puts an end to that before.
class Errand : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    ~Errand() override { abandon(); }

    /// Runs `work(job)` aside, then `then(result)` here, unless it has been stopped by then. `what` is what
    /// the user waits for: "Reading heron.pdf".
    template<class Work, class Then> void start(const QString& what, Work work, Then then) {
        abandon();
        m_what = what;
        m_job = std::make_shared<Job>();
        emit runningChanged(true);
        aside(
            this,
            [work = std::move(work), job = m_job] { return unlessStopped(*job, [&] { return work(job); }); },
            [this, job = m_job, then = std::move(then)](const auto& result) {
                if (job != m_job || !result) return;
                end();
                then(*result);
            });
    }
    /// By the user.
    void stop() {
        if (!m_job) return;
        abandon();
        end();
        emit stopped();
    }
    [[nodiscard]] bool isRunning() const { return m_job != nullptr; }
    [[nodiscard]] QString what() const { return m_what; }
    /// 0 to 100; 0 while nothing is known.
    [[nodiscard]] int percent() const { return m_job ? static_cast<int>(m_job->progress() * 100) : 0; }

signals:
    void runningChanged(bool running);
    void stopped();

private:
    void abandon() {
        if (m_job) m_job->stop();
    }
    void end() {
        m_job.reset();
        emit runningChanged(false);
    }

    QString m_what;
    std::shared_ptr<Job> m_job;
};

} // namespace up::app
