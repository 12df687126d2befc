// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/geos.hpp"

#include <cstdarg>
#include <geos_c.h>
#include <memory>
#include <stdexcept>

namespace up::test {
namespace {

void silent(const char*, ...) {}

/// One handle for all tests.
void ready() {
    static const bool once = (initGEOS(silent, silent), true);
    (void)once;
}

using Geometry = std::unique_ptr<GEOSGeometry, void (*)(GEOSGeometry*)>;
Geometry owned(GEOSGeometry* geometry) {
    if (!geometry) throw std::runtime_error("GEOS gave no answer");
    return {geometry, GEOSGeom_destroy};
}

GEOSCoordSequence* sequence(const shape::Polyline& points, bool close) {
    const auto n = points.size() + (close ? 1 : 0);
    auto* out = GEOSCoordSeq_create(static_cast<unsigned>(n), 2);
    for (std::size_t i = 0; i < n; ++i) {
        const auto p = points[i % points.size()];
        GEOSCoordSeq_setX(out, static_cast<unsigned>(i), p.x);
        GEOSCoordSeq_setY(out, static_cast<unsigned>(i), p.y);
    }
    return out;
}

/// Ring after ring combined by symmetric difference: the even-odd rule without any code of ours.
Geometry polygon(const shape::Region& region) {
    ready();
    Geometry all = owned(GEOSGeom_createEmptyPolygon());
    for (const auto& ring : region.rings) {
        auto one = owned(GEOSGeom_createPolygon(GEOSGeom_createLinearRing(sequence(ring, true)), nullptr, 0));
        if (GEOSisValid(one.get()) != 1) one = owned(GEOSMakeValid(one.get())); // it touches itself
        all = owned(GEOSSymDifference(all.get(), one.get()));
    }
    return all;
}

double areaOf(const Geometry& geometry) {
    double area = 0;
    GEOSArea(geometry.get(), &area);
    return area;
}

} // namespace

double geosArea(const shape::Region& region) {
    return areaOf(polygon(region));
}

double geosArea(const shape::Region& a, const shape::Region& b, Boolean what) {
    const auto first = polygon(a), second = polygon(b);
    switch (what) {
    case Boolean::unite: return areaOf(owned(GEOSUnion(first.get(), second.get())));
    case Boolean::intersect: return areaOf(owned(GEOSIntersection(first.get(), second.get())));
    case Boolean::subtract: return areaOf(owned(GEOSDifference(first.get(), second.get())));
    }
    return 0;
}

double geosBufferArea(const shape::Region& region, double by) {
    const auto shape = polygon(region);
    return areaOf(owned(GEOSBuffer(shape.get(), by, 64)));
}

double geosDistance(const shape::Region& a, const shape::Region& b) {
    double distance = 0;
    GEOSDistance(polygon(a).get(), polygon(b).get(), &distance);
    return distance;
}

double geosLengthInside(const shape::Polyline& line, const shape::Region& region) {
    ready();
    const auto path = owned(GEOSGeom_createLineString(sequence(line, false)));
    double length = 0;
    GEOSLength(owned(GEOSIntersection(path.get(), polygon(region).get())).get(), &length);
    return length;
}

double geosInscribedRadius(const shape::Region& region) {
    const auto shape = polygon(region);
    const auto radius =
        owned(GEOSMaximumInscribedCircle(shape.get(), 1e-3)); // a line from its middle to the edge
    double length = 0;
    GEOSLength(radius.get(), &length);
    return length;
}

} // namespace up::test
