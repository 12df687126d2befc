// SPDX-License-Identifier: GPL-3.0-or-later
// A page of lines as a DXF drawing, for cutting machines.
#pragma once

#include "core/base/error.hpp"
#include "core/sheet/sheet.hpp"

#include <string>

namespace up::output {

/// The shapes of all layers as closed or open polylines (AutoCAD R12, which every reader knows), a DXF layer
/// for each of the page's; curves are flattened within 0.02 mm. Millimetres; DXF's y runs up, so the page's
/// lower left corner is the origin and nothing is mirrored. Words and flags are left out. Errors:
/// Code::cannotWrite when no temporary file can be made.
[[nodiscard]] Result<std::string> writeDxf(const sheet::Page& page);

} // namespace up::output
