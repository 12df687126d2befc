// SPDX-License-Identifier: GPL-3.0-or-later
// Threads that work aside: in order, to the end, behind the window; and what becomes of their answers.
#include "app/session/aside.hpp"
#include "app/session/workers.hpp"
#include "tests/gui/patience.hpp"

#include <sys/resource.h>
#include <unistd.h>

#include <algorithm>
#include <atomic>
#include <future>
#include <stdexcept>

namespace up::test {
namespace {

using app::Workers;

/// Of the thread that asks.
int niceness() {
    return getpriority(PRIO_PROCESS, static_cast<id_t>(gettid()));
}

TEST(Aside, OneWorkerKeepsTheOrder) {
    Workers one(1);
    std::vector<int> done;
    for (int i = 0; i < 100; ++i)
        one.start([&done, i] { done.push_back(i); });
    one.finish();
    ASSERT_EQ(done.size(), 100U);
    EXPECT_TRUE(std::is_sorted(done.begin(), done.end()));
    EXPECT_TRUE(one.isIdle());
}

TEST(Aside, TwoWorkersWorkAtTheSameTime) {
    Workers two(2);
    std::promise<void> second;
    auto hasCome = std::future_status::timeout;
    two.start([&] { hasCome = second.get_future().wait_for(std::chrono::milliseconds(patience)); });
    two.start([&] { second.set_value(); });
    two.finish();
    EXPECT_EQ(hasCome, std::future_status::ready);
}

TEST(Aside, WhatHasBeenStartedIsDoneBeforeTheWorkersGo) {
    std::atomic<int> done = 0;
    {
        Workers two(2);
        for (int i = 0; i < 50; ++i)
            two.start([&done] { ++done; });
    }
    EXPECT_EQ(done, 50);
}

TEST(Aside, WorkersStandBackAndSoDoTheThreadsTheyStart) {
    Workers polite(1, 10);
    int own = 0, others = 0;
    polite.start([&] {
        own = niceness();
        std::thread([&] { others = niceness(); }).join();
    });
    polite.finish();
    EXPECT_EQ(own, std::min(niceness() + 10, 19));
    EXPECT_EQ(others, own);
}

TEST(Aside, AnAnswerComesToTheThreadOfItsOwner) {
    QObject owner;
    std::thread::id worked, told;
    app::aside(
        &owner, [&] { return worked = std::this_thread::get_id(); },
        [&](std::thread::id) { told = std::this_thread::get_id(); });
    EXPECT_SOON(told == std::this_thread::get_id());
    EXPECT_NE(worked, told);
}

TEST(Aside, NobodyIsToldOnceTheOwnerIsGone) {
    auto owner = std::make_unique<QObject>();
    std::promise<void> go;
    bool told = false;
    app::aside(
        owner.get(),
        [&, wait = std::make_shared<std::future<void>>(go.get_future())] { return wait->wait(), 1; },
        [&](int) { told = true; });
    owner.reset();
    go.set_value();
    EXPECT_SOON(!app::jobs::anyAtWork());
    QTest::qWait(1);
    EXPECT_FALSE(told);
}

} // namespace
} // namespace up::test
