// SPDX-License-Identifier: GPL-3.0-or-later
// Where the program finds what it comes with.
#pragma once

#include <string>

namespace up {

/// The folder share/upstairs beside the folder that the running program lies in: fonts, drawings, the sample
/// quilt. So it runs from any place that has bin/ and share/ side by side.
[[nodiscard]] std::string dataFolder();

} // namespace up
