// SPDX-License-Identifier: GPL-3.0-or-later
// What each verb does, once its words are parsed. Each answers the bytes of its result.
#pragma once

#include "core/base/error.hpp"

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

namespace up::cli {

struct Words {
    std::string file, block, name, finished, what, as, out = "-", paper = "letter", square, overlap = "0",
                                                       size, school, margin = "1/2", iron, stash;
    std::vector<std::string> files;
    std::optional<double> seconds;
    double dpi = 0;
    int rounds = 0, page = 1, columns = 0;
    std::uint64_t seed = 1;
    bool reversed = false, ownSize = false, noOffCuts = false, mirrored = false, guides = false;
};

using Bytes = Result<std::string>;

[[nodiscard]] Bytes import(const Words& words);
[[nodiscard]] Bytes makeNew(const Words& words);
[[nodiscard]] Bytes nest(const Words& words);
[[nodiscard]] Bytes order(const Words& words);
[[nodiscard]] Bytes layout(const Words& words);
[[nodiscard]] Bytes bond(const Words& words);
[[nodiscard]] Bytes press(const Words& words);
[[nodiscard]] Bytes stitch(const Words& words);
[[nodiscard]] Bytes finish(const Words& words);
[[nodiscard]] Bytes which(const Words& words);
[[nodiscard]] Bytes exportSheets(const Words& words);
[[nodiscard]] Bytes check(const Words& words);
/// Writes into the folder `out` by itself; answers nothing to print.
[[nodiscard]] Bytes demo(const Words& words);

} // namespace up::cli
