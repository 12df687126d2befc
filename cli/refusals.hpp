// SPDX-License-Identifier: GPL-3.0-or-later
// What no verb does, whatever it is asked.
#pragma once

#include "cli/verbs.hpp"

namespace CLI {
class Validator;
}

namespace up::cli {

/// A result is never written over what it was made from. Errors: Code::badUse.
[[nodiscard]] Result<void> refuseOverInput(const Words& words);

/// A finite number from `least` to `most`, and nothing else.
[[nodiscard]] CLI::Validator number(double least, double most);
/// A whole number from 0 that 64 bits hold.
[[nodiscard]] CLI::Validator wholeNumber();

} // namespace up::cli
