// SPDX-License-Identifier: GPL-3.0-or-later
// Scanned and photographed pages as grey dots.
#pragma once

#include "core/base/error.hpp"

#include <cstdint>
#include <string>
#include <vector>

namespace up::intake {

/// Rows from the top, one byte a dot, 0 black to 255 white.
struct Picture {
    int width = 0, height = 0;
    std::vector<std::uint8_t> grey;
    double dpi = 0;        ///< 0: the file doesn't say
    bool cutShort = false; ///< the file ends before the picture does: what is missing is white

    [[nodiscard]] std::uint8_t at(int x, int y) const {
        return grey[static_cast<std::size_t>(y) * static_cast<std::size_t>(width) +
                    static_cast<std::size_t>(x)];
    }
};

/// More dots than that are not read: a Letter page at 800 to the inch has fewer.
inline constexpr double mostDots = 62e6;

/// PNG, JPEG or TIFF; what is clear counts as white; turned as the camera says.
/// One that is cut short, or damaged from some place on, is read as far as it goes.
/// Errors: Code::notPicture {file, reason}, tooManyDots {file, width × height}.
[[nodiscard]] Result<Picture> decodePicture(const std::string& bytes, const std::string& file);

/// Averaged down by a whole factor, or doubled with smooth steps.
[[nodiscard]] Picture shrunk(const Picture& picture, int by);
[[nodiscard]] Picture doubled(const Picture& picture);

} // namespace up::intake
