// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/tool.hpp"

#include <array>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <sys/wait.h>

namespace up::test {

Said tool(const std::string& command) {
    Said said;
    FILE* pipe = ::popen((command + " 2>&1").c_str(), "r");
    if (!pipe) return said;
    std::array<char, 4096> buffer{};
    while (const auto n = std::fread(buffer.data(), 1, buffer.size(), pipe))
        said.out.append(buffer.data(), n);
    const int status = ::pclose(pipe);
    said.code = WIFEXITED(status) ? WEXITSTATUS(status) : -1;
    return said;
}

double numberAfter(const std::string& text, const std::string& key) {
    const auto at = text.find(key);
    return at == std::string::npos ? std::nan("") : std::strtod(text.c_str() + at + key.size(), nullptr);
}

} // namespace up::test
