// SPDX-License-Identifier: GPL-3.0-or-later
// What is asked about a new block.
#pragma once

#include "core/quilt/quilt.hpp"

#include <optional>
#include <string>

namespace up::app {

struct BlockQuestion {
    quilt::Quilt quilt; ///< it joins this one
    std::string name;   ///< proposed
};

struct BlockAnswer {
    std::string name;
    measure::Length width, height;      ///< finished
    FabricId background;                ///< none: chosen later
    std::optional<quilt::Fabric> fresh; ///< a cloth that the quilt does not have yet, as the background
    WebId web;                          ///< none: the quilt has no web
};

} // namespace up::app
