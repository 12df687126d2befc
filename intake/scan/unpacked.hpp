// SPDX-License-Identifier: GPL-3.0-or-later
// A picture's coloured dots as the library that unpacks it holds them. For the .cpp files of this room only.
#pragma once

#include "core/base/error.hpp"

#include <memory>
#include <string>

struct _GdkPixbuf;

namespace up::intake {

struct Unref {
    void operator()(void* object) const;
};
using Pixbuf = std::unique_ptr<_GdkPixbuf, Unref>;

struct Unpacked {
    Pixbuf dots;           ///< turned as the camera says
    double dpi = 0;        ///< 0: the file doesn't say
    bool cutShort = false; ///< what is missing is white
};

/// Errors: as decodePicture.
[[nodiscard]] Result<Unpacked> unpacked(const std::string& bytes, const std::string& file);

} // namespace up::intake
