// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/files.hpp"

#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <sstream>
#include <stdexcept>

namespace up::test {

TempDir::TempDir() {
    std::string name = (std::filesystem::temp_directory_path() / "upstairs-XXXXXX").string();
    if (!::mkdtemp(name.data())) throw std::runtime_error("no temporary folder");
    m_path = name;
}

TempDir::~TempDir() {
    std::error_code ignored;
    std::filesystem::permissions(m_path, std::filesystem::perms::owner_all, ignored);
    std::filesystem::remove_all(m_path, ignored);
}

std::string readAll(const std::string& path) {
    std::ifstream in(path, std::ios::binary);
    std::ostringstream text;
    text << in.rdbuf();
    return text.str();
}

void writeAll(const std::string& path, const std::string& bytes) {
    std::ofstream(path, std::ios::binary) << bytes;
}

namespace {
std::string below(const char* variable, const std::string& path) {
    const char* top = std::getenv(variable);
    if (!top) throw std::runtime_error(std::string(variable) + " is not set; run through ctest");
    return std::string(top) + "/" + path;
}
} // namespace

std::string source(const std::string& path) {
    return below("UPSTAIRS_SOURCE", path);
}
std::string share(const std::string& path) {
    return below("UPSTAIRS_SHARE", path);
}

} // namespace up::test
