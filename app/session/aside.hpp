// SPDX-License-Identifier: GPL-3.0-or-later
// Work that may take longer than a blink, done in another thread; its result comes back to the window's.
#pragma once

#include <QFutureWatcher>
#include <QtConcurrentRun>
#include <memory>

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

} // namespace up::app
