// SPDX-License-Identifier: GPL-3.0-or-later
// Each reader as something that bytes are thrown at: whatever comes, it answers with a drawing that holds
// together or with a sentence.
#pragma once

#include <string>
#include <vector>

namespace up::test {

struct Reader {
    const char* name; ///< of its folder of seeds
    /// Empty, or what is wrong with the answer.
    std::string (*read)(const std::string& bytes);
};

[[nodiscard]] const std::vector<Reader>& readers();

} // namespace up::test
