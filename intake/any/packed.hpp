// SPDX-License-Identifier: GPL-3.0-or-later
// Files packed with gzip, such as SVG drawings that end in .svgz.
#pragma once

#include <optional>
#include <string>

namespace up::intake {

[[nodiscard]] bool isPacked(const std::string& bytes);

/// What is in it, up to `most` bytes; nothing when it is damaged or holds more.
[[nodiscard]] std::optional<std::string> unpacked(const std::string& bytes, std::size_t most);

} // namespace up::intake
