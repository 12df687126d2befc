// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/place.hpp"

#include <filesystem>

namespace up {

std::string dataFolder() {
    namespace fs = std::filesystem;
    std::error_code ignored;
    const auto program = fs::read_symlink("/proc/self/exe", ignored);
    return (program.parent_path().parent_path() / "share" / "upstairs").string();
}

} // namespace up
