// SPDX-License-Identifier: GPL-3.0-or-later
// A few threads that do one thing after the other.
#pragma once

#include <condition_variable>
#include <cstddef>
#include <deque>
#include <functional>
#include <mutex>
#include <thread>
#include <vector>

namespace up::app {

/// Work goes from thread to thread under a lock of its own: Qt's pools do the same under locks that the thread
/// sanitizer cannot see, so that every hand-over would look like a race.
class Workers {
public:
    /// `most` threads, started when they are needed. `niceness`: how far they stand back for others, 0…19; those
    /// that they start stand back as far. Source: sched(7), setpriority(2).
    explicit Workers(std::size_t most, int niceness = 0) : m_most(most), m_niceness(niceness) {}
    /// All that has been started is done first.
    ~Workers();
    Workers(const Workers&) = delete;
    Workers& operator=(const Workers&) = delete;

    /// In the order in which it was started; must not throw.
    void start(std::function<void()> work);
    /// Waits until nothing is left to do.
    void finish();
    [[nodiscard]] bool isIdle() const;

private:
    void goOn();

    const std::size_t m_most;
    const int m_niceness;
    mutable std::mutex m_mutex;
    std::condition_variable m_more, m_done;
    std::deque<std::function<void()>> m_waiting;
    std::size_t m_atWork = 0;
    bool m_ends = false;
    std::vector<std::thread> m_threads;
};

} // namespace up::app
