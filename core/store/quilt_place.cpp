// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/quilt_place.hpp"

#include "core/store/file.hpp"

#include <functional>
#include <sys/stat.h>

namespace up::store {

QuiltPlace::QuiltPlace(std::string path, FileLock lock, const std::string& bytes)
    : m_path(std::move(path)), m_lock(std::move(lock)) {
    wrote(bytes);
}

QuiltPlace::Stamp QuiltPlace::stampOf(const std::string& path) {
    struct stat info {};
    if (::stat(path.c_str(), &info) != 0) return {};
    return {info.st_size, info.st_mtim.tv_sec, info.st_mtim.tv_nsec};
}

void QuiltPlace::wrote(const std::string& bytes) {
    m_stamp = stampOf(m_path);
    m_hash = std::hash<std::string>()(bytes);
}

OnDisk QuiltPlace::look() const {
    if (m_path.empty()) return OnDisk::asKnown;
    const auto now = stampOf(m_path);
    if (now.size < 0) return OnDisk::gone;
    if (now == m_stamp) return OnDisk::asKnown;
    const auto bytes = readFile(m_path);
    if (!bytes || std::hash<std::string>()(*bytes) != m_hash) return OnDisk::changed;
    m_stamp = now; // only touched
    return OnDisk::asKnown;
}

} // namespace up::store
