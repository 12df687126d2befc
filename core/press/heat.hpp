// SPDX-License-Identifier: GPL-3.0-or-later
// How much heat every place of a piece gets.
#pragma once

#include "core/shape/region.hpp"

namespace up::press {

/// The whole iron heats, whatever lies under it.
struct Heating {
    shape::Region where;
    double seconds = 0;
};

/// A part of the piece that has been heated alike.
struct HeatedPart {
    shape::Region where;
    double seconds = 0;
};

/// The piece, parted by the seconds that it gets from all of them together, least first. Parts narrower than a tenth
/// of a millimetre, where borders of presses meet, are left out.
[[nodiscard]] std::vector<HeatedPart> heatedParts(const shape::Region& piece,
                                                  const std::vector<Heating>& heatings);

struct Heat {
    double least = 0, most = 0; ///< seconds, at its least and its most heated place
    bool operator==(const Heat&) const = default;
};
[[nodiscard]] Heat heatOf(const shape::Region& piece, const std::vector<Heating>& heatings);

} // namespace up::press
