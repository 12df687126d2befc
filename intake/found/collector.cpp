// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/found/collector.hpp"

#include "core/base/job.hpp"
#include "core/base/text.hpp"
#include "core/shape/contours_sorted.hpp"
#include "core/shape/fitting.hpp"

#include <algorithm>
#include <cmath>

namespace up::intake {

using quilt::DrawnShape;
using quilt::Origin;
using quilt::Remark;
using shape::Contour;
using shape::Outline;

namespace {

constexpr double mostReach = 2e4; // mm from the page's corner: 20 m
constexpr double nearlyAll = 0.9999;

/// What of the outlines shows through the clip; curves are kept where one lies wholly in the other.
std::vector<Outline> clipped(const std::vector<Outline>& outlines, const Clip& clip, double tolerance) {
    std::vector<Outline> out;
    for (const auto& outline : outlines) {
        const auto whole = shape::regionOf(outline, tolerance);
        const auto part = shape::intersect(whole, clip.region);
        const double area = part.area();
        if (area >= whole.area() * nearlyAll)
            out.push_back(outline);
        else if (area >= clip.region.area() * nearlyAll)
            out.insert(out.end(), clip.outlines.begin(), clip.outlines.end());
        else
            for (const auto& island : shape::outlinesOf(part))
                out.push_back(fitted(island, 2 * tolerance));
    }
    return out;
}

/// A curve of finite numbers whose squares may be none.
bool isBeyondNumbers(const Contour& contour) {
    constexpr double most = 1e9; // mm
    const auto beyond = [](shape::Point p) { return !(std::abs(p.x) < most && std::abs(p.y) < most); };
    return beyond(contour.start) ||
           std::any_of(contour.curves.begin(), contour.curves.end(), [&](const shape::Cubic& c) {
               return beyond(c.control1) || beyond(c.control2) || beyond(c.end);
           });
}

bool isAbsurd(const std::vector<Contour>& contours) {
    return std::any_of(contours.begin(), contours.end(), [](const Contour& contour) {
        if (isBeyondNumbers(contour)) return true;
        const auto box = boundsOf(contour);
        return !(box.left > -mostReach && box.top > -mostReach && box.right < mostReach &&
                 box.bottom < mostReach);
    });
}

/// In a remark: by its name, or which of the shapes it is.
std::string calledHere(const std::string& name, std::size_t before) {
    return name.empty() ? "shape " + std::to_string(before + 1) : name;
}

bool isClosed(const Contour& contour, double endsMeet) {
    return contour.closed ||
           (contour.curves.size() > 1 && shape::distance(contour.start, contour.end()) < endsMeet);
}

} // namespace

void Collector::setPage(double width, double height) {
    m_sized = width > 0 && height > 0;
    m_drawing.width = width, m_drawing.height = height;
    if (m_sized) m_tolerance = std::clamp(std::hypot(width, height) / 20'000, 0.0005, 0.02);
}

void Collector::add(Painted painted) {
    breathe();
    painted.name = asUtf8(painted.name);
    std::erase_if(painted.contours, [](const Contour& contour) { return contour.curves.empty(); });
    if (isAbsurd(painted.contours)) return leaveOut(Remark::absurdLeftOut);
    if (painted.fill) {
        const bool open =
            std::any_of(painted.contours.begin(), painted.contours.end(), [&](const Contour& c) {
                return c.curves.size() > 1 && !isClosed(c, m_options.endsMeet);
            });
        const auto before = m_drawing.shapes.size();
        addFilled(painted, painted.contours, Origin::fill);
        if (open && m_drawing.shapes.size() > before)
            remark(Remark::openShapeClosed, {calledHere(painted.name, before)});
    } else if (painted.pen) {
        std::vector<Contour> closed;
        for (auto& contour : painted.contours) {
            if (isClosed(contour, m_options.endsMeet))
                closed.push_back(contour);
            else if (painted.penWidth >= leastBand)
                addBand(painted, contour);
            else
                addOpen(painted, contour);
        }
        addFilled(painted, std::move(closed), Origin::outline);
    }
    if (m_options.borders && painted.pen && painted.penWidth >= leastBand)
        for (auto& contour : painted.contours)
            if (painted.fill || isClosed(contour, m_options.endsMeet)) {
                contour.closed = contour.closed || isClosed(contour, m_options.endsMeet);
                addBand(painted, contour);
            }
}

/// A thin line, so far as it shows.
void Collector::addOpen(const Painted& painted, const Contour& contour) {
    const auto keep = [&](Contour line) {
        m_lines.push_back({std::move(line), painted.name, *painted.pen, painted.dashed, painted.penWidth,
                           m_drawing.shapes.size()});
    };
    if (!painted.clip) return keep(contour);
    const auto whole = flattened(contour, m_tolerance);
    for (const auto& part : shape::inside(whole, painted.clip->region)) {
        if (std::abs(shape::lengthOf(part) - shape::lengthOf(whole)) < m_tolerance) return keep(contour);
        auto line = shape::contourThrough(part);
        line.closed = false;
        keep(std::move(line));
    }
}

void Collector::addFilled(const Painted& painted, std::vector<Contour> closed, Origin origin) {
    if (closed.empty()) return;
    const auto rule = origin == Origin::fill ? painted.rule : shape::Fill::evenOdd;
    auto sorted = shape::sortContours(closed, rule, m_tolerance * m_tolerance, m_tolerance);
    if (sorted.tangled) return leaveOut(Remark::tangledLeftOut);
    if (sorted.outlines.empty()) return leaveOut(Remark::tooSmallLeftOut);
    for (std::size_t i = 0; i < sorted.flat; ++i)
        leaveOut(Remark::tooSmallLeftOut);
    if (sorted.repaired)
        remark(Remark::crossingRepaired,
               {calledHere(painted.name, m_drawing.shapes.size()), plainNumber(sorted.crossing->x, 1),
                plainNumber(sorted.crossing->y, 1)});
    if (sorted.repaired)
        for (auto& outline : sorted.outlines)
            outline = fitted(outline, 2 * m_tolerance);
    addOutlines(painted, std::move(sorted.outlines), origin);
}

void Collector::addBand(const Painted& painted, const Contour& contour) {
    if (!(painted.penWidth < mostReach)) return leaveOut(Remark::absurdLeftOut);
    constexpr std::size_t mostCrossings = 2000;
    const auto line = flattened(contour, m_tolerance);
    if (shape::crossingsOf({line}, mostCrossings).tooMany) return leaveOut(Remark::tangledLeftOut);
    const auto region =
        shape::band(line, contour.closed, painted.penWidth, painted.cap, painted.join, m_tolerance);
    const auto before = m_drawing.shapes.size();
    auto outlines = shape::outlinesOf(region);
    for (auto& outline : outlines)
        outline = fitted(outline, 2 * m_tolerance);
    addOutlines(painted, std::move(outlines), Origin::band);
    if (contour.closed || m_drawing.shapes.size() != before + 1) return;
    quilt::Recipe recipe{};
    recipe.kind = quilt::RecipeKind::line;
    recipe.measures = {painted.penWidth};
    recipe.line = contour;
    m_drawing.shapes.back().recipe = std::move(recipe);
}

void Collector::addOutlines(const Painted& painted, std::vector<Outline> outlines, Origin origin) {
    if (painted.clip) outlines = clipped(outlines, *painted.clip, m_tolerance);
    int number = 0;
    for (auto& outline : outlines) {
        const Colour colour = origin == Origin::fill ? *painted.fill : painted.pen.value_or(Colour{});
        if (m_options.printed && origin == Origin::fill && m_drawing.shapes.empty() &&
            isPaintedPage(outline, colour))
            continue;
        DrawnShape drawn{};
        drawn.name = ++number == 1 || painted.name.empty() ? painted.name
                                                           : painted.name + " " + std::to_string(number);
        drawn.fill = colour;
        drawn.outline = std::move(outline);
        drawn.origin = origin;
        if (origin == Origin::outline) drawn.pen = painted.penWidth;
        m_drawing.shapes.push_back(std::move(drawn));
    }
}

/// White over nearly all of the page.
bool Collector::isPaintedPage(const Outline& outline, Colour colour) const {
    if (luminance(colour) < 0.9) return false;
    return std::abs(signedArea(outline.edge)) > 0.95 * m_drawing.width * m_drawing.height;
}

void Collector::remark(Remark what, std::vector<std::string> args) {
    m_drawing.warnings.push_back({what, std::move(args)});
}

} // namespace up::intake
