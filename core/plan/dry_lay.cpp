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

constexpr double pointed = 1.1;         // radians: a corner sharper than this is a tip
constexpr double about = 3;             // mm on either side of a corner that make its angle
constexpr double ownEdge = 0.7;         // of the border's length lies beneath, for a piece to be tucked under
constexpr double leastTuck = 25.4 / 32; // mm
constexpr double roundShare = 0.94;     // of the circle round it

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

bool isUpright(Spot spot) {
    return spot == Spot::top || spot == Spot::bottom;
}

class Measurer {
public:
    explicit Measurer(const GroundPlan& ground) : m_ground(ground) {}

    [[nodiscard]] PlaceMeasure across(const Found& point) const {
        const auto& box = m_ground.box;
        return along(point, &Point::x, {box.left, From::leftEdge}, {box.right, From::rightEdge},
                     From::uprightCrease);
    }
    [[nodiscard]] PlaceMeasure down(const Found& point) const {
        const auto& box = m_ground.box;
        return along(point, &Point::y, {box.top, From::topEdge}, {box.bottom, From::bottomEdge},
                     From::levelCrease);
    }
    /// Beyond the finished edge nobody measures.
    [[nodiscard]] bool isIn(Point p) const { return m_ground.finished.holds(p); }
    [[nodiscard]] bool runsOff(const Found& f) const {
        const auto& box = m_ground.finished;
        switch (f.spot) {
        case Spot::leftEnd: return f.at.x < box.left;
        case Spot::rightEnd: return f.at.x > box.right;
        case Spot::top: return f.at.y < box.top;
        case Spot::bottom: return f.at.y > box.bottom;
        case Spot::middle: break;
        }
        return false;
    }

private:
    struct Edge {
        double at;
        From from;
    };
    /// On a crease across that direction, or from the nearer of the two edges.
    [[nodiscard]] PlaceMeasure along(const Found& point, double Point::*way, Edge low, Edge high,
                                     From crease) const {
        const double at = point.at.*way;
        for (const auto& [a, b] : m_ground.creases)
            if (a.*way == b.*way && std::abs(a.*way - at) <= onCrease.mm())
                return {point.spot, point.isTip, crease, {}, point.at};
        const bool isLow = at - low.at <= high.at - at;
        return {point.spot, point.isTip, isLow ? low.from : high.from,
                Length::ofMm(isLow ? at - low.at : high.at - at), point.at};
    }
    const GroundPlan& m_ground;
};

std::vector<TuckUnder> tucksOf(const BlockPlan& plan, std::size_t piece) {
    std::vector<std::pair<double, TuckUnder>> found;
    const auto hidden = stack::hiddenEdge(plan.regions, piece, plan.above[piece]);
    for (const auto& o : plan.stack.overlaps) {
        if (o.lower != piece) continue;
        double beneath = 0; // of its own edge
        for (const auto& stretch : hidden)
            if (stretch.by == o.upper) beneath += shape::lengthOf(stretch.line);
        double border = 0;
        for (const auto& line : stack::bordersOf(plan.visible[piece], plan.regions[o.upper]))
            border += shape::lengthOf(line);
        // A piece that merely lies on it is not what it is tucked under.
        if (border > 0 && beneath > ownEdge * border && o.area > leastTuck * border)
            found.push_back({border, {o.upper, Length::ofMm(o.area / border)}});
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
    std::erase_if(ends, [&](const Found& f) { return measure.runsOff(f); });
    std::stable_sort(ends.begin(), ends.end(),
                     [](const Found& a, const Found& b) { return a.isTip > b.isTip; });
    std::vector<PlaceMeasure> out;
    const auto first =
        std::find_if(ends.begin(), ends.end(), [&](const Found& f) { return measure.isIn(f.at); });
    if (first == ends.end()) { // it runs off on several sides: how far it reaches is all there is
        for (const auto& end : ends)
            out.push_back(isUpright(end.spot) ? measure.down(end) : measure.across(end));
        return out;
    }
    out = {measure.across(*first), measure.down(*first)};
    const auto second = std::max_element(ends.begin(), ends.end(), [&](const Found& a, const Found& b) {
        return shape::distance(a.at, first->at) < shape::distance(b.at, first->at);
    });
    const Point way = second->at - first->at;
    if (std::hypot(way.x, way.y) > about)
        out.push_back(std::abs(way.x) > std::abs(way.y) ? measure.down(*second) : measure.across(*second));
    return out;
}

LayStep layStep(const BlockPlan& plan, const GroundPlan& ground, std::size_t piece) {
    return {piece, false, guideFor(plan, piece), tucksOf(plan, piece),
            measuresOf(plan.regions[piece], ground)};
}

std::vector<LayStep> laySteps(const BlockPlan& plan, const GroundPlan& ground, const BlockPlan* planBefore,
                              const std::vector<LayStep>* before) {
    const bool known = planBefore && before && before->size() == plan.regions.size();
    const auto anew = known ? touched(plan, *planBefore) : std::vector<bool>(plan.regions.size(), true);
    std::vector<LayStep> out;
    for (std::size_t i = 0; i < plan.regions.size(); ++i)
        out.push_back(anew[i] ? layStep(plan, ground, i) : (*before)[i]);
    return out;
}

std::vector<LayStep> dryLay(const std::vector<LayStep>& steps) {
    std::vector<LayStep> out;
    std::optional<std::size_t> lying; // as a guide
    for (const auto& step : steps) {
        if (step.measures.empty() && step.tucks.empty()) continue; // there is nothing of it
        if (step.guide && step.guide != lying) {
            LayStep guide = steps[*step.guide];
            guide.forAMoment = true, guide.guide.reset(), guide.tucks.clear();
            out.push_back(std::move(guide));
        }
        lying = step.guide;
        out.push_back(step);
    }
    return out;
}

} // namespace up::plan
