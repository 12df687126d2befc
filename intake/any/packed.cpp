// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/any/packed.hpp"

#include <array>
#include <zlib.h>

namespace up::intake {

bool isPacked(const std::string& bytes) {
    return bytes.starts_with("\x1f\x8b");
}

std::optional<std::string> unpacked(const std::string& bytes, std::size_t most) {
    z_stream stream{};
    constexpr int gzip = 16 + MAX_WBITS;
    if (inflateInit2(&stream, gzip) != Z_OK) return std::nullopt;
    std::string in = bytes; // zlib reads through a pointer that is not const
    stream.next_in = reinterpret_cast<Bytef*>(in.data());
    stream.avail_in = static_cast<uInt>(in.size());
    std::string out;
    std::array<char, 64 * 1024> buffer;
    int state = Z_OK;
    while (state == Z_OK && out.size() <= most) {
        stream.next_out = reinterpret_cast<Bytef*>(buffer.data());
        stream.avail_out = static_cast<uInt>(buffer.size());
        state = inflate(&stream, Z_NO_FLUSH);
        out.append(buffer.data(), buffer.size() - stream.avail_out);
    }
    inflateEnd(&stream);
    if (state != Z_STREAM_END || out.size() > most) return std::nullopt;
    return out;
}

} // namespace up::intake
