// SPDX-License-Identifier: GPL-3.0-or-later
// Irons, as they stand on the cloth.
#pragma once

#include "core/base/error.hpp"
#include "core/base/names.hpp"
#include "core/measure/angle.hpp"
#include "core/measure/length.hpp"
#include "core/shape/region.hpp"

namespace up::press {

/// What an iron covers for certain ends a little within its border: each press reaches this far into the next.
/// Source: common practice.
inline constexpr measure::Length usualOverlap = measure::Length::ofInches(1, 4);

/// Irons that come with the program.
enum class Soleplate : std::uint8_t { household, small, wand };
constexpr auto keysOf(Soleplate) {
    return std::to_array<std::string_view>({"household", "small", "wand"});
}

/// A soleplate seen from above, in mm about the middle of its handle, and how it is held.
struct Iron {
    shape::Ring outline;
    std::vector<measure::Angle> turns; ///< clockwise, in which it is set down
    bool operator==(const Iron&) const = default;
};

/// Sizes are usual ones, no source.
[[nodiscard]] Iron ironOf(Soleplate soleplate);

/// A soleplate traced on paper: about its own middle, its length up and down, within 0.2 mm of the line. Errors:
/// Code::badSoleplate when it has holes, is of several parts, or shorter than an inch or longer than 16.
[[nodiscard]] Result<shape::Ring> soleplateFrom(const shape::Region& traced);

/// What it covers for certain: half of `overlap` within its border. Errors: Code::badSoleplate {} when it crosses
/// itself, when nothing or several parts are left of it, or when it is held in no way.
[[nodiscard]] Result<shape::Ring> coverOf(const Iron& iron, measure::Length overlap);

/// Where an iron is set down: its outline's origin lies at `at`, turned by `turn` about it.
struct Press {
    shape::Point at;
    measure::Angle turn;
    bool operator==(const Press&) const = default;
};
[[nodiscard]] shape::Ring setDown(const shape::Ring& outline, const Press& press);

} // namespace up::press
