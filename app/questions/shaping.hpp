// SPDX-License-Identifier: GPL-3.0-or-later
// A built-in shape to add or to change: what is asked, what comes back.
#pragma once

#include "core/edit/shapes.hpp"
#include "core/measure/say.hpp"

#include <QStringList>
#include <functional>
#include <optional>

namespace up::app {

struct ShapeQuestion {
    measure::System units;
    measure::Length width, height; ///< of the block
    Colour cloth, background;
    /// Of the piece that is to be changed; nothing: a new one.
    std::optional<quilt::Recipe> now;
    QStringList families; ///< fonts that are installed
    /// The pieces that a recipe makes; a letter's text makes one for each letter unless they are `together`.
    std::function<Result<std::vector<edit::NewShape>>(const quilt::Recipe&, bool together)> make;
};

struct ShapeAnswer {
    std::vector<edit::NewShape> shapes;
};

} // namespace up::app
