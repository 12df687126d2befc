// SPDX-License-Identifier: GPL-3.0-or-later
// The one table that makes sentences from codes: for the window, the command line and tests alike.
#pragma once

#include "core/base/error.hpp"
#include "core/plan/work/now_plan.hpp"
#include "core/quilt/drawing.hpp"

#include <string>

namespace up::words {

/// What is wrong, where, and what to do.
[[nodiscard]] std::string sentence(const Error& error);
[[nodiscard]] std::string sentence(const quilt::Warning& warning);

/// "Rough cut", "Clean cut", … as a thing to do, and "rough cut" as a state.
[[nodiscard]] std::string asTask(quilt::Step step);
[[nodiscard]] std::string state(quilt::Step step);
[[nodiscard]] std::string treadName(quilt::Tread tread);

/// What the log tells of: "rough cut", "laid out on web".
[[nodiscard]] std::string logWords(quilt::Event event);

/// The paper side or the front, for badges and printed sheets.
[[nodiscard]] std::string sideWords(bool front);
/// The same of a block that is turned over once its papers are off.
[[nodiscard]] std::string backWords();

} // namespace up::words
