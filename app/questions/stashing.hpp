// SPDX-License-Identifier: GPL-3.0-or-later
// A piece of cloth in the stash: what is asked and answered.
#pragma once

#include "core/quilt/quilt.hpp"

namespace up::app {

struct ClothQuestion {
    quilt::Quilt quilt;
    quilt::Cloth cloth;  ///< without id: a new one
    bool traced = false; ///< its outline comes from a picture
};

struct ClothAnswer {
    quilt::Cloth cloth;
    bool alike = false; ///< its fabric, on both sides
    bool gone = false;  ///< it is used up or given away
};

} // namespace up::app
