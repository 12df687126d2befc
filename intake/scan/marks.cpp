// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/marks.hpp"

#include "core/shape/fitting.hpp"
#include "core/shape/joining.hpp"
#include "intake/scan/thinned.hpp"

#include <algorithm>
#include <cmath>

namespace up::intake {
namespace {

using shape::Contour;
using shape::Point;
using shape::Polyline;

// In mm.
constexpr double leastMark = 8;     // across its ink; less is a letter of a label, or a dash
constexpr double leastLine = 3;     // of one of its lines
constexpr double bridged = 1.2;     // a gap in a line; thinning makes it a line width wider
constexpr double leastSpeck = 0.4;  // the side of a square of ink worth counting
constexpr double borderStrip = 2.5; // where the scanner's lid leaves its shadow
constexpr double mostInk = 0.2;     // of the page; with more there is no telling lines

/// Takes the ink within `reach` of the contour away.
void rubOut(Mask& ink, const Contour& contour, double reach) {
    auto points = flattened(contour, 0.3);
    if (points.size() < 2) return;
    points.push_back(points.front());
    const double length = shape::lengthOf(points);
    const int wide = static_cast<int>(std::ceil(reach));
    const auto rub = [&](Point p) {
        const int cx = static_cast<int>(std::floor(p.x)), cy = static_cast<int>(std::floor(p.y));
        for (int y = std::max(0, cy - wide); y <= std::min(ink.height - 1, cy + wide); ++y)
            for (int x = std::max(0, cx - wide); x <= std::min(ink.width - 1, cx + wide); ++x)
                if (std::hypot(x + 0.5 - p.x, y + 0.5 - p.y) <= reach) ink.in[ink.at(x, y)] = 0;
    };
    double done = 0; // along the stretch, carried over its end
    for (std::size_t i = 1; i < points.size() && length > 0; ++i) {
        const Point a = points[i - 1], b = points[i];
        const double stretch = shape::distance(a, b);
        for (; done < stretch; done += 1.5)
            rub(a + (b - a) * (done / stretch));
        done -= stretch;
    }
}

Mask cut(const Blots& found, std::size_t number, const Mask& from) {
    const auto& blot = found.blots[number];
    Mask out(blot.right - blot.left, blot.bottom - blot.top);
    for (int y = 0; y < out.height; ++y)
        for (int x = 0; x < out.width; ++x)
            out.in[out.at(x, y)] =
                found.number[from.at(x + blot.left, y + blot.top)] == static_cast<std::int32_t>(number);
    return out;
}

/// Each point the mean of those up to `reach` before and after it; the ends stay.
Polyline smoothed(const Polyline& line, std::size_t reach) {
    Polyline out = line;
    for (std::size_t i = 1; i + 1 < line.size(); ++i) {
        const auto far = std::min({reach, i, line.size() - 1 - i});
        Point sum{};
        for (auto k = i - far; k <= i + far; ++k)
            sum = sum + line[k];
        out[i] = sum * (1.0 / static_cast<double>(2 * far + 1));
    }
    return out;
}

/// Beside ink that was rubbed out: the rough end of an edge, not a mark of its own.
bool isRemnant(const Blots& found, std::size_t number, const Mask& before, const Mask& rest) {
    const auto& blot = found.blots[number];
    for (int y = std::max(1, blot.top); y < std::min(rest.height - 1, blot.bottom); ++y)
        for (int x = std::max(1, blot.left); x < std::min(rest.width - 1, blot.right); ++x) {
            if (found.number[rest.at(x, y)] != static_cast<std::int32_t>(number)) continue;
            for (const auto at : {rest.at(x - 1, y), rest.at(x + 1, y), rest.at(x, y - 1), rest.at(x, y + 1)})
                if (before.in[at] && !rest.in[at]) return true;
        }
    return false;
}

bool isAlongBorder(const Blot& blot, const Mask& page, double strip) {
    return blot.right < strip || blot.bottom < strip || blot.left > page.width - strip ||
           blot.top > page.height - strip;
}

} // namespace

Marks marksOn(const Mask& lines, const std::vector<Contour>& outlines, double lineWidth, double perMm) {
    Marks out;
    Mask rest = lines;
    for (const auto& outline : outlines)
        rubOut(rest, outline, lineWidth + 2);
    const auto ink = static_cast<double>(std::count(rest.in.begin(), rest.in.end(), std::uint8_t{1}));
    if (ink > mostInk * static_cast<double>(rest.in.size())) return out;
    const auto found = blotsOf(rest);
    for (std::size_t n = 0; n < found.blots.size(); ++n) {
        const auto& blot = found.blots[n];
        const double across = std::hypot(blot.right - blot.left, blot.bottom - blot.top);
        if (isAlongBorder(blot, rest, borderStrip * perMm)) continue;
        if (across < leastMark * perMm) {
            const double side = leastSpeck * perMm;
            const bool counts =
                static_cast<double>(blot.dots) > side * side && !isRemnant(found, n, lines, rest);
            out.small += counts ? 1 : 0;
            continue;
        }
        const auto move = shape::Transform::moveBy(blot.left, blot.top);
        for (const auto& line : linesOf(thinned(cut(found, n, rest)), 2 * lineWidth))
            if (shape::lengthOf(line) > leastLine * perMm)
                out.lines.push_back(transformed(shape::fittedLine(smoothed(line, 4), 0.8), move));
    }
    std::vector<Contour> whole;
    for (auto& chain : shape::joinEnds(out.lines, bridged * perMm + lineWidth))
        whole.push_back(std::move(chain.contour));
    out.lines = std::move(whole);
    return out;
}

} // namespace up::intake
