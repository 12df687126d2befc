// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/workers.hpp"

#include <sys/resource.h>
#include <unistd.h>

#include <algorithm>

namespace up::app {

Workers::~Workers() {
    {
        const std::scoped_lock lock(m_mutex);
        m_ends = true;
    }
    m_more.notify_all();
    for (auto& thread : m_threads)
        thread.join();
}

void Workers::start(std::function<void()> work) {
    const std::scoped_lock lock(m_mutex);
    m_waiting.push_back(std::move(work));
    if (m_atWork + m_waiting.size() > m_threads.size() && m_threads.size() < m_most)
        m_threads.emplace_back([this] { goOn(); });
    m_more.notify_one();
}

void Workers::finish() {
    std::unique_lock lock(m_mutex);
    m_done.wait(lock, [this] { return m_waiting.empty() && m_atWork == 0; });
}

bool Workers::isIdle() const {
    const std::scoped_lock lock(m_mutex);
    return m_waiting.empty() && m_atWork == 0;
}

namespace {

/// This thread, so far behind those that are as it is now. Where that is not allowed, all are alike.
void standBack(int niceness) {
    const auto thread = static_cast<id_t>(gettid());
    (void)setpriority(PRIO_PROCESS, thread, std::min(getpriority(PRIO_PROCESS, thread) + niceness, 19));
}

} // namespace

void Workers::goOn() {
    if (m_niceness > 0) standBack(m_niceness);
    std::unique_lock lock(m_mutex);
    while (true) {
        m_more.wait(lock, [this] { return m_ends || !m_waiting.empty(); });
        if (m_waiting.empty()) return;
        auto work = std::move(m_waiting.front());
        m_waiting.pop_front();
        ++m_atWork;
        lock.unlock();
        work();
        work = nullptr; // what it held goes here
        lock.lock();
        --m_atWork;
        if (m_waiting.empty() && m_atWork == 0) m_done.notify_all();
    }
}

} // namespace up::app
