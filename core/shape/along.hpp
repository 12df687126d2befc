// SPDX-License-Identifier: GPL-3.0-or-later
// A line measured along its length, mm from its start.
#pragma once

#include "core/shape/ring.hpp"

namespace up::shape {

class Along {
public:
    /// Two points at least.
    explicit Along(Polyline line);

    [[nodiscard]] double length() const { return m_at.back(); }
    [[nodiscard]] const Box& box() const { return m_box; }
    [[nodiscard]] Point point(double along) const;
    /// Of a closed line: on beyond its end, and back beyond its start.
    [[nodiscard]] Point pointRound(double along) const;

    struct Near {
        double along, distance;
    };
    [[nodiscard]] Near nearest(Point p) const;
    struct NearOther {
        double along, other, distance; ///< mm along this one, along the other, between them
    };
    /// Where the two come nearest; looked at closely only where they are within `reach` mm.
    [[nodiscard]] NearOther nearest(const Along& other, double reach) const;

    /// from < to.
    [[nodiscard]] Polyline between(double from, double to) const;
    /// Of a closed line: from there over its start to there; all the way round.
    [[nodiscard]] Polyline across(double from, double to) const;
    [[nodiscard]] Polyline roundFrom(double from) const;

private:
    Polyline m_line;
    std::vector<double> m_at; ///< of each point
    Box m_box;
};

} // namespace up::shape
