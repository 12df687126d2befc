// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/time.hpp"

#include <array>
#include <chrono>
#include <cstdio>

namespace up::store {

using namespace std::chrono;

std::string writeTime(std::int64_t count) {
    const sys_seconds at{seconds{count}};
    const auto day = floor<days>(at);
    const year_month_day date{day};
    const hh_mm_ss clock{at - day};
    std::array<char, 64> text{};
    std::snprintf(text.data(), text.size(), "%04d-%02u-%02uT%02d:%02d:%02dZ", static_cast<int>(date.year()),
                  static_cast<unsigned>(date.month()), static_cast<unsigned>(date.day()),
                  static_cast<int>(clock.hours().count()), static_cast<int>(clock.minutes().count()),
                  static_cast<int>(clock.seconds().count()));
    return text.data();
}

std::optional<std::int64_t> readTime(const std::string& text) {
    int y = 0, mo = 0, d = 0, h = 0, mi = 0, s = 0, end = 0;
    if (std::sscanf(text.c_str(), "%4d-%2d-%2dT%2d:%2d:%2dZ%n", &y, &mo, &d, &h, &mi, &s, &end) != 6)
        return std::nullopt;
    const year_month_day date{year{y}, month{static_cast<unsigned>(mo)}, day{static_cast<unsigned>(d)}};
    if (end != static_cast<int>(text.size()) || !date.ok() || y < 1970 || h > 23 || mi > 59 || s > 60)
        return std::nullopt;
    const auto at = sys_days{date} + hours{h} + minutes{mi} + seconds{s};
    return at.time_since_epoch().count();
}

} // namespace up::store
