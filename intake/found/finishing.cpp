// SPDX-License-Identifier: GPL-3.0-or-later
// When all has been painted: what was a line, a mark, a name or a speck.
#include "intake/found/collector.hpp"

#include "core/base/text.hpp"
#include "core/shape/fitting.hpp"
#include "intake/found/closing.hpp"
#include "intake/found/lines_over.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <map>

namespace up::intake {

using quilt::DrawnShape;
using quilt::Origin;
using quilt::Remark;
using shape::Contour;
using shape::Transform;

namespace {

constexpr double overEdge = 0.2; // mm: not worth a word

} // namespace

/// Lines that meet end to end and close become pieces, drawn where the last of them was.
void Collector::closeJoinedLines() {
    std::vector<Contour> contours;
    std::vector<bool> dotted;
    for (const auto& line : m_lines)
        contours.push_back(line.contour), dotted.push_back(line.dashed);
    auto closing = closeLines(contours, dotted, m_options.endsMeet, m_tolerance);
    std::vector<std::pair<std::size_t, DrawnShape>> found; // after which shape
    for (auto& closed : closing.closed) {
        std::size_t after = 0;
        const Line& first = m_lines[closed.parts.front()];
        DrawnShape drawn{};
        drawn.name = first.name, drawn.fill = first.colour, drawn.origin = Origin::outline;
        drawn.pen = first.pen;
        drawn.outline = std::move(closed.outline);
        for (const auto part : closed.parts) {
            after = std::max(after, m_lines[part].after);
            if (m_lines[part].dashed) drawn.dotted.push_back(m_lines[part].contour);
        }
        found.emplace_back(after, std::move(drawn));
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<Line> rest;
    for (auto& line : closing.rest) {
        rest.push_back(m_lines[line.from]);
        rest.back().contour = std::move(line.contour);
        const auto before = [&](const auto& f) { return f.first < rest.back().after; };
        rest.back().after += static_cast<std::size_t>(std::count_if(found.begin(), found.end(), before));
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

/// An outline that was drawn a second time, line on line.
void Collector::dropRepeatedOutlines() {
    const auto key = [](const DrawnShape& drawn) {
        const auto box = boundsOf(drawn.outline);
        return std::array{std::lround(box.left), std::lround(box.top), std::lround(box.right),
                          std::lround(box.bottom)};
    };
    const auto isSame = [&](const DrawnShape& a, const DrawnShape& b) {
        const double area = std::abs(signedArea(a.outline.edge));
        if (std::abs(area - std::abs(signedArea(b.outline.edge))) > area * 0.001) return false;
        const auto ring = flattened(b.outline.edge, m_tolerance);
        const auto points = flattened(a.outline.edge, m_tolerance);
        return std::all_of(points.begin(), points.end(),
                           [&](shape::Point p) { return shape::distanceTo(ring, p) < m_options.endsMeet; });
    };
    std::map<std::array<long, 4>, std::vector<DrawnShape>> known;
    std::vector<DrawnShape> kept;
    std::vector<std::size_t> keptBefore{0};
    for (auto& drawn : m_drawing.shapes) {
        const bool line = drawn.origin == Origin::outline && drawn.outline.holes.empty();
        auto* alike = line ? &known[key(drawn)] : nullptr;
        if (!alike || std::none_of(alike->begin(), alike->end(),
                                   [&](const DrawnShape& other) { return isSame(drawn, other); })) {
            if (alike) alike->push_back(drawn);
            kept.push_back(std::move(drawn));
        }
        keptBefore.push_back(kept.size());
    }
    m_drawing.shapes = std::move(kept);
    for (auto& line : m_lines)
        line.after = keptBefore[line.after];
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

double Collector::pageAcross() const {
    if (m_sized) return std::hypot(m_drawing.width, m_drawing.height);
    shape::Box all;
    for (const auto& drawn : m_drawing.shapes)
        all.take(boundsOf(drawn.outline));
    return std::hypot(all.width(), all.height());
}

/// The band that a wide closed line draws.
std::vector<DrawnShape> Collector::bandOf(const DrawnShape& line) const {
    std::vector<DrawnShape> out;
    const auto region = shape::band(flattened(line.outline.edge, m_tolerance), true, line.pen,
                                    shape::Cap::butt, shape::Join::round, m_tolerance);
    for (const auto& outline : shape::outlinesOf(region)) {
        DrawnShape drawn = line;
        drawn.origin = Origin::band;
        drawn.outline = fitted(outline, 2 * m_tolerance);
        out.push_back(std::move(drawn));
    }
    return out;
}

/// Open lines that follow edges all along are pen lines too.
void Collector::takeOpenPenLines(const FilledShapes& filled) {
    std::erase_if(m_lines, [&](const Line& line) {
        if (line.dashed || !filled.strayingParts(line.contour, line.pen).empty()) return false;
        leaveOut(Remark::penLines);
        return true;
    });
}

/// Closed lines over filled shapes are no pieces; what of them follows no edge joins the lines that become
/// marks.
void Collector::takeLinesOver() {
    const auto isLine = [](const DrawnShape& drawn) { return drawn.origin == Origin::outline; };
    if (m_lines.empty() && std::none_of(m_drawing.shapes.begin(), m_drawing.shapes.end(), isLine)) return;
    const bool paper = m_sized && !m_drawing.shapes.empty() &&
                       m_drawing.shapes.front().origin == Origin::fill &&
                       isPaintedPage(m_drawing.shapes.front().outline, m_drawing.shapes.front().fill);
    const FilledShapes filled(m_drawing.shapes, pageAcross(), paper, m_tolerance);
    if (filled.isEmpty()) return;
    takeOpenPenLines(filled);
    std::vector<DrawnShape> kept;
    std::vector<std::size_t> keptBefore{0}; // of so many shapes
    std::vector<Line> marks;
    for (std::size_t i = 0; i < m_drawing.shapes.size(); ++i, keptBefore.push_back(kept.size())) {
        const auto& drawn = m_drawing.shapes[i];
        const auto& edge = drawn.outline.edge;
        const auto straying =
            drawn.origin == Origin::outline ? filled.strayingParts(edge, drawn.pen) : std::vector<Contour>{};
        if (drawn.origin != Origin::outline || (!straying.empty() && !filled.liesBeneath(i))) {
            kept.push_back(drawn);
            continue;
        }
        quilt::LineOver line{drawn, kept.size()};
        if (drawn.pen >= leastBand && straying == std::vector{edge}) {
            for (auto& band : bandOf(drawn))
                kept.push_back(std::move(band));
            continue;
        }
        auto contours = drawn.outline.holes;
        contours.insert(contours.begin(), drawn.outline.edge);
        for (const auto& contour : contours)
            for (auto& part : filled.strayingParts(contour, drawn.pen)) {
                marks.push_back({part, drawn.name, drawn.fill, false, drawn.pen, kept.size()});
                line.marks.push_back(std::move(part));
            }
        leaveOut(line.marks.empty() ? Remark::penLines : Remark::linesAreMarks);
        m_drawing.linesOver.push_back(std::move(line));
    }
    for (auto& line : m_lines)
        line.after = keptBefore[line.after];
    m_lines.insert(m_lines.end(), marks.begin(), marks.end());
    m_drawing.shapes = std::move(kept);
}

/// Nothing is left of it when its curves are drawn as straight stretches.
bool Collector::isFlat(const Contour& contour) const {
    const double fine =
        std::clamp(pageAcross() / 10'000, 0.0005, shape::defaultTolerance); // as pieces are written
    const auto ring = flattened(contour, fine);
    return ring.size() < 3 || std::abs(shape::signedArea(ring)) < fine * fine;
}

/// Holes that flatten to nothing.
void Collector::dropFlatHoles() {
    for (auto& drawn : m_drawing.shapes)
        std::erase_if(drawn.outline.holes, [&](const Contour& hole) {
            if (!isFlat(hole)) return false;
            leaveOut(Remark::tooSmallLeftOut);
            return true;
        });
}

/// Under 1 mm², or a hundred-thousandth of a small page.
void Collector::dropSpecks() {
    const double least = std::min(1.0, m_drawing.width * m_drawing.height * 1e-5);
    const auto isSpeck = [&](const DrawnShape& drawn) {
        return std::abs(signedArea(drawn.outline.edge)) < least || isFlat(drawn.outline.edge);
    };
    std::vector<std::size_t> keptBefore{0};
    std::vector<DrawnShape> kept;
    for (auto& drawn : m_drawing.shapes) {
        if (isSpeck(drawn))
            leaveOut(Remark::tooSmallLeftOut);
        else
            kept.push_back(std::move(drawn));
        keptBefore.push_back(kept.size());
    }
    m_drawing.shapes = std::move(kept);
    for (auto& over : m_drawing.linesOver)
        over.above = keptBefore[over.above];
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
    for (auto& over : m_drawing.linesOver) {
        over.shape.outline = transformed(over.shape.outline, home);
        for (auto& mark : over.marks)
            mark = transformed(mark, home);
    }
    m_drawing.width = all.width(), m_drawing.height = all.height();
}

std::optional<quilt::Drawing> Collector::finish() {
    closeJoinedLines();
    dropRepeatedOutlines();
    if (m_drawing.shapes.size() + m_lines.size() > mostShapes) return std::nullopt;
    if (m_options.largeBeneath) sortBySize();
    takeLinesOver();
    applyLabels();
    placeDottedEdges();
    placeMarks();
    if (!m_sized) takeExtentAsPage();
    dropSpecks();
    dropFlatHoles();
    const shape::Box page{-overEdge, -overEdge, m_drawing.width + overEdge, m_drawing.height + overEdge};
    for (std::size_t i = 0; i < m_drawing.shapes.size(); ++i) {
        const auto& drawn = m_drawing.shapes[i];
        const auto box = boundsOf(drawn.outline);
        if (m_sized && (!page.holds({box.left, box.top}) || !page.holds({box.right, box.bottom})))
            remark(Remark::beyondPage, {drawn.name.empty() ? "shape " + std::to_string(i + 1) : drawn.name});
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
