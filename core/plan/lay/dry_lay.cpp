// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/lay/dry_lay.hpp"

#include "core/base/job.hpp"
#include "core/plan/block/plan_kept.hpp"
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
constexpr double about = 3;             // mm: what is nearer says little of an angle
constexpr double ownEdge = 0.7;         // of the border's length lies beneath, for a piece to be tucked under
constexpr double leastTuck = 25.4 / 32; // mm
constexpr double roundShare = 0.94;     // of the circle round it

struct End {
    Landmark spot;
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
std::vector<End> endsOf(const Region& region) {
    const auto& ring = outerRing(region);
    const auto furthest = [&](auto key) {
        std::size_t best = 0;
        for (std::size_t i = 1; i < ring.size(); ++i)
            if (key(ring[i]) > key(ring[best]) + 1e-6) best = i;
        return best;
    };
    const auto found = [&](Landmark spot, std::size_t i) { return End{spot, ring[i], isTipAt(ring, i)}; };
    return {found(Landmark::leftEnd, furthest([](Point p) { return -p.x; })),
            found(Landmark::rightEnd, furthest([](Point p) { return p.x; })),
            found(Landmark::top, furthest([](Point p) { return -p.y; })),
            found(Landmark::bottom, furthest([](Point p) { return p.y; }))};
}

bool isRound(const Region& region) {
    const auto& ring = outerRing(region);
    const Point middle = shape::boundsOf(ring).centre();
    double most = 0;
    for (const Point p : ring)
        most = std::max(most, shape::distance(p, middle));
    return shape::signedArea(ring) > roundShare * std::numbers::pi * most * most;
}

bool isUpright(Landmark spot) {
    return spot == Landmark::top || spot == Landmark::bottom;
}

class Measurer {
public:
    explicit Measurer(const GroundPlan& ground) : m_ground(ground) {}

    [[nodiscard]] PlaceMeasure across(const End& point) const {
        const auto& box = m_ground.box;
        return along(point, &Point::x, {box.left, From::leftEdge}, {box.right, From::rightEdge},
                     From::uprightCrease);
    }
    [[nodiscard]] PlaceMeasure down(const End& point) const {
        const auto& box = m_ground.box;
        return along(point, &Point::y, {box.top, From::topEdge}, {box.bottom, From::bottomEdge},
                     From::levelCrease);
    }
    /// It goes on beyond the finished edge.
    [[nodiscard]] bool runsOff(const End& f) const {
        constexpr double edge = 0.01; // mm
        const auto& box = m_ground.finished;
        switch (f.spot) {
        case Landmark::leftEnd: return f.at.x <= box.left + edge;
        case Landmark::rightEnd: return f.at.x >= box.right - edge;
        case Landmark::top: return f.at.y <= box.top + edge;
        case Landmark::bottom: return f.at.y >= box.bottom - edge;
        case Landmark::middle: break;
        }
        return false;
    }

private:
    struct Edge {
        double at;
        From from;
    };
    /// On a crease across that direction, or from the nearer of the two edges.
    [[nodiscard]] PlaceMeasure along(const End& point, double Point::*way, Edge low, Edge high,
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

/// What can be told of an end: of a tip both, of a round or flat end only how far it reaches.
std::vector<PlaceMeasure> toldOf(const Measurer& measure, const End& end) {
    if (end.isTip) return {measure.across(end), measure.down(end)};
    return {isUpright(end.spot) ? measure.down(end) : measure.across(end)};
}

bool isLevel(const PlaceMeasure& m) {
    return m.from == From::leftEdge || m.from == From::rightEdge || m.from == From::uprightCrease;
}

/// How far the measure changes when the piece turns about that point: mm for each radian.
double turning(const PlaceMeasure& m, Point centre) {
    return isLevel(m) ? std::abs(m.at.y - centre.y) : std::abs(m.at.x - centre.x);
}

/// A tip lies in one place; of the rest whatever tells most of how the piece is turned about it.
std::vector<PlaceMeasure> byTip(const Measurer& measure, const std::vector<End>& ends, const End& tip) {
    std::optional<PlaceMeasure> best;
    for (const auto& end : ends)
        for (const auto& m : toldOf(measure, end))
            if (turning(m, tip.at) > (best ? turning(*best, tip.at) : about)) best = m;
    auto out = toldOf(measure, tip);
    if (best) out.push_back(*best);
    return out;
}

/// Without a tip: how far it reaches to one side and upwards or downwards, and the opposite end that tells
/// most of how it is turned: two measures across tell it by how much higher one is taken than the other.
std::vector<PlaceMeasure> byEnds(const Measurer& measure, const std::vector<End>& ends) {
    std::vector<PlaceMeasure> level, upright;
    for (const auto& end : ends)
        (isUpright(end.spot) ? upright : level).push_back(toldOf(measure, end).front());
    const auto nearer = [](const PlaceMeasure& a, const PlaceMeasure& b) { return a.away < b.away; };
    std::stable_sort(level.begin(), level.end(), nearer);
    std::stable_sort(upright.begin(), upright.end(), nearer);
    const double byLevel = level.size() == 2 ? turning(level[1], level[0].at) : 0;
    const double byUpright = upright.size() == 2 ? turning(upright[1], upright[0].at) : 0;
    std::vector<PlaceMeasure> out;
    for (const auto* side : {&level, &upright})
        if (!side->empty()) out.push_back(side->front());
    if (std::max(byLevel, byUpright) > about) out.push_back(byLevel > byUpright ? level[1] : upright[1]);
    return out;
}

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
        const End middle{Landmark::middle, piece.bounds().centre(), false};
        return {measure.across(middle), measure.down(middle)};
    }
    const auto seen = shape::intersect(piece, shape::rectangle(ground.finished)); // nobody measures beyond
    if (seen.isEmpty()) return {};
    auto ends = endsOf(seen);
    std::erase_if(ends, [&](const End& f) { return measure.runsOff(f); });
    const auto tip = std::find_if(ends.begin(), ends.end(), [](const End& f) { return f.isTip; });
    return tip == ends.end() ? byEnds(measure, ends) : byTip(measure, ends, *tip);
}

PlacementStep layStep(const BlockPlan& plan, const GroundPlan& ground, std::size_t piece) {
    return {piece, false, guideFor(plan, piece), tucksOf(plan, piece),
            measuresOf(plan.regions[piece], ground)};
}

namespace {
/// As it was, by the positions that the pieces have now.
PlacementStep stepKept(PlacementStep step, const PlanKept& kept) {
    step.piece = kept.isNow[step.piece];
    if (step.guide) step.guide = kept.isNow[*step.guide];
    for (auto& tuck : step.tucks)
        tuck.upper = kept.isNow[tuck.upper];
    return step;
}
} // namespace

std::vector<PlacementStep> placementSteps(const BlockPlan& plan, const GroundPlan& ground,
                                          const BlockPlan* planBefore,
                                          const std::vector<PlacementStep>* before) {
    const bool known = planBefore && before && before->size() == planBefore->regions.size();
    const auto kept = known ? PlanKept(plan, *planBefore) : PlanKept(plan.regions.size());
    std::vector<PlacementStep> out;
    for (std::size_t i = 0; i < plan.regions.size(); ++i) {
        breathe();
        out.push_back(kept.touched[i] ? layStep(plan, ground, i) : stepKept((*before)[kept.was[i]], kept));
    }
    return out;
}

std::vector<PlacementStep> dryLay(const std::vector<PlacementStep>& steps) {
    std::vector<PlacementStep> out;
    std::optional<std::size_t> lying; // as a guide
    for (const auto& step : steps) {
        if (step.measures.empty() && step.tucks.empty()) continue; // there is nothing of it
        if (step.guide && step.guide != lying) {
            PlacementStep guide = steps[*step.guide];
            guide.forAMoment = true, guide.guide.reset(), guide.tucks.clear();
            out.push_back(std::move(guide));
        }
        lying = step.guide;
        out.push_back(step);
    }
    return out;
}

LaidSoFar before(const std::vector<PlacementStep>& dry, std::size_t step, std::size_t pieces) {
    LaidSoFar out{std::vector<bool>(pieces, false), {}};
    for (std::size_t i = 0; i < step && i < dry.size(); ++i)
        if (!dry[i].forAMoment) out.laid[dry[i].piece] = true;
    if (step < dry.size()) out.guide = dry[step].guide;
    return out;
}

} // namespace up::plan
