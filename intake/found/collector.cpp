// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/found/collector.hpp"

#include "core/base/text.hpp"
#include "core/shape/fitting.hpp"
#include "core/shape/joining.hpp"
#include "core/shape/nesting.hpp"

#include <algorithm>
#include <cmath>

namespace up::intake {

using quilt::DrawnShape;
using quilt::Origin;
using quilt::Remark;
using shape::Contour;
using shape::Outline;
using shape::Transform;

namespace {

constexpr double mostReach = 2e4; // mm from the page's corner: 20 m
constexpr double nearlyAll = 0.9999;
constexpr double overEdge = 0.2; // mm: not worth a word

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
    painted.name = asUtf8(painted.name);
    if (painted.name.empty()) painted.name = "piece " + std::to_string(m_drawing.shapes.size() + 1);
    std::erase_if(painted.contours, [](const Contour& contour) { return contour.curves.empty(); });
    if (isAbsurd(painted.contours)) return leaveOut(Remark::absurdLeftOut);
    if (painted.fill) {
        const bool open =
            std::any_of(painted.contours.begin(), painted.contours.end(), [&](const Contour& c) {
                return c.curves.size() > 1 && !isClosed(c, m_options.endsMeet);
            });
        const auto before = m_drawing.shapes.size();
        addFilled(painted, painted.contours, Origin::fill);
        if (open && m_drawing.shapes.size() > before) remark(Remark::openShapeClosed, {painted.name});
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
        m_lines.push_back(
            {std::move(line), painted.name, *painted.pen, painted.dashed, m_drawing.shapes.size()});
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
    if (sorted.repaired)
        remark(Remark::crossingRepaired,
               {painted.name, plainNumber(sorted.crossing->x, 1), plainNumber(sorted.crossing->y, 1)});
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
        if (m_options.printed && origin == Origin::fill && isPaintedPage(outline, colour)) continue;
        if (m_options.printed && origin == Origin::outline && isPenOfFilled(outline)) continue;
        DrawnShape drawn{};
        drawn.name = ++number == 1 ? painted.name : painted.name + " " + std::to_string(number);
        drawn.fill = colour;
        drawn.outline = std::move(outline);
        drawn.origin = origin;
        m_drawing.shapes.push_back(std::move(drawn));
    }
}

/// White over nearly all of the page, under everything else.
bool Collector::isPaintedPage(const Outline& outline, Colour colour) const {
    if (!m_drawing.shapes.empty() || luminance(colour) < 0.9) return false;
    return std::abs(signedArea(outline.edge)) > 0.95 * m_drawing.width * m_drawing.height;
}

/// The same edge as that of a filled shape.
bool Collector::isPenOfFilled(const Outline& outline) const {
    const auto box = boundsOf(outline);
    const double area = std::abs(signedArea(outline.edge));
    const auto near = [](double a, double b) { return std::abs(a - b) < 0.3; };
    return std::any_of(m_drawing.shapes.rbegin(), m_drawing.shapes.rend(), [&](const DrawnShape& drawn) {
        if (drawn.origin != Origin::fill) return false;
        const auto other = boundsOf(drawn.outline);
        return near(box.left, other.left) && near(box.right, other.right) && near(box.top, other.top) &&
               near(box.bottom, other.bottom) &&
               std::abs(area - std::abs(signedArea(drawn.outline.edge))) < area * 0.02;
    });
}

void Collector::remark(Remark what, std::vector<std::string> args) {
    m_drawing.warnings.push_back({what, std::move(args)});
}

/// Lines that meet end to end and close become pieces, drawn where the last of them was.
void Collector::closeJoinedLines() {
    std::vector<Contour> contours;
    for (const auto& line : m_lines)
        contours.push_back(line.contour);
    std::vector<bool> used(m_lines.size(), false);
    std::vector<std::pair<std::size_t, DrawnShape>> found; // after which shape
    for (auto& chain : shape::joinEnds(contours, m_options.endsMeet)) {
        if (!chain.contour.closed) continue;
        auto sorted = shape::sortContours({chain.contour}, shape::Fill::evenOdd, m_tolerance * m_tolerance,
                                          m_tolerance);
        if (sorted.outlines.empty()) continue;
        std::size_t after = 0;
        for (const auto part : chain.parts)
            used[part] = true, after = std::max(after, m_lines[part].after);
        const Line& first = m_lines[chain.parts.front()];
        DrawnShape drawn{};
        drawn.name = first.name, drawn.fill = first.colour, drawn.origin = Origin::outline;
        drawn.outline = std::move(sorted.outlines.front());
        for (const auto part : chain.parts)
            if (m_lines[part].dashed) drawn.dotted.push_back(m_lines[part].contour);
        found.emplace_back(after, std::move(drawn));
    }
    if (found.empty()) return;
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    const auto moved = [&](std::size_t after) { // shapes now drawn before what came after that many
        return after + static_cast<std::size_t>(std::count_if(
                           found.begin(), found.end(), [&](const auto& f) { return f.first < after; }));
    };
    std::vector<Line> rest;
    for (std::size_t i = 0; i < m_lines.size(); ++i)
        if (!used[i]) {
            m_lines[i].after = moved(m_lines[i].after);
            rest.push_back(std::move(m_lines[i]));
        }
    m_lines = std::move(rest);
    std::vector<DrawnShape> shapes;
    auto next = found.begin();
    for (std::size_t i = 0; i <= m_drawing.shapes.size(); ++i) {
        for (; next != found.end() && next->first == i; ++next)
            shapes.push_back(std::move(next->second));
        if (i < m_drawing.shapes.size()) shapes.push_back(std::move(m_drawing.shapes[i]));
    }
    m_drawing.shapes = std::move(shapes);
}

void Collector::sortBySize() {
    std::stable_sort(m_drawing.shapes.begin(), m_drawing.shapes.end(),
                     [](const DrawnShape& a, const DrawnShape& b) {
                         return std::abs(signedArea(a.outline.edge)) > std::abs(signedArea(b.outline.edge));
                     });
    for (auto& line : m_lines)
        line.after = m_drawing.shapes.size();
}

void Collector::applyLabels() {
    if (m_options.labels.empty()) return;
    std::vector<shape::Region> regions;
    for (const auto& drawn : m_drawing.shapes)
        regions.push_back(shape::regionOf(drawn.outline, m_tolerance));
    for (const auto& label : m_options.labels) {
        std::size_t best = regions.size();
        for (std::size_t i = 0; i < regions.size(); ++i)
            if (regions[i].contains(label.at) &&
                (best == regions.size() || regions[i].area() < regions[best].area()))
                best = i;
        if (best < regions.size()) m_drawing.shapes[best].name = asUtf8(label.text);
    }
}

namespace {

/// The line stays beside the edge all along.
bool runsAlong(const shape::Polyline& line, const shape::Rings& rings) {
    return std::all_of(line.begin(), line.end(), [&](shape::Point p) {
        return std::any_of(rings.begin(), rings.end(),
                           [&](const shape::Ring& ring) { return shape::distanceTo(ring, p) <= alongEdge; });
    });
}

} // namespace

/// Dotted lines along an edge belong to it: to the lowest such piece, since what lies above covers it.
void Collector::placeDottedEdges() {
    if (std::none_of(m_lines.begin(), m_lines.end(), [](const Line& line) { return line.dashed; })) return;
    std::vector<shape::Rings> rings;
    for (const auto& drawn : m_drawing.shapes)
        rings.push_back(flattened(drawn.outline, 0.1));
    std::erase_if(m_lines, [&](const Line& line) {
        if (!line.dashed) return false;
        const auto points = flattened(line.contour, 0.1);
        const auto owner =
            std::find_if(rings.begin(), rings.end(), [&](const auto& r) { return runsAlong(points, r); });
        if (owner == rings.end()) return false;
        m_drawing.shapes[static_cast<std::size_t>(owner - rings.begin())].dotted.push_back(line.contour);
        return true;
    });
}

/// Marks go to the topmost piece drawn before them that holds their middle.
void Collector::placeMarks() {
    std::vector<shape::Region> regions;
    if (!m_lines.empty())
        for (const auto& drawn : m_drawing.shapes)
            regions.push_back(shape::regionOf(drawn.outline, m_tolerance));
    for (auto& line : m_lines) {
        const auto points = flattened(line.contour, m_tolerance);
        const auto middle = shape::pointAlong(points, shape::lengthOf(points) / 2);
        std::size_t owner = m_drawing.shapes.size();
        for (std::size_t i = 0; i < std::min(line.after, regions.size()); ++i)
            if (regions[i].contains(middle)) owner = i;
        if (owner < m_drawing.shapes.size())
            m_drawing.shapes[owner].marks.push_back(std::move(line.contour));
        else {
            m_drawing.loose.push_back({std::move(line.contour), line.dashed});
            leaveOut(Remark::openLinesLeftOut);
        }
    }
    m_lines.clear();
}

/// Under 1 mm², or a hundred-thousandth of a small page.
void Collector::dropSpecks() {
    const double least = std::min(1.0, m_drawing.width * m_drawing.height * 1e-5);
    const auto isSpeck = [&](const DrawnShape& drawn) {
        return std::abs(signedArea(drawn.outline.edge)) < least;
    };
    for (const auto& drawn : m_drawing.shapes)
        if (isSpeck(drawn)) leaveOut(Remark::tooSmallLeftOut);
    std::erase_if(m_drawing.shapes, isSpeck);
}

void Collector::takeExtentAsPage() {
    shape::Box all;
    for (const auto& drawn : m_drawing.shapes)
        all.take(boundsOf(drawn.outline));
    if (all.isEmpty()) return;
    const auto home = Transform::moveBy(-all.left, -all.top);
    for (auto& drawn : m_drawing.shapes) {
        drawn.outline = transformed(drawn.outline, home);
        for (auto* lines : {&drawn.marks, &drawn.dotted})
            for (auto& line : *lines)
                line = transformed(line, home);
        if (drawn.recipe) drawn.recipe->at = home * drawn.recipe->at;
    }
    for (auto& loose : m_drawing.loose)
        loose.line = transformed(loose.line, home);
    m_drawing.width = all.width(), m_drawing.height = all.height();
}

quilt::Drawing Collector::finish() {
    closeJoinedLines();
    if (m_options.largeBeneath) sortBySize();
    applyLabels();
    placeDottedEdges();
    placeMarks();
    if (!m_sized) takeExtentAsPage();
    dropSpecks();
    const shape::Box page{-overEdge, -overEdge, m_drawing.width + overEdge, m_drawing.height + overEdge};
    for (const auto& drawn : m_drawing.shapes) {
        const auto box = boundsOf(drawn.outline);
        if (m_sized && (!page.holds({box.left, box.top}) || !page.holds({box.right, box.bottom})))
            remark(Remark::beyondPage, {drawn.name});
    }
    if (m_forwards > 2 * m_backwards) m_drawing.letters = quilt::Reading::asSeen;
    if (m_backwards > 2 * m_forwards) m_drawing.letters = quilt::Reading::mirrored;
    for (const auto& [what, count] : m_left)
        remark(what, {std::to_string(count)});
    for (const auto& [what, count] : m_unknown)
        remark(Remark::unknownLeftOut, {asUtf8(what), std::to_string(count)});
    return std::move(m_drawing);
}

} // namespace up::intake
