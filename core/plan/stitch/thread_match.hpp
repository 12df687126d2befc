// SPDX-License-Identifier: GPL-3.0-or-later
// Which thread suits a cloth, judged as a single strand lies on it.
#pragma once

#include "core/base/lab.hpp"
#include "core/quilt/quilt.hpp"

namespace up::plan {

/// A strand looks lighter and less strong than the spool: there light goes from strand to strand and loses a little of
/// each colour every time. Each channel of the spool's light is taken as the strand's to the power 1.25. That it is lighter
/// is common practice, no source; the power is invented.
[[nodiscard]] Light strandOf(Colour spool);

struct ThreadMatch {
    ThreadId thread;
    double off = 0; ///< CIEDE2000 between its strand and the cloth; of a variegated one, the mean
};
/// Under `matching` it is hardly seen beside the cloth; under `nearTo` it is the same colour, lighter or darker.
inline constexpr double matching = 3, nearTo = 10;

/// Whether both are so dark that a second line of stitches is not seen. Common practice, no source; the limit (L* of 30) is
/// invented.
[[nodiscard]] bool isDarkOnDark(Colour strand, Colour cloth);

/// The nearest first; equal ones as they stand in the list.
[[nodiscard]] std::vector<ThreadMatch> threadsFor(const std::vector<quilt::Thread>& threads, Colour cloth);

} // namespace up::plan
