// SPDX-License-Identifier: GPL-3.0-or-later
// The command line, run in this process with captured streams.
#pragma once

#include "cli/run.hpp"
#include "tests/support/files.hpp"

#include <nlohmann/json.hpp>
#include <sstream>

namespace up::cli {

using Json = nlohmann::json;

struct Said {
    int code;
    std::string out, err;
    [[nodiscard]] Json json() const { return Json::parse(out); }
};

inline Said say(const std::vector<std::string>& words) {
    std::ostringstream out, err;
    const int code = run(words, out, err);
    return {code, out.str(), err.str()};
}

inline std::string sample() {
    return test::share("demo/towpath.upstairs");
}

} // namespace up::cli
