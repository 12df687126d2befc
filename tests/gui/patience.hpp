// SPDX-License-Identifier: GPL-3.0-or-later
// Waiting for what is found aside.
#pragma once

#include <QTest>
#include <gtest/gtest.h>

namespace up::test {

/// ms after which a test gives up: long, as a busy machine is no mistake.
#ifdef __SANITIZE_THREAD__
inline constexpr int patience = 300'000;
#else
inline constexpr int patience = 30'000;
#endif

} // namespace up::test

/// Waits, with the window alive, until the condition holds.
#define EXPECT_SOON(condition)                                                                               \
    EXPECT_TRUE(QTest::qWaitFor([&] { return (condition); }, up::test::patience)) << #condition
