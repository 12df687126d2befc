// SPDX-License-Identifier: GPL-3.0-or-later
// The command line as a function, so that tests call it in-process.
#pragma once

#include <iosfwd>
#include <string>
#include <vector>

namespace up::cli {

/// `args` without the program's name. Results go to `out` or the file after -o, one line of complaint to
/// `err`. Answers 0, 1 (bad input) or 2 (bad usage).
[[nodiscard]] int run(const std::vector<std::string>& args, std::ostream& out, std::ostream& err);

} // namespace up::cli
