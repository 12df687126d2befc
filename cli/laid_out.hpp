// SPDX-License-Identifier: GPL-3.0-or-later
// The layout that verbs speak of.
#pragma once

#include "cli/open.hpp"

namespace up::cli {

/// The block with a layout: the one it has when nothing is missing in it and the words ask for no other; else
/// a new one, the same on every machine unless a time is given. Errors: as plan::layOut; Code::badUse for a
/// school that is none.
[[nodiscard]] Result<quilt::Block> laidOut(const Opened& opened, const Words& words);

} // namespace up::cli
