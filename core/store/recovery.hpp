// SPDX-License-Identifier: GPL-3.0-or-later
// Copies kept while working, found again after a crash.
#pragma once

#include "core/store/file_lock.hpp"
#include "core/store/quilt_file.hpp"

namespace up::store {

/// One copy of one window's work: `folder`/recovery-<random>.json, for its owner's eyes only, and a lock
/// beside it by which others see that its window lives.
class RecoveryCopy {
public:
    /// A new one; nothing is written yet. The folder is made if missing.
    explicit RecoveryCopy(const std::string& folder);
    [[nodiscard]] const std::string& path() const { return m_path; }
    /// `file`: the quilt's own path; empty when it was never saved. Not waiting for the disk. Errors: as
    /// writeFile.
    [[nodiscard]] Result<void> keep(const std::string& file, const quilt::Quilt& quilt) const;
    /// The work is safe elsewhere.
    void drop() const;

    /// Takes over a copy that was left; nothing while its window lives.
    [[nodiscard]] static std::optional<RecoveryCopy> takenOver(const std::string& path);

private:
    RecoveryCopy(std::string path, FileLock lock) : m_path(std::move(path)), m_lock(std::move(lock)) {}
    std::string m_path;
    FileLock m_lock;
};

/// Work whose window is gone. Nobody else is offered it while this lives; it stays until its copy is dropped.
struct LeftWork {
    RecoveryCopy copy;
    std::string file; ///< the quilt's own path; empty when it was never saved
    quilt::Quilt quilt;
};
struct LeftWorks {
    std::vector<LeftWork> works; ///< newest first
    std::vector<std::string>
        damaged; ///< set aside under these names, so that nobody stumbles over them again
};
[[nodiscard]] LeftWorks leftWorks(const std::string& folder);

} // namespace up::store
