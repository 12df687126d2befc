// SPDX-License-Identifier: GPL-3.0-or-later
// Outlines of things that lie on a table: asked for as a scan, a photograph or a drawing, and read aside.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/errand.hpp"
#include "app/session/session.hpp"

#include <functional>

namespace up::app {

/// Drawings and scans, as file dialogs name them.
[[nodiscard]] QString drawingFiles();

/// What was found, and what the file is called without its ending.
using Traced = std::function<void(const shape::Region& outline, const QString& stem)>;

/// Asks for a file, reads its largest shape (as quilt::largestShape) on `reading`, hands it to `then`; what cannot be
/// read is told. All of them outlive the reading.
void traceOutline(Session& session, Asker& asker, Errand& reading, const QString& title, Traced then);

} // namespace up::app
