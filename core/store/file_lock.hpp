// SPDX-License-Identifier: GPL-3.0-or-later
// Who has a quilt open: a small file beside it, held as long as its program lives.
#pragma once

#include "core/base/error.hpp"

#include <optional>
#include <string>

namespace up::store {

/// Who holds a lock, as its file says.
struct Holder {
    std::string host; ///< the machine's name
    int process = 0;
    bool isHere = false; ///< on this machine, so it is known to live
};

/// Held until it is destroyed, or its program ends however it ends: the system lets go of it then.
class FileLock {
public:
    /// Empty: holds nothing.
    FileLock() = default;
    /// Tries to hold `path`.lock. `evenIf`: also when a program on another machine is said to hold it, of
    /// which nobody here can tell whether it still runs. When the folder cannot be written, nothing is held
    /// and nobody else can be in the way.
    explicit FileLock(const std::string& path, bool evenIf = false);
    FileLock(FileLock&& other) noexcept;
    FileLock& operator=(FileLock&& other) noexcept;
    ~FileLock();

    [[nodiscard]] bool isHeld() const { return m_descriptor >= 0; }
    /// Who is in the way; nothing when nobody is.
    [[nodiscard]] const std::optional<Holder>& other() const { return m_other; }

private:
    void letGo();
    std::string m_path;
    int m_descriptor = -1;
    std::optional<Holder> m_other;
};

} // namespace up::store
