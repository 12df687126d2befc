// SPDX-License-Identifier: GPL-3.0-or-later
// A line measured along its length, mm from its start.
#pragma once

#include "core/shape/ring.hpp"

namespace up::stitch {

class Along {
public:
    /// Two points at least.
    explicit Along(shape::Polyline line);

    [[nodiscard]] double length() const { return m_at.back(); }
    [[nodiscard]] const shape::Box& box() const { return m_box; }
    [[nodiscard]] shape::Point point(double along) const;
    /// Of a closed line: on beyond its end, and back beyond its start.
    [[nodiscard]] shape::Point pointRound(double along) const;

    struct Near {
        double along, distance;
    };
    [[nodiscard]] Near nearest(shape::Point p) const;
    struct NearOther {
        double along, other, distance; ///< mm along this one, along the other, between them
    };
    /// Where the two come nearest; looked at closely only where they are within `reach` mm.
    [[nodiscard]] NearOther nearest(const Along& other, double reach) const;

    /// from < to.
    [[nodiscard]] shape::Polyline between(double from, double to) const;
    /// Of a closed line: from there over its start to there; all the way round.
    [[nodiscard]] shape::Polyline across(double from, double to) const;
    [[nodiscard]] shape::Polyline roundFrom(double from) const;

private:
    shape::Polyline m_line;
    std::vector<double> m_at; ///< of each point
    shape::Box m_box;
};

/// Where a closed line's knot shows least, mm along it: at the deepest inner corner; else in the middle of the longest
/// stretch between corners; else where it starts.
[[nodiscard]] double quietStart(const shape::Polyline& closed);

} // namespace up::stitch
