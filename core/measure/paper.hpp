// SPDX-License-Identifier: GPL-3.0-or-later
// The papers that patterns are printed on.
#pragma once

#include "core/measure/length.hpp"

namespace up::measure {

struct Paper {
    const char* name;
    Length width, height; ///< upright
    bool operator==(const Paper&) const = default;
};

/// Source: ANSI/ASME Y14.1, size A: 8.5 × 11 in.
inline constexpr Paper letter{"Letter", Length::ofInches(17, 2), Length::ofInches(11, 1)};
/// Source: ISO 216: 210 × 297 mm.
inline constexpr Paper a4{"A4", Length::ofMm(210), Length::ofMm(297)};

} // namespace up::measure
