// SPDX-License-Identifier: GPL-3.0-or-later
// A line that is added to a block or changed: what is asked; the line comes back.
#pragma once

#include "core/base/error.hpp"
#include "core/quilt/quilt.hpp"

#include <QStringList>
#include <functional>

namespace up::app {

struct LineQuestion {
    quilt::Quilt quilt;
    BlockId block;
    LineId line;          ///< none: a new one
    QStringList families; ///< fonts that are installed
    bool lays = false;    ///< something along it or at places; else it is stitched itself
    PieceId along{};      ///< along whose edge it may run: the piece that is chosen
    /// What a text looks like, about the origin.
    std::function<Result<std::vector<shape::Contour>>(const quilt::Written&)> write;
};

} // namespace up::app
