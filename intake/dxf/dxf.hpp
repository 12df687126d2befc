// SPDX-License-Identifier: GPL-3.0-or-later
// DXF drawings into pieces.
#pragma once

#include "intake/found/collector.hpp"

namespace up::intake {

/// Lines, polylines with bulges, arcs, circles, ellipses, splines and blocks put in, in the file's unit; ends
/// that meet are joined. What becomes a piece: see `Collector`; larger outlines lie beneath smaller ones. A
/// text in a shape is its name, else its layer is. Errors: Code::notDxf {file, reason}, emptyDrawing {file},
/// tooLarge {file, limit}. All else is a warning. Source: DXF reference, entities and the header variables
/// $INSUNITS and $MEASUREMENT.
[[nodiscard]] Result<quilt::Drawing> readDxf(const std::string& text, const std::string& file,
                                             Options options = {});

} // namespace up::intake
