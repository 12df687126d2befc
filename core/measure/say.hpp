// SPDX-License-Identifier: GPL-3.0-or-later
// Lengths in and out as quilters write them: "3 1/8 in", "3⅛", "8cm"; scant and generous.
#pragma once

#include "core/base/error.hpp"
#include "core/base/names.hpp"
#include "core/measure/length.hpp"

#include <cstdint>
#include <string>
#include <string_view>

namespace up::measure {

enum class System : std::uint8_t { inches, metric };
constexpr auto keysOf(System) {
    return std::to_array<std::string_view>({"inches", "metric"});
}

/// Reads "3 1/8", "3-1/8", "3.125", "3⅛", "9 1/2in", "9½\"", "8cm", "228.6 mm", "½"; blanks anywhere between.
/// A bare number is in `bare`'s unit (inches, or centimetres when metric).
/// Errors: Code::badLength {text}, for anything else and beyond ±100 m.
[[nodiscard]] Result<Length> readLength(std::string_view text, System bare = System::inches);

struct Size {
    Length width, height;
};

/// One side for a square or two: "9", "9in", "9 x 12", "9 1/2 × 12in", "24 x 30 cm"; a unit after the second
/// side holds for a first without one. Errors: as readLength.
[[nodiscard]] Result<Size> readSize(std::string_view text, System bare = System::inches);

/// "3 1/8 in"; with "scant " or "generous " before it when the truth is more than 1/128 in below or above
/// the nearest 1/`denominator` in. `denominator`: 2, 4, 8, 16, 32 or 64.
[[nodiscard]] std::string sayInches(Length length, int denominator = 16);

/// As sayInches, but the nearest fraction alone and no unit: "3 1/8".
[[nodiscard]] std::string fraction(Length length, int denominator = 16);

/// "79.4 mm" up to 100 mm, "22.9 cm" beyond.
[[nodiscard]] std::string sayMetric(Length length);

[[nodiscard]] std::string say(Length length, System system);
/// "2.5 sq in", "16 cm²": to a tenth.
[[nodiscard]] std::string sayArea(double mm2, System system);

/// "9 × 9 in" (or metric): two sides with one unit, without scant or generous.
[[nodiscard]] std::string saySize(Length width, Length height, System system);

/// Up to the next 1/`denominator` in; for what must not be cut too small.
[[nodiscard]] Length roundedUp(Length length, int denominator);

} // namespace up::measure
