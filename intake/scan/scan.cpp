// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/scan.hpp"

#include "core/base/text.hpp"
#include "core/shape/ring.hpp"
#include "intake/scan/faces.hpp"
#include "intake/scan/flatten.hpp"
#include "intake/scan/levels.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <optional>

namespace up::intake {
namespace {

using quilt::Remark;
using shape::Contour;
using shape::Transform;

constexpr double inch = 25.4;
constexpr double usualDpi = 300, finest = 420, coarsest = 200; // what is worked with
constexpr Colour unbleached{0xE9, 0xE4, 0xD2};

/// Brought to 200 … 420 dots to the inch, which is fine enough and not too much.
Picture workable(const Picture& picture, double dpi) {
    const double known =
        dpi > 0 ? dpi : std::max(picture.width, picture.height) / 11.0; // as if a Letter page
    if (known > finest) return shrunk(picture, static_cast<int>(std::ceil(known / finest)));
    return known < coarsest ? doubled(picture) : picture;
}

/// The side of a square, whichever way it lies; nothing for other shapes.
std::optional<double> sideOfSquare(const Contour& contour) {
    const auto ring = flattened(contour, 0.2);
    const double area = std::abs(signedArea(contour)), side = std::sqrt(area);
    if (side <= 0 || std::abs(shape::perimeter(ring) / (4 * side) - 1) > 0.03) return std::nullopt;
    double longest = 0;
    for (std::size_t i = 0; i < ring.size(); ++i)
        for (std::size_t j = i + 1; j < ring.size(); ++j)
            longest = std::max(longest, shape::distance(ring[i], ring[j]));
    if (std::abs(longest / (side * std::numbers::sqrt2) - 1) > 0.03) return std::nullopt;
    return side;
}

struct Sized {
    double perMm = 0;                    ///< dots
    std::optional<std::size_t> square{}; ///< the printed inch
    double printed = 0; ///< what it measures by the resolution, mm; 0: there is no resolution
};

/// Dots to the millimetre, from the resolution and the printed square.
Sized sizeOf(const std::vector<Contour>& outlines, const Picture& picture, double dpi) {
    Sized out{(dpi > 0 ? dpi : usualDpi) / inch, {}, 0};
    double best = 0;
    for (std::size_t i = 0; i < outlines.size(); ++i) {
        const auto side = sideOfSquare(outlines[i]);
        if (!side) continue;
        if (dpi > 0) { // within 15 % of an inch, the nearest
            const double off = std::abs(*side / dpi - 1);
            if (off < 0.15 && (!out.square || off < std::abs(best / dpi - 1))) out.square = i, best = *side;
        } else { // the smallest that makes the page one that goes through a printer
            const double across = std::min(picture.width, picture.height) / *side;
            if (across > 4 && across < 14 && (!out.square || *side < best)) out.square = i, best = *side;
        }
    }
    if (!out.square) return out;
    out.printed = dpi > 0 ? best / dpi * inch : 0;
    out.perMm = best / inch;
    return out;
}

/// The nearest to 0 of an angle and those a quarter turn away, radians.
double withinQuarter(double angle) {
    return std::remainder(angle, std::numbers::pi / 2);
}

/// How a square lies: its longest diagonal is at 45° to its sides.
double skewOfSquare(const Contour& contour) {
    const auto ring = flattened(contour, 0.2);
    double longest = 0, angle = 0;
    for (std::size_t i = 0; i < ring.size(); ++i)
        for (std::size_t j = i + 1; j < ring.size(); ++j)
            if (const double d = shape::distance(ring[i], ring[j]); d > longest)
                longest = d, angle = std::atan2(ring[j].y - ring[i].y, ring[j].x - ring[i].x);
    return withinQuarter(angle - std::numbers::pi / 4);
}

struct Stretch {
    double angle, length;
};

/// Straight stretches longer than that which run along the page or across it within 10°.
std::vector<Stretch> stretchesAlong(const std::vector<Contour>& outlines, double longEnough) {
    std::vector<Stretch> out;
    for (const auto& contour : outlines) {
        shape::Point from = contour.start;
        for (const auto& curve : contour.curves) {
            const auto to = curve.end - from;
            const double length = std::hypot(to.x, to.y), angle = withinQuarter(std::atan2(to.y, to.x));
            const auto off = [&](shape::Point p) { return std::abs(shape::cross(from, curve.end, p)); };
            if (length > longEnough && std::abs(angle) < std::numbers::pi / 18 &&
                std::max(off(curve.control1), off(curve.control2)) < 0.005 * length * length)
                out.push_back({angle, length});
            from = curve.end;
        }
    }
    return out;
}

/// By how much the page lies askew, radians: as most of its long straight stretches do. 0 when they don't
/// agree.
double skewOf(const std::vector<Contour>& outlines, double longEnough) {
    auto stretches = stretchesAlong(outlines, longEnough);
    std::sort(stretches.begin(), stretches.end(),
              [](const auto& a, const auto& b) { return a.angle < b.angle; });
    double all = 0, before = 0, agreeing = 0;
    for (const auto& stretch : stretches)
        all += stretch.length;
    double median = 0;
    for (const auto& stretch : stretches) {
        if (before <= all / 2) median = stretch.angle;
        before += stretch.length;
    }
    for (const auto& stretch : stretches)
        if (std::abs(stretch.angle - median) < std::numbers::pi / 180) agreeing += stretch.length;
    return all > 8 * longEnough && agreeing > 0.6 * all ? median : 0;
}

/// What the page says of itself: its size and how it lay.
void remarkOn(quilt::Drawing& drawing, const Sized& size, bool isFlattened, bool hasResolution, double skew) {
    auto& notes = drawing.warnings;
    if (isFlattened) notes.push_back({Remark::flattened, {}});
    if (size.square)
        notes.push_back({Remark::squareFound, {plainNumber(size.printed > 0 ? size.printed : inch, 2)}});
    else if (!hasResolution)
        notes.push_back({Remark::dpiAssumed, {plainNumber(usualDpi, 0)}});
    if (std::abs(skew) > std::numbers::pi / 1800) // less than a tenth of a degree is nothing
        notes.push_back({Remark::straightened, {plainNumber(std::abs(skew) * 180 / std::numbers::pi, 1)}});
}

/// The largest first; `but` is none.
void addShapes(quilt::Drawing& drawing, const Outlines& found, std::optional<std::size_t> but,
               const Transform& toPage) {
    std::vector<std::size_t> order;
    for (std::size_t i = 0; i < found.outlines.size(); ++i)
        if (i != but) order.push_back(i);
    std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
        return std::abs(signedArea(found.outlines[a])) > std::abs(signedArea(found.outlines[b]));
    });
    for (const auto i : order) {
        quilt::DrawnShape drawn{};
        drawn.fill = unbleached;
        drawn.outline = {transformed(found.outlines[i], toPage), {}};
        drawn.origin = quilt::Origin::outline;
        for (const auto& stretch : found.dashed[i])
            drawn.dotted.push_back(transformed(stretch, toPage));
        drawing.shapes.push_back(std::move(drawn));
    }
}

/// Each to the uppermost shape that holds its middle.
void addMarks(quilt::Drawing& drawing, const Marks& marks, const Transform& toPage) {
    std::vector<shape::Ring> edges;
    for (const auto& drawn : drawing.shapes)
        edges.push_back(flattened(drawn.outline.edge));
    for (const auto& mark : marks.lines) {
        auto line = transformed(mark, toPage);
        auto points = flattened(line);
        if (line.closed) points.push_back(points.front());
        const auto middle = shape::pointAlong(points, shape::lengthOf(points) / 2);
        std::size_t on = edges.size();
        while (on > 0 && !shape::contains(edges[on - 1], middle))
            --on;
        if (on > 0)
            drawing.shapes[on - 1].marks.push_back(std::move(line));
        else
            drawing.loose.push_back({std::move(line)});
    }
    if (!drawing.loose.empty())
        drawing.warnings.push_back({Remark::openLinesLeftOut, {std::to_string(drawing.loose.size())}});
    if (marks.small > 0)
        drawing.warnings.push_back({Remark::smallMarksLeftOut, {std::to_string(marks.small)}});
}

} // namespace

Result<quilt::Drawing> readScan(const Picture& picture, const std::string& file, double dpi, Job& job) {
    const auto flattened = flattenedPage(picture);
    if (dpi <= 0) dpi = flattened ? flattened->dpi : picture.dpi;
    Picture page = flattened ? *flattened : picture;
    page.dpi = dpi;
    page = workable(page, dpi);
    job.progress(0.2);
    if (job.stopped()) return failure(Code::stopped);
    const double guess = (page.dpi > 0 ? page.dpi : std::max(page.width, page.height) / 11.0) / inch;
    const Mask ink = inkOf(page);
    job.progress(0.4);
    const auto found = outlinesOn(ink, guess, job);
    if (job.stopped()) return failure(Code::stopped);
    const auto size = sizeOf(found.outlines, page, page.dpi);
    // A page that was flattened lies straight by its own edges, which are longer than anything on it.
    const double skew = flattened     ? 0
                        : size.square ? skewOfSquare(found.outlines[*size.square])
                                      : skewOf(found.outlines, inch / 2 * size.perMm);
    quilt::Drawing out;
    remarkOn(out, size, flattened.has_value(), page.dpi > 0, skew);
    out.width = page.width / size.perMm, out.height = page.height / size.perMm;
    const auto toPage = Transform::turnAbout({out.width / 2, out.height / 2},
                                             measure::Angle::ofDegrees(-skew * 180 / std::numbers::pi)) *
                        Transform::scale(1 / size.perMm, 1 / size.perMm);
    addShapes(out, found, size.square, toPage);
    addMarks(out, found.marks, toPage);
    if (out.shapes.empty()) return failure(Code::emptyDrawing, {file});
    return out;
}

} // namespace up::intake
