// SPDX-License-Identifier: GPL-3.0-or-later
// Whole files in and out; writing is all or nothing.
#pragma once

#include "core/base/error.hpp"

#include <cstddef>
#include <functional>
#include <string>

namespace up::store {

/// Like write(2); tests hand in one that fails.
using WriteCall = std::function<long(int descriptor, const char* bytes, std::size_t count)>;

/// Errors: Code::cannotOpen {file, reason}, for what is no file (a folder, a pipe, a device) as well;
/// Code::tooLarge beyond 256 MB.
[[nodiscard]] Result<std::string> readFile(const std::string& path);

struct Writing {
    WriteCall call{};
    bool forOwnerOnly = false; ///< a new file is readable by its owner alone
    bool synced = true;        ///< on the disk, not only on its way there
};

/// Writes beside the file, syncs and renames, so that a reader sees the old bytes or the new ones, never a
/// mixture; whatever goes wrong, the old file stays, and nothing else is left beside it. A file that nobody
/// may write stays as it is. "-" is standard output. Errors: Code::cannotWrite {file, reason}, Code::diskFull
/// {file}.
[[nodiscard]] Result<void> writeFile(const std::string& path, const std::string& bytes,
                                     const Writing& how = {});

/// Whether both name one file that exists, by whatever way.
[[nodiscard]] bool isSameFile(const std::string& a, const std::string& b);

} // namespace up::store
