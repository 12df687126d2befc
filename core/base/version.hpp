// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace up {

/// Of this program: "0.1.0", as CMakeLists.txt has it.
[[nodiscard]] const char* version();

} // namespace up
