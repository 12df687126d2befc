// SPDX-License-Identifier: GPL-3.0-or-later
// One sheet of web as a panel of the mat and of the small pictures.
#pragma once

#include "app/canvas/scene.hpp"
#include "drawn/traced_sheet.hpp"

namespace up::app {

[[nodiscard]] Panel sheetPanel(const drawn::TraceDrawing& drawing, const plan::SheetUse& sheet,
                               drawn::For whom);

} // namespace up::app
