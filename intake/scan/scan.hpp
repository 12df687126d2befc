// SPDX-License-Identifier: GPL-3.0-or-later
// Printed or pencilled templates on a scanned page into pieces.
#pragma once

#include "core/base/job.hpp"
#include "core/quilt/drawing.hpp"
#include "intake/scan/picture.hpp"

namespace up::intake {

/// Areas enclosed by lines become pieces, their edges on the middle of the lines; gaps in lines up to 2.4 mm
/// are bridged; what is solid ink becomes a piece as it is. Larger pieces lie beneath smaller ones. Lines of
/// 8 mm and more that are no edge become inner marks of the uppermost piece they lie on, or are left out as
/// loose lines when they lie on none; edges drawn with dashes are dotted. The page is straightened by its
/// long straight lines. Size: by `dpi` if it is not 0, else by the file's resolution, either corrected by a
/// printed square of one
///       inch if there is one; else by that square alone; else 300 dots to the inch are taken, with a
///       warning.
/// Errors: Code::emptyDrawing {file}; Code::stopped {}.
[[nodiscard]] Result<quilt::Drawing> readScan(const Picture& picture, const std::string& file, double dpi,
                                              Job& job);

} // namespace up::intake
