// SPDX-License-Identifier: GPL-3.0-or-later
// The one argument of long work: it is told how far it is, and asked whether to stop.
#pragma once

#include <atomic>

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

} // namespace up
