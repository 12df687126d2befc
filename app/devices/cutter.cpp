// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/devices/cutter.hpp"

#include "core/shape/region.hpp"
#include "intake/svg/svg.hpp"

#include <algorithm>
#include <limits>

namespace up::app {
namespace {

using shape::Point;
using shape::Region;

constexpr double finest = 25.4 / 16;            // mm
constexpr double cutSpeed = 40, waySpeed = 120; // mm a second
constexpr double liftAndLower = 0.5;            // seconds
constexpr double hair = 0.01;                   // mm

/// A place on the shape that is narrower than the blade can follow: what opening with a disc takes away, but
/// for the rounding of corners.
std::optional<Point> tooFineAt(const Region& shape) {
    const Region opened = shape::offset(shape::offset(shape, -finest / 2), finest / 2);
    const Region lost = shape::subtract(shape, shape::offset(opened, finest / 4));
    for (const auto& island : shape::islands(lost))
        if (island.area() > finest * finest) return island.rings.front().front();
    if (opened.isEmpty() && !shape.isEmpty()) return shape.rings.front().front();
    return std::nullopt;
}

std::optional<Point> offTheMat(const Region& shape, double width, double height) {
    for (const auto& ring : shape.rings)
        for (const auto& p : ring)
            if (p.x < -hair || p.y < -hair || p.x > width + hair || p.y > height + hair) return p;
    return std::nullopt;
}

/// The ring from the point nearest to `from`, once round.
shape::Polyline begunNear(const shape::Ring& ring, Point from) {
    const auto start = std::min_element(ring.begin(), ring.end(), [&](Point a, Point b) {
        return shape::distance(a, from) < shape::distance(b, from);
    });
    shape::Polyline out(start, ring.end());
    out.insert(out.end(), ring.begin(), start);
    out.push_back(out.front());
    return out;
}

/// The blade's way through all rings: the nearest next.
void drive(std::vector<shape::Ring> rings, CutRun& run) {
    Point at{0, 0};
    while (!rings.empty()) {
        const auto away = [&](const shape::Ring& ring) {
            double least = std::numeric_limits<double>::infinity();
            for (const auto& p : ring)
                least = std::min(least, shape::distance(p, at));
            return least;
        };
        const auto next = std::min_element(rings.begin(), rings.end(),
                                           [&](const auto& a, const auto& b) { return away(a) < away(b); });
        const auto line = begunNear(*next, at);
        run.strokes.push_back({{at, line.front()}, false});
        run.strokes.push_back({line, true});
        run.seconds +=
            shape::distance(at, line.front()) / waySpeed + shape::lengthOf(line) / cutSpeed + liftAndLower;
        at = line.back();
        rings.erase(next);
    }
}

} // namespace

std::string SampleCutter::name() const {
    return QObject::tr("the sample cutting machine").toStdString();
}

Result<CutRun> SampleCutter::cut(const std::string& svg) {
    const auto drawing = intake::readSvg(svg, QObject::tr("the cut file").toStdString());
    if (!drawing) return tl::unexpected(drawing.error());
    CutRun run;
    std::vector<shape::Ring> rings;
    for (const auto& drawn : drawing->shapes) {
        const auto region = shape::regionOf(drawn.outline);
        if (const auto off = offTheMat(region, matWidth(), matHeight())) {
            run.refusals.push_back({drawn.name, CutRun::Refusal::Why::offTheMat, *off});
        } else if (const auto fine = tooFineAt(region)) {
            run.refusals.push_back({drawn.name, CutRun::Refusal::Why::tooFine, *fine});
        } else {
            rings.insert(rings.end(), region.rings.begin(), region.rings.end());
        }
    }
    drive(std::move(rings), run);
    return run;
}

} // namespace up::app
