// SPDX-License-Identifier: GPL-3.0-or-later
// Work that may take longer than a blink, done in another thread; its result comes back to the window's.
#pragma once

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
    layouts  ///< takes all the time it is given
};

namespace jobs {
/// What `work` gives is called in the thread of `owner`, unless `owner` is gone by then.
void run(QObject* owner, Pool pool, std::function<std::function<void()>()> work);
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

/// Asks one thing again and again, aside: while an answer is being found only the newest question waits.
class Newest : public QObject {
public:
    explicit Newest(QObject* parent, Pool pool = Pool::answers) : QObject(parent), m_pool(pool) {}
    [[nodiscard]] bool isBusy() const { return m_running; }

    template<class Work, class Then> void ask(Work work, Then then) {
        auto start = [this, work = std::move(work), then = std::move(then)] {
            m_running = true;
            aside(
                this, work,
                [this, then](const auto& answer) {
                    m_running = false;
                    if (const auto next = std::exchange(m_waiting, nullptr)) return next();
                    then(answer);
                },
                m_pool);
        };
        if (m_running)
            m_waiting = std::move(start);
        else
            start();
    }

private:
    Pool m_pool;
    bool m_running = false;
    std::function<void()> m_waiting;
};

} // namespace up::app
