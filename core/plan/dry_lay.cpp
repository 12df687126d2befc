// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/dry_lay.hpp"

#include "core/stack/showing.hpp"
#include "core/stack/underlap.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::plan {
namespace {

using shape::Point;
using shape::Region;

constexpr double pointed = 1.1;     // radians: a corner sharper than this is a tip
constexpr double about = 3;         // mm on either side of a corner that make its angle
constexpr double roundShare = 0.94; // of the circle round it

struct Found {
    Spot spot;
    Point at;
    bool isTip;
};

/// The angle of the edge at that point of the ring, seen over a few millimetres.
bool isTipAt(const shape::Ring& ring, std::size_t index) {
    const auto reach = [&](bool forward) {
        std::size_t i = index;
        double way = 0;
        for (std::size_t n = 0; n < ring.size() && way < about; ++n) {
            const std::size_t next = (i + (forward ? 1 : ring.size() - 1)) % ring.size();
            way += shape::distance(ring[i], ring[next]);
            i = next;
        }
        return ring[i];
    };
    const Point a = reach(false) - ring[index], b = reach(true) - ring[index];
    const double cosine =
        (a.x * b.x + a.y * b.y) / std::max(1e-9, std::hypot(a.x, a.y) * std::hypot(b.x, b.y));
    return std::acos(std::clamp(cosine, -1.0, 1.0)) < pointed;
}

const shape::Ring& outerRing(const Region& region) {
    return *std::max_element(region.rings.begin(), region.rings.end(), [](const auto& a, const auto& b) {
        return shape::signedArea(a) < shape::signedArea(b);
    });
}

/// The outermost points in the four directions.
std::vector<Found> endsOf(const Region& region) {
    const auto& ring = outerRing(region);
    const auto furthest = [&](auto key) {
        std::size_t best = 0;
        for (std::size_t i = 1; i < ring.size(); ++i)
            if (key(ring[i]) > key(ring[best]) + 1e-6) best = i;
        return best;
    };
    const auto found = [&](Spot spot, std::size_t i) { return Found{spot, ring[i], isTipAt(ring, i)}; };
    return {found(Spot::leftEnd, furthest([](Point p) { return -p.x; })),
            found(Spot::rightEnd, furthest([](Point p) { return p.x; })),
            found(Spot::top, furthest([](Point p) { return -p.y; })),
            found(Spot::bottom, furthest([](Point p) { return p.y; }))};
}

bool isRound(const Region& region) {
    const auto& ring = outerRing(region);
    const Point middle = shape::boundsOf(ring).centre();
    double most = 0;
    for (const Point p : ring)
        most = std::max(most, shape::distance(p, middle));
    return shape::signedArea(ring) > roundShare * std::numbers::pi * most * most;
}

class Measurer {
public:
    explicit Measurer(const GroundPlan& ground) : m_ground(ground) {}

    [[nodiscard]] PlaceMeasure across(const Found& point) const {
        for (const auto& [a, b] : m_ground.creases)
            if (a.x == b.x && std::abs(a.x - point.at.x) <= onCrease.mm())
                return {point.spot, point.isTip, From::uprightCrease, {}, point.at};
        const double left = point.at.x - m_ground.box.left, right = m_ground.box.right - point.at.x;
        return left <= right
                   ? PlaceMeasure{point.spot, point.isTip, From::leftEdge, Length::ofMm(left), point.at}
                   : PlaceMeasure{point.spot, point.isTip, From::rightEdge, Length::ofMm(right), point.at};
    }
    [[nodiscard]] PlaceMeasure down(const Found& point) const {
        for (const auto& [a, b] : m_ground.creases)
            if (a.y == b.y && std::abs(a.y - point.at.y) <= onCrease.mm())
                return {point.spot, point.isTip, From::levelCrease, {}, point.at};
        const double top = point.at.y - m_ground.box.top, bottom = m_ground.box.bottom - point.at.y;
        return top <= bottom
                   ? PlaceMeasure{point.spot, point.isTip, From::topEdge, Length::ofMm(top), point.at}
                   : PlaceMeasure{point.spot, point.isTip, From::bottomEdge, Length::ofMm(bottom), point.at};
    }
    /// Beyond the raw edge nothing can be measured.
    [[nodiscard]] bool isOn(Point p) const { return m_ground.box.holds(p); }

private:
    const GroundPlan& m_ground;
};

std::vector<TuckUnder> tucksOf(const BlockPlan& plan, std::size_t piece) {
    std::vector<std::pair<double, TuckUnder>> found;
    for (const auto& o : plan.stack.overlaps) {
        if (o.lower != piece) continue;
        double border = 0;
        for (const auto& line : stack::bordersOf(plan.visible[piece], plan.regions[o.upper]))
            border += shape::lengthOf(line);
        if (border > 0) found.push_back({border, {o.upper, Length::ofMm(o.area / border)}});
    }
    std::stable_sort(found.begin(), found.end(),
                     [](const auto& a, const auto& b) { return a.first > b.first; });
    std::vector<TuckUnder> out;
    for (const auto& [border, tuck] : found)
        out.push_back(tuck);
    return out;
}

/// The upper piece that helps to find this one: the largest that covers it, if that is easier to place.
std::optional<std::size_t> guideFor(const BlockPlan& plan, std::size_t piece) {
    const double own = plan.regions[piece].area();
    if (own <= 0 || plan.visible[piece].area() > hardlyShows * own) return std::nullopt;
    std::optional<std::size_t> best;
    double most = own;
    for (const auto& o : plan.stack.overlaps)
        if (o.lower == piece && plan.regions[o.upper].area() > most)
            most = plan.regions[o.upper].area(), best = o.upper;
    return best;
}

} // namespace

std::vector<PlaceMeasure> measuresOf(const Region& piece, const GroundPlan& ground) {
    if (piece.isEmpty()) return {};
    const Measurer measure(ground);
    if (isRound(piece)) {
        const Found middle{Spot::middle, piece.bounds().centre(), false};
        return {measure.across(middle), measure.down(middle)};
    }
    auto ends = endsOf(piece);
    std::erase_if(ends, [&](const Found& f) { return !measure.isOn(f.at); });
    if (ends.empty()) return {};
    std::stable_sort(ends.begin(), ends.end(),
                     [](const Found& a, const Found& b) { return a.isTip > b.isTip; });
    const Found first = ends.front();
    std::vector<PlaceMeasure> out{measure.across(first), measure.down(first)};
    const auto second = std::max_element(ends.begin(), ends.end(), [&](const Found& a, const Found& b) {
        return shape::distance(a.at, first.at) < shape::distance(b.at, first.at);
    });
    const Point way = second->at - first.at;
    if (std::hypot(way.x, way.y) > about)
        out.push_back(std::abs(way.x) > std::abs(way.y) ? measure.down(*second) : measure.across(*second));
    return out;
}

std::vector<LayStep> dryLay(const quilt::Block& block, const BlockPlan& plan, const GroundPlan& ground) {
    std::vector<LayStep> out;
    std::optional<std::size_t> lying; // as a guide
    for (std::size_t i = 0; i < block.pieces.size(); ++i) {
        if (plan.regions[i].isEmpty()) continue;
        LayStep step{i, false, {}, tucksOf(plan, i), measuresOf(plan.regions[i], ground)};
        step.guide = guideFor(plan, i);
        if (step.guide && step.guide != lying)
            out.push_back({*step.guide, true, {}, {}, measuresOf(plan.regions[*step.guide], ground)});
        lying = step.guide;
        out.push_back(std::move(step));
    }
    return out;
}

} // namespace up::plan
