// SPDX-License-Identifier: GPL-3.0-or-later
// Long work is told how far it is and asked whether to stop: by its argument, where what has been found so far is
// worth having; else by `breathe`, deep down in loops that know nothing of jobs.
#pragma once

#include <atomic>
#include <optional>
#include <utility>

namespace up {

class Job {
public:
    void stop() { m_stop.store(true, std::memory_order_relaxed); }
    [[nodiscard]] bool stopped() const { return m_stop.load(std::memory_order_relaxed); }
    /// `done` in 0..1.
    void progress(double done) { m_done.store(done, std::memory_order_relaxed); }
    [[nodiscard]] double progress() const { return m_done.load(std::memory_order_relaxed); }

private:
    std::atomic<bool> m_stop{false};
    std::atomic<double> m_done{0.0};
};

/// Thrown by `breathe`; caught by `unlessStopped` and by nobody else.
struct Stopped {};

namespace jobs {
inline thread_local const Job* atWork = nullptr; ///< what this thread works for
}

/// In every loop that may take longer than a tenth of a second: throws Stopped when nobody wants the answer any
/// more. Nothing happens in a thread that works for no job.
inline void breathe() {
    if (jobs::atWork && jobs::atWork->stopped()) throw Stopped{};
}

/// work(), during which `breathe` asks that job; nothing when it was stopped.
template<class Work>
[[nodiscard]] auto unlessStopped(const Job& job, Work&& work) -> std::optional<decltype(work())> {
    struct Until {
        const Job* before;
        ~Until() { jobs::atWork = before; }
    } const until{std::exchange(jobs::atWork, &job)};
    try {
        breathe();
        return work();
    } catch (const Stopped&) {
        return std::nullopt;
    }
}

} // namespace up
