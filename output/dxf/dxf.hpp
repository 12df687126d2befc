// SPDX-License-Identifier: GPL-3.0-or-later
// A page of lines as a DXF drawing, for cutting machines.
#pragma once

#include "core/base/error.hpp"
#include "core/sheet/sheet.hpp"

#include <string>

namespace up::output {

enum class DxfVersion : std::uint8_t {
    r12,
    r2000 ///< for programs that want closed outlines as one light polyline
};
/// The shapes of all layers as closed or open polylines (R12, which every reader knows, or R2000), a DXF
/// layer for each of the page's; curves are flattened within 0.02 mm. Millimetres; DXF's y runs up, so the
/// page's lower left corner is the origin and nothing is mirrored. Words and flags are left out. Errors:
/// Code::cannotWrite when no temporary file can be made.
[[nodiscard]] Result<std::string> writeDxf(const sheet::Page& page, DxfVersion version = DxfVersion::r12);

} // namespace up::output
