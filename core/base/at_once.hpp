// SPDX-License-Identifier: GPL-3.0-or-later
// Work that falls into many parts which do not touch each other, on all cores at once.
#pragma once

#include "core/base/job.hpp"

#include <atomic>
#include <exception>
#include <mutex>
#include <thread>
#include <vector>

namespace up {

/// part(i) for every i below `count`, in no order, in several threads where there are enough of them to be worth it;
/// the threads work for the job that this one works for. Throws what the first part that failed has thrown. Whoever
/// writes only into place i has the same result on every machine.
template<class Part> void atOnce(std::size_t count, Part&& part) {
    constexpr std::size_t worth = 24; // starting a thread takes as long as some parts
    const std::size_t threads = count < worth ? 1 : std::max(1U, std::thread::hardware_concurrency());
    std::atomic<std::size_t> next{0};
    std::exception_ptr wrong;
    std::mutex mutex;
    const auto work = [&] {
        try {
            for (std::size_t i = next++; i < count; i = next++)
                part(i);
        } catch (...) {
            next = count; // the others need not go on
            const std::scoped_lock lock(mutex);
            if (!wrong) wrong = std::current_exception();
        }
    };
    std::vector<std::thread> others;
    for (std::size_t i = 1; i < threads; ++i)
        others.emplace_back([&, job = jobs::atWork] {
            jobs::atWork = job;
            work();
        });
    work();
    for (auto& other : others)
        other.join();
    if (wrong) std::rethrow_exception(wrong);
}

} // namespace up
