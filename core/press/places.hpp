// SPDX-License-Identifier: GPL-3.0-or-later
// All places of a grid where an iron may be set down, and which points each covers.
#pragma once

#include "core/press/covering.hpp"
#include "core/press/iron.hpp"

#include <optional>

namespace up::press {

class Places {
public:
    /// Where the iron of that cover meets the box in one of the turns, `step` mm apart and flush with it from both
    /// ends, without touching `spared`.
    Places(const Iron& iron, const shape::Ring& cover, const shape::Box& box, const shape::Region& spared,
           double step);

    [[nodiscard]] std::size_t count() const { return m_count; }
    [[nodiscard]] Press press(std::size_t place) const;
    /// It touches nothing that is spared.
    [[nodiscard]] bool isFree(std::size_t place) const { return m_free[place] != 0; }
    /// Those that cover the point, in rows.
    [[nodiscard]] std::vector<Run> over(shape::Point point) const;
    /// The one that covers most of the points; nothing when none of them can be covered.
    [[nodiscard]] std::optional<std::size_t> mostOver(const std::vector<shape::Point>& points) const;
    /// The one that is most like the press and free; nothing when none is turned like it.
    [[nodiscard]] std::optional<std::size_t> nearest(const Press& press) const;
    /// Those that cover all of them.
    [[nodiscard]] std::vector<std::size_t> overAll(const std::vector<shape::Point>& points) const;

private:
    /// Those of one turn, row by row.
    struct Field {
        measure::Angle turn;
        shape::Ring cover; ///< turned
        std::vector<double> xs, ys;
        std::size_t first; ///< place
    };
    /// work(place) for each that covers the point.
    template<class Work> void eachOver(shape::Point point, Work&& work) const;
    [[nodiscard]] std::vector<std::size_t> timesOver(const std::vector<shape::Point>& points) const;
    void forbid(const Iron& iron, const shape::Region& spared);

    std::vector<Field> m_fields;
    std::vector<char> m_free;
    std::size_t m_count = 0;
};

} // namespace up::press
