// SPDX-License-Identifier: GPL-3.0-or-later
// Copies kept while working, found again after a crash.
#pragma once

#include "core/store/quilt_file.hpp"

namespace up::store {

struct Recovery {
    std::string copy; ///< path of the recovery file
    std::string file; ///< the quilt's own path; empty when it was never saved
    quilt::Quilt quilt;
};

/// One copy per running program: `folder`/recovery-<process>.json, with a lock beside it that is held until
/// the program ends. The folder is made if missing.
[[nodiscard]] std::string recoveryPath(const std::string& folder);
[[nodiscard]] Result<void> keepRecovery(const std::string& copy, const std::string& file,
                                        const quilt::Quilt& quilt);
void dropRecovery(const std::string& copy);
/// Copies left by programs that no longer run, newest first; unreadable ones are passed over.
[[nodiscard]] std::vector<Recovery> leftRecoveries(const std::string& folder);

} // namespace up::store
