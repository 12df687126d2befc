// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/check.hpp"

#include <cstdio>
#include <cstdlib>
#include <exception>
#include <utility>

namespace up {
namespace {
void (*g_rescue)() = nullptr;
}

void onBrokenCheck(void (*rescue)()) {
    g_rescue = rescue;
    std::set_terminate([] {
        if (auto* last = std::exchange(g_rescue, nullptr)) last();
        std::fprintf(stderr, "upstairs: a mistake in the program (an error that nobody caught)\n");
        std::abort();
    });
}

void brokenCheck(const char* condition, const char* file, int line) {
    if (auto* rescue = std::exchange(g_rescue, nullptr)) rescue();
    std::fprintf(stderr, "upstairs: a mistake in the program (%s, %s:%d)\n", condition, file, line);
    std::abort();
}

} // namespace up
