// SPDX-License-Identifier: GPL-3.0-or-later
// CHECK: a condition that only a mistake of ours can break. On in releases too.
#pragma once

namespace up {

/// Called before the program ends on a broken CHECK, or on an exception that nobody caught, in whatever
/// thread; the application saves its recovery copy here.
void onBrokenCheck(void (*rescue)());

/// Runs the rescue, says where, ends the program.
[[noreturn]] void brokenCheck(const char* condition, const char* file, int line);

} // namespace up

#define UP_CHECK(condition) ((condition) ? void() : ::up::brokenCheck(#condition, __FILE__, __LINE__))
