// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/fit/wall.hpp"

#include <algorithm>

namespace up::fit {

Wall wallOf(const std::vector<Extent>& units, std::size_t columns, const std::vector<Length>& borders) {
    Wall out;
    Length top;
    for (std::size_t first = 0; first < units.size(); first += columns) {
        const auto end = std::min(units.size(), first + columns);
        Extent row;
        for (auto i = first; i < end; ++i) {
            out.places.push_back({out.rows.size(), i - first, row.wide, top});
            row.wide = row.wide + units[i].wide;
            row.high = std::max(row.high, units[i].high);
        }
        for (auto i = first; i < end; ++i)
            if (units[i].high < row.high) out.lower.push_back(i);
        top = top + row.high;
        out.inner.wide = std::max(out.inner.wide, row.wide);
        out.rows.push_back(row);
    }
    out.inner.high = top;
    for (std::size_t row = 0; row < out.rows.size(); ++row)
        if (out.rows[row].wide < out.inner.wide && units.size() >= (row + 1) * columns)
            out.narrower.push_back(row);
    out.top = out.inner;
    for (const auto width : borders) {
        const auto seams = usualSeam * 2;
        BorderStrips strips{width + seams, out.top.high + seams, {}};
        out.top.wide = out.top.wide + width * 2, out.top.high = out.top.high + width * 2;
        strips.ends = out.top.wide + seams;
        out.borders.push_back(strips);
    }
    return out;
}

Finishing finishingOf(const Extent& top, Length clothWide, Length bindingWide) {
    const auto more = Length::ofInches(8, 1);
    Finishing out;
    out.backing = out.batting = {top.wide + more, top.high + more};
    out.binding = (top.wide + top.high) * 2 + Length::ofInches(10, 1);
    const auto each = clothWide - bindingWide; // a join takes the strip's width
    if (each <= Length()) return out;
    const auto strips = (out.binding - bindingWide).nanometres() + each.nanometres() - 1;
    out.bindingStrips = static_cast<int>(std::max<std::int64_t>(1, strips / each.nanometres()));
    return out;
}

} // namespace up::fit
