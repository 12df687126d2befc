// SPDX-License-Identifier: GPL-3.0-or-later
// Folders and files of a test.
#pragma once

#include <string>

namespace up::test {

/// A folder of its own, removed at the end.
class TempDir {
public:
    TempDir();
    ~TempDir();
    TempDir(const TempDir&) = delete;
    TempDir& operator=(const TempDir&) = delete;
    [[nodiscard]] const std::string& path() const { return m_path; }
    [[nodiscard]] std::string file(const std::string& name) const { return m_path + "/" + name; }

private:
    std::string m_path;
};

[[nodiscard]] std::string readAll(const std::string& path);
void writeAll(const std::string& path, const std::string& bytes);

/// A path below the source folder, or below the shared files of the build.
[[nodiscard]] std::string source(const std::string& path);
[[nodiscard]] std::string share(const std::string& path);

} // namespace up::test
