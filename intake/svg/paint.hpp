// SPDX-License-Identifier: GPL-3.0-or-later
// One cloth colour for whatever a shape is painted with.
#pragma once

#include "intake/svg/document.hpp"

#include "core/base/colour.hpp"

#include <optional>

namespace up::intake {

/// The colour of a `fill` or `stroke` value. A gradient gives the mean of its stops, each weighted by its
/// share of the way and by its opacity; a pattern the first fill within it. Nothing: not painted ("none", a
/// missing reference without a spare colour, a gradient without a stop that shows).
[[nodiscard]] std::optional<Colour> paintIn(const Document& document, const std::string& value,
                                            Colour current, const std::optional<Colour>& inherited);

} // namespace up::intake
