// SPDX-License-Identifier: GPL-3.0-or-later
// Half templates: the straight edge that lies on the fold or against the other half, and the whole shape.
#pragma once

#include "core/shape/path.hpp"

#include <optional>

namespace up::shape {

/// A straight stretch of an edge, with the shape on the right of the way from → to on the page.
struct Straight {
    Point from, to;
    bool operator==(const Straight&) const = default;
};

/// The straight stretches of the outer edge that no point of the shape lies beyond, so that a half template
/// may be turned over on them; the longest first. Runs of straight curves within `tolerance` mm of one line
/// count as one stretch; shorter ones than `least` mm are left out.
[[nodiscard]] std::vector<Straight> foldsOf(const Outline& outline, double least, double tolerance = 0.1);

/// The straight stretches of the edge that lie on the endless line through a and b, within `tolerance` mm.
[[nodiscard]] std::vector<Straight> straightsOn(const Outline& outline, Point a, Point b, double tolerance);

/// The half and its mirror image across one of its folds, as one shape; curves kept.
[[nodiscard]] Outline unfolded(const Outline& half, const Straight& fold);

/// `b` brought to `a`, edge against edge, their middles together; one shape, curves kept.
[[nodiscard]] Outline joined(const Outline& a, const Straight& foldOfA, const Outline& b,
                             const Straight& foldOfB);

} // namespace up::shape
