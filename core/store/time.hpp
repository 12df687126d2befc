// SPDX-License-Identifier: GPL-3.0-or-later
// Times in files: seconds since 1970-01-01 UTC as "2026-03-01T19:30:00Z" (ISO 8601).
#pragma once

#include <cstdint>
#include <optional>
#include <string>

namespace up::store {

[[nodiscard]] std::string writeTime(std::int64_t seconds);
/// Nothing for anything but that form, years 1970–9999.
[[nodiscard]] std::optional<std::int64_t> readTime(const std::string& text);

} // namespace up::store
