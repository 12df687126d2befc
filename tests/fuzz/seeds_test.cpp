// SPDX-License-Identifier: GPL-3.0-or-later
// Files that once mattered to a reader: beginnings for the fuzzer, and what it found.
#include "tests/fuzz/readers.hpp"
#include "tests/support/files.hpp"

#include <filesystem>
#include <gtest/gtest.h>

namespace up::test {
namespace {

TEST(Seeds, AreAnsweredWithADrawingOrASentence) {
    for (const auto& reader : readers()) {
        int seeds = 0;
        for (const auto& file :
             std::filesystem::directory_iterator(source("tests/fuzz/seeds/") + reader.name)) {
            ++seeds;
            EXPECT_EQ(reader.read(readAll(file.path().string())), "") << file.path();
        }
        EXPECT_GE(seeds, 3) << reader.name;
    }
}

} // namespace
} // namespace up::test
