// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/stash_place.hpp"

#include "core/base/spoken.hpp"
#include "core/store/file.hpp"
#include "core/store/file_lock.hpp"

#include <chrono>
#include <filesystem>
#include <thread>

namespace up::store {

bool StashPlace::isThere() const {
    std::error_code ignored;
    return std::filesystem::exists(m_path, ignored);
}

Result<quilt::Stash> StashPlace::read() const {
    return readFile(m_path).and_then([&](const std::string& text) { return readStash(text, m_path); });
}

Result<quilt::Stash> StashPlace::exchange(const quilt::Stash& before, const quilt::Stash& mine) const {
    std::error_code ignored;
    std::filesystem::create_directories(std::filesystem::path(m_path).parent_path(), ignored);
    constexpr int tries = 200;
    FileLock lock(m_path);
    for (int i = 0; lock.other() && i < tries; ++i) {
        std::this_thread::sleep_for(std::chrono::milliseconds(10));
        lock = FileLock(m_path);
    }
    if (lock.other()) return failure(Code::cannotWrite, {m_path, spoken("another window is writing it")});
    quilt::Stash theirs = before; // a file that is gone says nothing of the cloth
    if (isThere()) {
        auto read = this->read();
        if (!read) return read;
        theirs = std::move(*read);
    }
    auto both = quilt::merged(before, mine, theirs);
    if (isThere() && both == theirs) return both;
    if (auto written = writeFile(m_path, writeStash(both)); !written) return tl::unexpected(written.error());
    return both;
}

} // namespace up::store
