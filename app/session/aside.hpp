// SPDX-License-Identifier: GPL-3.0-or-later
// Work that may take longer than a blink, done in another thread; its result comes back to the window's.
#pragma once

#include "core/base/job.hpp"

#include <QObject>
#include <functional>
#include <memory>
#include <utility>

namespace up::app {

/// Threads of our own: Qt paints large shapes with those of its common pool, which must stay free for that;
/// and what the user waits for does not wait for what is merely nice to know.
enum class Pool : std::uint8_t {
    answers, ///< what is doubtful, what each piece needs: asked after every change
    errands, ///< what the user asked for: reading, mending, printing
    layouts, ///< takes all the time it is given
    copies   ///< of work that is not saved: one after the other, and soon
};

namespace jobs {
/// What `work` gives is called in the thread of `owner`, unless `owner` is gone by then.
void run(QObject* owner, Pool pool, std::function<std::function<void()>()> work);
/// Something is being worked out aside, wanted or not.
[[nodiscard]] bool anyAtWork();
/// Waits until nothing is left to do there.
void finish(Pool pool);
} // namespace jobs

/// Runs `work` aside, then `then(result)` in the thread of `owner`, unless `owner` is gone by then. What
/// `work` throws is thrown there instead.
template<class Work, class Then> void aside(QObject* owner, Work work, Then then, Pool pool = Pool::errands) {
    using Answer = std::invoke_result_t<Work>;
    jobs::run(owner, pool,
              [work = std::move(work), then = std::move(then)]() mutable -> std::function<void()> {
                  auto answer = std::make_shared<Answer>(work());
                  return [answer = std::move(answer), then = std::move(then)] { then(*answer); };
              });
}

/// Asks one thing again and again, aside: while an answer is being found only the newest question waits, and
/// only its answer is told. Goes out quietly: what is being found when it is destroyed is stopped.
class Newest : public QObject {
public:
    /// What becomes of the question before.
    enum class Before : std::uint8_t {
        ends, ///< goes on to its end, for it will be of use to the next
        stops ///< nobody wants to know any more
    };
    explicit Newest(QObject* parent, Pool pool = Pool::answers, Before before = Before::ends)
        : QObject(parent), m_pool(pool), m_before(before) {}
    ~Newest() override { stop(); }
    [[nodiscard]] bool isBusy() const { return m_job != nullptr; }
    /// Nothing that has been asked is told an answer any more.
    void drop() {
        stop();
        m_waiting = nullptr;
        m_job.reset();
    }

    /// `work` gives an answer or takes the job and gives one; `then(answer)` in this thread.
    template<class Work, class Then> void ask(Work work, Then then) {
        auto start = [this, work = std::move(work), then = std::move(then)] {
            m_job = std::make_shared<Job>();
            aside(
                this,
                [work, job = m_job] { return unlessStopped(*job, [&] { return answerOf(work, *job); }); },
                [this, then, job = m_job](const auto& answer) {
                    if (job != m_job) return; // dropped
                    m_job.reset();
                    if (const auto next = std::exchange(m_waiting, nullptr)) return next();
                    if (answer) then(*answer);
                },
                m_pool);
        };
        if (!m_job) return start();
        m_waiting = std::move(start);
        if (m_before == Before::stops) stop();
    }

private:
    template<class Work> static auto answerOf(const Work& work, Job& job) {
        if constexpr (std::is_invocable_v<Work, Job&>)
            return work(job);
        else
            return work();
    }
    void stop() {
        if (m_job) m_job->stop();
    }
    Pool m_pool;
    Before m_before;
    std::shared_ptr<Job> m_job; ///< of the question that is being answered
    std::function<void()> m_waiting;
};

/// Keeps an answer up to date, aside. Every answer is told, and the next question, if one has come up meanwhile,
/// is put only then, so that it can start from that answer.
class Upkeep : public QObject {
public:
    /// `ask` puts the question as it is now, by `find`, or finds that there is none.
    Upkeep(QObject* parent, std::function<void()> ask) : QObject(parent), m_ask(std::move(ask)) {}
    ~Upkeep() override {
        if (m_job) m_job->stop();
    }
    /// Also while an answer is told that is out of date already.
    [[nodiscard]] bool isBusy() const { return m_job != nullptr || m_again; }
    /// Something has changed.
    void refresh() {
        m_again = isBusy();
        if (!m_again) m_ask();
    }
    template<class Work, class Then> void find(Work work, Then then) {
        m_job = std::make_shared<Job>();
        aside(
            this, [work = std::move(work), job = m_job] { return unlessStopped(*job, work); },
            [this, then = std::move(then)](const auto& answer) {
                m_job.reset();
                if (answer) then(*answer);
                if (std::exchange(m_again, false)) refresh();
            },
            Pool::answers);
    }

private:
    std::function<void()> m_ask;
    std::shared_ptr<Job> m_job;
    bool m_again = false;
};

} // namespace up::app
