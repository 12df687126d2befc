// SPDX-License-Identifier: GPL-3.0-or-later
// Programs outside the project, run for what they say.
#pragma once

#include <string>

namespace up::test {

struct Said {
    int code = -1;
    std::string out; ///< standard output and error together
};

/// Runs a shell command.
[[nodiscard]] Said tool(const std::string& command);

/// The number after the first `key` in `text`; NaN when there is none.
[[nodiscard]] double numberAfter(const std::string& text, const std::string& key);

} // namespace up::test
