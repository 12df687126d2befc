// SPDX-License-Identifier: GPL-3.0-or-later
// Another program at work for us, on a short lead: what it does to itself happens to nobody else.
#pragma once

#include <string>
#include <vector>

namespace up::intake {

struct ToolLimits {
    int seconds = 6;     ///< of computing
    int megabytes = 900; ///< of memory
};

struct ToolAnswer {
    enum class End : std::uint8_t {
        good,
        failed,  ///< it said no, or fell over
        stopped, ///< it took too long or too much memory
        missing  ///< it is not installed
    };
    End end = End::failed;
    std::string out; ///< standard output
    std::string err; ///< the first line of standard error
};

/// Runs a program from the PATH with these arguments, standard input empty, and waits for it.
/// Output beyond 100 MB stops it.
[[nodiscard]] ToolAnswer runTool(const std::vector<std::string>& command, ToolLimits limits = {});

} // namespace up::intake
