// SPDX-License-Identifier: GPL-3.0-or-later
// Where an open quilt lies: held against other windows, and watched for what others write there.
#pragma once

#include "core/store/file_lock.hpp"

#include <cstddef>
#include <cstdint>
#include <string>

namespace up::store {

enum class OnDisk : std::uint8_t {
    asKnown, ///< as it was last read or written here
    changed, ///< somebody else wrote other bytes
    gone     ///< nothing is there
};

class QuiltPlace {
public:
    /// Nowhere yet.
    QuiltPlace() = default;
    /// `bytes`: what is there. Without the lock the quilt is only looked at.
    QuiltPlace(std::string path, FileLock lock, const std::string& bytes);

    /// Empty: nowhere.
    [[nodiscard]] const std::string& path() const { return m_path; }
    /// Another has it open.
    [[nodiscard]] bool isReadOnly() const { return m_lock.other().has_value(); }
    /// After those bytes were written there.
    void wrote(const std::string& bytes);
    /// Looks into the file only when its size or its time is another.
    [[nodiscard]] OnDisk look() const;

private:
    struct Stamp {
        std::int64_t size = -1, seconds = 0, nanoseconds = 0;
        bool operator==(const Stamp&) const = default;
    };
    [[nodiscard]] static Stamp stampOf(const std::string& path);

    std::string m_path;
    FileLock m_lock;
    mutable Stamp m_stamp;
    std::size_t m_hash = 0;
};

} // namespace up::store
