// SPDX-License-Identifier: GPL-3.0-or-later
// Work that may take longer than a blink, done in another thread; its result comes back to the window's.
#pragma once

#include <QFutureWatcher>
#include <QtConcurrentRun>
#include <functional>
#include <memory>
#include <utility>

namespace up::app {

/// Runs `work` aside, then `then(result)` in the thread of `owner`, unless `owner` is gone by then.
template<class Work, class Then> void aside(QObject* owner, Work work, Then then) {
    using Answer = std::invoke_result_t<Work>;
    auto* watcher = new QFutureWatcher<std::shared_ptr<Answer>>(owner);
    QObject::connect(watcher, &QFutureWatcherBase::finished, owner, [watcher, then = std::move(then)] {
        const auto answer = watcher->result();
        watcher->deleteLater();
        then(*answer);
    });
    watcher->setFuture(
        QtConcurrent::run([work = std::move(work)] { return std::make_shared<Answer>(work()); }));
}

/// Asks one thing again and again, aside: while an answer is being found only the newest question waits.
class Newest : public QObject {
public:
    explicit Newest(QObject* parent) : QObject(parent) {}
    [[nodiscard]] bool isBusy() const { return m_running; }

    template<class Work, class Then> void ask(Work work, Then then) {
        auto start = [this, work = std::move(work), then = std::move(then)] {
            m_running = true;
            aside(this, work, [this, then](const auto& answer) {
                m_running = false;
                if (const auto next = std::exchange(m_waiting, nullptr)) return next();
                then(answer);
            });
        };
        if (m_running)
            m_waiting = std::move(start);
        else
            start();
    }

private:
    bool m_running = false;
    std::function<void()> m_waiting;
};

} // namespace up::app
