// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/region.hpp"

#include "core/base/job.hpp"

#include <polyclipping/clipper.hpp>

namespace up::shape {
namespace {

namespace cl = ClipperLib;
constexpr double unitsPerMm = 1e4;
constexpr double reach = 5e4; // mm

cl::IntPoint toClipper(Point p) {
    const auto unit = [](double v) {
        return static_cast<cl::cInt>(std::llround(std::clamp(v, -reach, reach) * unitsPerMm));
    };
    return {unit(p.x), unit(p.y)};
}

cl::Path toClipper(const std::vector<Point>& points) {
    cl::Path path;
    path.reserve(points.size());
    for (const Point p : points)
        path.push_back(toClipper(p));
    return path;
}

cl::Paths toClipper(const Region& region) {
    cl::Paths paths;
    for (const auto& ring : region.rings)
        paths.push_back(toClipper(ring));
    return paths;
}

std::vector<Point> fromClipper(const cl::Path& path) {
    std::vector<Point> points;
    points.reserve(path.size());
    for (const auto& p : path)
        points.push_back({static_cast<double>(p.X) / unitsPerMm, static_cast<double>(p.Y) / unitsPerMm});
    return points;
}

Region regionFrom(const cl::Paths& paths) {
    Region region;
    for (const auto& path : paths)
        if (path.size() >= 3) region.rings.push_back(fromClipper(path));
    return region;
}

Region combine(cl::ClipType type, const Region& a, const Region& b) {
    breathe();
    cl::Clipper clipper;
    clipper.StrictlySimple(true);
    clipper.AddPaths(toClipper(a), cl::ptSubject, true);
    clipper.AddPaths(toClipper(b), cl::ptClip, true);
    cl::Paths out;
    clipper.Execute(type, out, cl::pftNonZero, cl::pftNonZero);
    return regionFrom(out);
}

std::vector<Polyline> clipLine(cl::ClipType type, const Polyline& line, const Region& region) {
    breathe();
    if (line.size() < 2) return {};
    cl::Clipper clipper;
    clipper.AddPath(toClipper(line), cl::ptSubject, false);
    clipper.AddPaths(toClipper(region), cl::ptClip, true);
    cl::PolyTree tree;
    clipper.Execute(type, tree, cl::pftNonZero, cl::pftNonZero);
    cl::Paths open;
    cl::OpenPathsFromPolyTree(tree, open);
    std::vector<Polyline> out;
    for (const auto& path : open)
        if (path.size() >= 2) out.push_back(fromClipper(path));
    return out;
}

void collectIslands(const cl::PolyNode& node, std::vector<Region>& out) {
    for (const auto* child : node.Childs) {
        Region island{{fromClipper(child->Contour)}};
        for (const auto* hole : child->Childs) {
            island.rings.push_back(fromClipper(hole->Contour));
            collectIslands(*hole, out);
        }
        out.push_back(std::move(island));
    }
}

/// Source: Douglas & Peucker, "Algorithms for the Reduction of the Number of Points…", 1973.
void keepFar(const Ring& ring, std::size_t first, std::size_t last, double tolerance,
             std::vector<bool>& keep) {
    double worst = tolerance;
    std::size_t at = 0;
    const Point a = ring[first % ring.size()], b = ring[last % ring.size()];
    const double base = distance(a, b);
    for (std::size_t i = first + 1; i < last; ++i) {
        const Point p = ring[i % ring.size()];
        const double away = base < 1e-9 ? distance(a, p) : std::abs(cross(a, b, p)) / base;
        if (away > worst) worst = away, at = i;
    }
    if (at == 0) return;
    keep[at % ring.size()] = true;
    keepFar(ring, first, at, tolerance, keep);
    keepFar(ring, at, last, tolerance, keep);
}

Ring thinned(const Ring& ring, double tolerance) {
    if (ring.size() < 5) return ring;
    std::vector<bool> keep(ring.size(), false);
    const std::size_t half = ring.size() / 2;
    keep[0] = keep[half] = true;
    keepFar(ring, 0, half, tolerance, keep);
    keepFar(ring, half, ring.size(), tolerance, keep);
    Ring out;
    for (std::size_t i = 0; i < ring.size(); ++i)
        if (keep[i]) out.push_back(ring[i]);
    return out;
}

} // namespace

double Region::area() const {
    double sum = 0;
    for (const auto& ring : rings)
        sum += signedArea(ring);
    return sum;
}

Box Region::bounds() const {
    Box box;
    for (const auto& ring : rings)
        box.take(boundsOf(ring));
    return box;
}

bool Region::contains(Point p) const {
    bool in = false;
    for (const auto& ring : rings)
        in ^= shape::contains(ring, p);
    return in;
}

Region regionOf(const Rings& rings, Fill rule) {
    breathe();
    cl::Clipper clipper;
    clipper.StrictlySimple(true);
    for (const auto& ring : rings)
        clipper.AddPath(toClipper(ring), cl::ptSubject, true);
    cl::Paths out;
    const auto fill = rule == Fill::evenOdd ? cl::pftEvenOdd : cl::pftNonZero;
    clipper.Execute(cl::ctUnion, out, fill, fill);
    return regionFrom(out);
}

Region regionOf(const Outline& outline, double tolerance) {
    return regionOf(flattened(outline, tolerance));
}

Region unite(const std::vector<Region>& regions) {
    breathe();
    // In bunches: edges of hundreds of regions on one heap would all be tried against each other.
    constexpr std::size_t bunch = 8;
    if (regions.size() > 2 * bunch) {
        std::vector<Region> fewer;
        for (auto from = regions.begin(); from != regions.end();) {
            const auto to =
                regions.end() - from > static_cast<std::ptrdiff_t>(bunch) ? from + bunch : regions.end();
            fewer.push_back(unite(std::vector<Region>(from, to)));
            from = to;
        }
        return unite(fewer);
    }
    cl::Clipper clipper;
    for (const auto& region : regions)
        clipper.AddPaths(toClipper(region), cl::ptSubject, true);
    cl::Paths out;
    clipper.Execute(cl::ctUnion, out, cl::pftNonZero, cl::pftNonZero);
    return regionFrom(out);
}

Region unite(const Region& a, const Region& b) {
    return combine(cl::ctUnion, a, b);
}
Region intersect(const Region& a, const Region& b) {
    return combine(cl::ctIntersection, a, b);
}
Region subtract(const Region& from, const Region& what) {
    return combine(cl::ctDifference, from, what);
}

Region offset(const Region& region, double by, double sag) {
    breathe();
    cl::ClipperOffset work(2.0, sag * unitsPerMm);
    work.AddPaths(toClipper(region), cl::jtRound, cl::etClosedPolygon);
    cl::Paths out;
    work.Execute(out, std::clamp(by, -reach, reach) * unitsPerMm);
    return regionFrom(out);
}

Region band(const Polyline& line, bool closed, double width, Cap cap, Join join, double sag) {
    breathe();
    cl::ClipperOffset work(4.0, sag * unitsPerMm); // 4: SVG's own mitre limit
    const auto corner = join == Join::round ? cl::jtRound : join == Join::mitre ? cl::jtMiter : cl::jtSquare;
    const auto end = closed              ? cl::etClosedLine
                     : cap == Cap::butt  ? cl::etOpenButt
                     : cap == Cap::round ? cl::etOpenRound
                                         : cl::etOpenSquare;
    work.AddPath(toClipper(line), corner, end);
    cl::Paths out;
    work.Execute(out, std::clamp(width / 2, 0.0, reach) * unitsPerMm);
    return regionFrom(out);
}

std::vector<Region> islands(const Region& region) {
    breathe();
    cl::Clipper clipper;
    clipper.AddPaths(toClipper(region), cl::ptSubject, true);
    cl::PolyTree tree;
    clipper.Execute(cl::ctUnion, tree, cl::pftNonZero, cl::pftNonZero);
    std::vector<Region> out;
    collectIslands(tree, out);
    return out;
}

std::vector<Outline> outlinesOf(const Region& region) {
    std::vector<Outline> out;
    for (const auto& island : islands(region)) {
        Outline outline{contourThrough(island.rings.front()), {}};
        for (std::size_t i = 1; i < island.rings.size(); ++i)
            outline.holes.push_back(contourThrough(island.rings[i]));
        out.push_back(std::move(outline));
    }
    return out;
}

Region transformed(const Region& region, const Transform& by) {
    Region out = region;
    for (auto& ring : out.rings) {
        for (auto& p : ring)
            p = by(p);
        if (by.determinant() < 0) std::reverse(ring.begin(), ring.end());
    }
    return out;
}

std::vector<Polyline> inside(const Polyline& line, const Region& region) {
    return clipLine(cl::ctIntersection, line, region);
}

std::vector<Polyline> outside(const Polyline& line, const Region& region) {
    return clipLine(cl::ctDifference, line, region);
}

Region rectangle(const Box& box) {
    return {{{{box.left, box.top}, {box.right, box.top}, {box.right, box.bottom}, {box.left, box.bottom}}}};
}

Region simplified(const Region& region, double tolerance) {
    Rings rings;
    for (const auto& ring : region.rings) {
        Ring kept;
        for (const Point p : thinned(ring, tolerance))
            if (kept.empty() || distance(kept.back(), p) >= tolerance) kept.push_back(p);
        while (kept.size() > 1 && distance(kept.back(), kept.front()) < tolerance)
            kept.pop_back();
        if (kept.size() >= 3) rings.push_back(std::move(kept));
    }
    return regionOf(rings, Fill::nonZero);
}

Region coveringSimplified(const Region& region, double tolerance) {
    Region grown = offset(region, tolerance, tolerance / 8);
    for (auto& ring : grown.rings)
        ring = thinned(ring, tolerance * 0.85);
    return regionOf(grown.rings, Fill::nonZero);
}

} // namespace up::shape
