// SPDX-License-Identifier: GPL-3.0-or-later
// Large blocks to try the program on: random smooth blobs, each over about four others.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::test {

/// A block 20 in wide of so many blobs in ten colours; the same for the same seed.
[[nodiscard]] quilt::Quilt blobs(int count, std::uint64_t seed = 1);

} // namespace up::test
