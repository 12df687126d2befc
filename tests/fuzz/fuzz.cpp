// SPDX-License-Identifier: GPL-3.0-or-later
// libFuzzer's way in; READER is the name of the reader.
#include "tests/fuzz/readers.hpp"

#include <cstdint>
#include <cstdio>
#include <cstdlib>
#include <cstring>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::string bytes(data, data + size);
    for (const auto& reader : up::test::readers()) {
        if (std::strcmp(reader.name, READER) != 0) continue;
        const auto wrong = reader.read(bytes);
        if (wrong.empty()) return 0;
        std::fprintf(stderr, "%s\n", wrong.c_str());
        std::abort();
    }
    return 0;
}
