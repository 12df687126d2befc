// SPDX-License-Identifier: GPL-3.0-or-later
// The stash in the user's data folder, which several windows share.
#pragma once

#include "core/store/stash_file.hpp"

namespace up::store {

class StashPlace {
public:
    explicit StashPlace(const std::string& folder) : m_path(folder + "/stash.json") {}
    [[nodiscard]] const std::string& path() const { return m_path; }

    [[nodiscard]] bool isThere() const;
    /// Errors: as readFile and readStash.
    [[nodiscard]] Result<quilt::Stash> read() const;
    /// What was done to the stash as it was `before` is done to the file as it is by now, whoever has written
    /// it meanwhile; answers what is in it then. One at a time, over all windows. A file that cannot be read
    /// stays as it is. Errors: as read and writeFile; Code::cannotWrite when somebody else holds it for
    /// longer than two seconds.
    [[nodiscard]] Result<quilt::Stash> exchange(const quilt::Stash& before, const quilt::Stash& mine) const;

private:
    std::string m_path;
};

} // namespace up::store
