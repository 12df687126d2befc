// SPDX-License-Identifier: GPL-3.0-or-later
// A fabric in a photograph or scan: its colour, and a small picture of it.
#pragma once

#include "core/base/colour.hpp"
#include "core/base/error.hpp"

#include <string>

namespace up::intake {

struct SwatchRead {
    Colour colour;      ///< the mean of its dots in CIE 1976 L*a*b*
    std::string png;    ///< of its middle, no paper in it; at most 160 dots wide and high
    double across = 0;  ///< mm that the picture's width shows; 0: the file doesn't say
    bool paper = false; ///< there was some round it, which was left out
};

/// PNG, JPEG or TIFF. Paper is what is light, without colour, joined to the border and everywhere alike; a picture that
/// is all one such colour is a swatch of white cloth. Errors: as decodePicture.
[[nodiscard]] Result<SwatchRead> readSwatch(const std::string& bytes, const std::string& file);

} // namespace up::intake
