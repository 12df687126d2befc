// SPDX-License-Identifier: GPL-3.0-or-later
// Waiting for what is found aside.
#pragma once

#include <QTest>
#include <gtest/gtest.h>

namespace up::test {

/// ms after which a test gives up: long, as a busy machine is no mistake.
inline constexpr int patience = 30'000;

} // namespace up::test

/// Waits, with the window alive, until the condition holds.
#define EXPECT_SOON(condition)                                                                               \
    EXPECT_TRUE(QTest::qWaitFor([&] { return (condition); }, up::test::patience)) << #condition
