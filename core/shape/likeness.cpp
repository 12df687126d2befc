// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/shape/likeness.hpp"

#include "core/base/job.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <complex>
#include <limits>
#include <numbers>

namespace up::shape {
namespace {

using Complex = std::complex<double>;
constexpr std::size_t samples = 160;
constexpr double largest = 25.4 / 32; // mm
constexpr double share = 0.025;       // of the reach, on small pieces
constexpr std::size_t tried = 6;      // candidates proved
constexpr std::size_t nearby = 5;     // points to either side among which the nearest edge is looked for
constexpr double pi = std::numbers::pi;

struct Sampled {
    std::vector<Point> points;
    std::vector<std::size_t> segment;
};

Sampled evenly(const Ring& ring, std::size_t count) {
    Sampled out;
    const double step = perimeter(ring) / static_cast<double>(count);
    double left = 0; // to the next sample
    for (std::size_t i = 0; i < ring.size(); ++i) {
        const Point a = ring[i], b = ring[(i + 1) % ring.size()];
        const double length = distance(a, b);
        for (; left < length && out.points.size() < count; left += step) {
            out.points.push_back(a + (b - a) * (left / length));
            out.segment.push_back(i);
        }
        left -= length;
    }
    while (out.points.size() < count)
        out.points.push_back(ring.front()), out.segment.push_back(0);
    return out;
}

Point centreOf(const Region& region) {
    double area = 0;
    Point sum;
    const Point origin = region.rings.front().front();
    for (const auto& ring : region.rings)
        for (std::size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++) {
            const double wedge = cross(origin, ring[j], ring[i]);
            area += wedge;
            sum = sum + ((ring[j] - origin) + (ring[i] - origin)) * (wedge / 3);
        }
    return origin + sum * (1 / area);
}

/// One way of laying `a` on `b`: which point comes on which, turned by how much, how well.
struct Candidate {
    std::size_t shift;
    double turn;
    double error; ///< mean square distance of the points, mm²
};

/// For every starting point the turn that fits best: the angle of Σ b·conj(a), and what then is left over.
/// Source: Horn, "Closed-form solution of absolute orientation", 1987, in the plane.
std::vector<Candidate> candidates(const std::vector<Complex>& a, const std::vector<Complex>& b) {
    breathe();
    const std::size_t n = a.size();
    double squares = 0;
    for (std::size_t i = 0; i < n; ++i)
        squares += std::norm(a[i]) + std::norm(b[i]);
    // Shifts are taken several at a time: their sums don't wait for each other.
    constexpr std::size_t together = 8;
    std::vector<double> bs, bt; // x and y of b, going round again at the end
    for (std::size_t i = 0; i < 2 * n + together; ++i)
        bs.push_back(b[i % n].real()), bt.push_back(b[i % n].imag());
    std::vector<Candidate> all(n);
    for (std::size_t first = 0; first < n; first += together) {
        std::array<double, together> along{}, across{};
        for (std::size_t i = 0; i < n; ++i) {
            const double ax = a[i].real(), ay = a[i].imag();
            const double *bx = &bs[i + first], *by = &bt[i + first];
            for (std::size_t k = 0; k < together; ++k) {
                along[k] += bx[k] * ax + by[k] * ay;
                across[k] += by[k] * ax - bx[k] * ay;
            }
        }
        for (std::size_t k = 0; k < together && first + k < n; ++k)
            all[first + k] = {first + k, std::atan2(across[k], along[k]),
                              (squares - 2 * std::sqrt(along[k] * along[k] + across[k] * across[k])) /
                                  static_cast<double>(n)};
    }
    std::vector<Candidate> best; // local minima
    for (std::size_t i = 0; i < n; ++i)
        if (all[i].error <= all[(i + 1) % n].error && all[i].error <= all[(i + n - 1) % n].error)
            best.push_back(all[i]);
    std::sort(best.begin(), best.end(), [](const auto& x, const auto& y) { return x.error < y.error; });
    if (best.size() > tried) best.resize(tried);
    return best;
}

std::vector<Complex> edgeOf(const Profile& profile) {
    std::vector<Complex> out;
    for (const Point p : profile.edge())
        out.emplace_back(p.x, p.y);
    return out;
}

/// The edge of the mirror image (left for right), in the same direction round.
std::vector<Complex> mirroredEdgeOf(const Profile& profile) {
    std::vector<Complex> out;
    for (std::size_t i = profile.edge().size(); i-- > 0;)
        out.emplace_back(-profile.edge()[i].x, profile.edge()[i].y);
    return out;
}

double squareTo(Point p, Point a, Point b) {
    const Point edge = b - a, to = p - a;
    const double square = edge.x * edge.x + edge.y * edge.y;
    const double along = square > 0 ? std::clamp((to.x * edge.x + to.y * edge.y) / square, 0.0, 1.0) : 0;
    const Point away = to - edge * along;
    return away.x * away.x + away.y * away.y;
}

/// From a point to that stretch of the outer edge which begins `nearby` points before point `at` and ends as
/// many after it.
double distanceNear(const Profile& profile, std::size_t at, Point p) {
    const std::size_t n = profile.edge().size(), size = profile.outer().size();
    const std::size_t last = profile.segmentOf((at + nearby) % n);
    double best = std::numeric_limits<double>::infinity();
    for (std::size_t k = profile.segmentOf((at + n - nearby) % n);; k = k + 1 < size ? k + 1 : 0) {
        best = std::min(best, squareTo(p, profile.outer()[k], profile.outer()[k + 1 < size ? k + 1 : 0]));
        if (k == last) return std::sqrt(best);
    }
}

Transform turned(double radians) {
    return {std::cos(radians), std::sin(radians), -std::sin(radians), std::cos(radians), 0, 0};
}

Transform laying(const Profile& a, const Profile& b, bool mirrored, double turn) {
    return Transform::moveBy(b.centre().x, b.centre().y) * turned(turn) *
           Transform::scale(mirrored ? -1 : 1, 1) * Transform::moveBy(-a.centre().x, -a.centre().y);
}

/// How far the points of `a`, laid on `b`, are from the edge of `b` where they are farthest, and the other
/// way round; past `enough` it is not looked into further.
double apart(const Profile& a, const Profile& b, bool mirrored, std::size_t shift, double turn,
             double enough) {
    const auto there = laying(a, b, mirrored, turn), back = laying(b, a, mirrored, mirrored ? turn : -turn);
    const std::size_t n = a.edge().size();
    double worst = 0;
    for (std::size_t i = 0; i < n && worst <= enough; ++i) {
        const std::size_t of = mirrored ? n - 1 - i : i, on = (i + shift) % n;
        worst = std::max(worst, distanceNear(b, on, there(a.edge()[of] + a.centre())));
        if (&a != &b || !mirrored)
            worst = std::max(worst, distanceNear(a, of, back(b.edge()[on] + b.centre())));
    }
    return worst;
}

/// The holes of `a`, laid on `b`, against the holes of `b`.
double holesApart(const Profile& a, const Profile& b, bool mirrored, double turn) {
    const auto map = laying(a, b, mirrored, turn);
    double worst = 0;
    for (const auto& hole : a.region().rings) {
        if (signedArea(hole) > 0) continue;
        for (const Point p : evenly(hole, 32).points) {
            double nearest = std::numeric_limits<double>::infinity();
            for (const auto& other : b.region().rings)
                if (signedArea(other) < 0) nearest = std::min(nearest, shape::distanceTo(other, map(p)));
            worst = std::max(worst, nearest);
        }
    }
    return worst;
}

struct Laid {
    double worst, turn;
};

/// The turn near the candidate's at which the edges are least apart, by halving steps.
Laid refined(const Profile& a, const Profile& b, bool mirrored, const Candidate& from, double tolerance) {
    const double hopeless = tolerance * 3 + b.step();
    Laid best{apart(a, b, mirrored, from.shift, from.turn, hopeless), from.turn};
    if (best.worst > hopeless) return best;
    const double reach = std::max(a.reach(), 1e-6);
    for (double by = std::max(tolerance, b.step()) / reach; by * reach > tolerance / 30; by /= 2) {
        if (best.worst - 2 * by * reach > tolerance)
            return best; // all turns left bring the edges no nearer than that
        for (const double turn : {best.turn - by, best.turn + by})
            if (const double worst = apart(a, b, mirrored, from.shift, turn, best.worst); worst < best.worst)
                best = {worst, turn};
    }
    if (best.worst <= tolerance) best.worst = std::max(best.worst, holesApart(a, b, mirrored, best.turn));
    return best;
}

/// Points are matched to the nearest of them only, so even a perfect match leaves some error.
double mostError(const Profile& profile, double tolerance) {
    return tolerance * tolerance * 4 + profile.step() * profile.step();
}

/// How upright an axis is: 0 for upright, 1 for lying.
double lying(double direction) {
    return std::abs(std::cos(direction));
}

/// Whether every point of each lies, by its distance from the centre, on the edge of the other near where it
/// comes to lie when point 0 comes to lie on point `shift`: turning changes none of these.
bool mayLie(const Profile& a, const Profile& b, bool mirrored, std::size_t shift, double tolerance) {
    const std::size_t n = a.bands().size();
    constexpr std::size_t stride =
        37; // no divisor of the number of points: neighbours agree more often than others
    const auto on = [&](const Profile::Band& edge, const Profile::Band& point) {
        return point.own >= edge.low - tolerance && point.own <= edge.high + tolerance;
    };
    for (std::size_t k = 0, i = 0; k < n; ++k, i = (i + stride) % n) {
        const auto &of = a.bands()[mirrored ? n - 1 - i : i], &to = b.bands()[(i + shift) % n];
        if (!on(to, of) || !on(of, to)) return false;
    }
    return true;
}

/// Whether that can be of any two that are laid on each other, whichever point comes on which: when each of
/// one list lies between its two in others, the first of that list lies between the first ones, and so on.
bool mayLieSomehow(const Profile& a, const Profile& b, double tolerance) {
    for (std::size_t i = 0; i < a.sortedBands().size(); ++i) {
        const auto &x = a.sortedBands()[i], &y = b.sortedBands()[i];
        if (x.own < y.low - tolerance || x.own > y.high + tolerance || y.own < x.low - tolerance ||
            y.own > x.high + tolerance)
            return false;
    }
    return true;
}

std::optional<Match> matchOneWay(const Profile& a, const Profile& b, bool mirrored, double tolerance) {
    breathe();
    std::vector<bool> may(b.bands().size());
    for (std::size_t shift = 0; shift < may.size(); ++shift)
        may[shift] = mayLie(a, b, mirrored, shift, tolerance);
    if (std::find(may.begin(), may.end(), true) == may.end()) return std::nullopt;
    std::optional<Match> best;
    for (const auto& candidate : candidates(mirrored ? mirroredEdgeOf(a) : edgeOf(a), edgeOf(b))) {
        if (candidate.error > mostError(b, tolerance)) break;
        if (!may[candidate.shift]) continue;
        const auto laid = refined(a, b, mirrored, candidate, tolerance);
        if (laid.worst <= tolerance && (!best || laid.worst < best->worst))
            best = Match{mirrored, std::remainder(laid.turn, 2 * pi), laid.worst};
    }
    return best;
}

} // namespace

Profile::Profile(const Region& region) : m_region(region) {
    if (region.isEmpty()) return;
    m_area = region.area();
    m_centre = centreOf(region);
    m_outer = *std::max_element(region.rings.begin(), region.rings.end(),
                                [](const auto& a, const auto& b) { return signedArea(a) < signedArea(b); });
    m_step = perimeter(m_outer) / static_cast<double>(samples);
    auto sampled = evenly(m_outer, samples);
    m_edge = std::move(sampled.points);
    m_segment = std::move(sampled.segment);
    for (auto& p : m_edge) {
        p = p - m_centre;
        m_radii.push_back(std::sqrt(p.x * p.x + p.y * p.y));
    }
    m_bands = bandsOf();
    m_sorted = m_bands;
    for (double Band::*of : {&Band::own, &Band::low, &Band::high}) {
        std::vector<double> values;
        for (const auto& band : m_bands)
            values.push_back(band.*of);
        std::sort(values.begin(), values.end());
        for (std::size_t i = 0; i < values.size(); ++i)
            m_sorted[i].*of = values[i];
    }
    std::sort(m_radii.begin(), m_radii.end());
    for (const Point p : m_outer)
        m_reach = std::max(m_reach, distance(p, m_centre));
}

std::vector<Profile::Band> Profile::bandsOf() const {
    const std::size_t n = m_edge.size(), size = m_outer.size();
    std::vector<Band> segments(size); // how near and how far each edge of the outline comes
    for (std::size_t k = 0; k < size; ++k) {
        const Point from = m_outer[k], to = m_outer[(k + 1) % size];
        segments[k].low = std::sqrt(squareTo(m_centre, from, to));
        segments[k].high = std::max(distance(from, m_centre), distance(to, m_centre));
    }
    std::vector<Band> out(n);
    for (std::size_t i = 0; i < n; ++i) {
        auto& band = out[i];
        band = {m_radii[i], std::numeric_limits<double>::infinity(), 0};
        const std::size_t last = m_segment[(i + nearby) % n];
        for (std::size_t k = m_segment[(i + n - nearby) % n];; k = k + 1 < size ? k + 1 : 0) {
            band.low = std::min(band.low, segments[k].low), band.high = std::max(band.high, segments[k].high);
            if (k == last) break;
        }
    }
    return out;
}

double likenessTolerance(const Profile& profile) {
    return std::min(largest, profile.reach() * 2 * share);
}

std::optional<Axis> mirrorAxis(const Profile& profile, double tolerance) {
    breathe();
    if (profile.isEmpty()) return std::nullopt;
    std::optional<Axis> best;
    for (const auto& candidate : candidates(mirroredEdgeOf(profile), edgeOf(profile))) {
        if (candidate.error > mostError(profile, tolerance)) break;
        const auto laid = refined(profile, profile, true, candidate, tolerance);
        if (laid.worst > tolerance) continue;
        // Mirrored across the upright and turned by t: mirrored about the line at (π + t)/2.
        double direction = std::fmod((pi + laid.turn) / 2, pi);
        if (direction < 0) direction += pi;
        const Axis axis{profile.centre(), direction, laid.worst};
        const double closeEnough = tolerance / 4; // between axes that are as good, the upright one
        if (!best || axis.worst < best->worst - closeEnough ||
            (axis.worst < best->worst + closeEnough && lying(direction) < lying(best->direction) - 0.01))
            best = axis;
    }
    return best;
}

namespace {
/// Points that come to lie on each other are as far from the centre: so are the sorted distances, but for
/// where the points happen to be taken.
bool radiiAgree(const Profile& a, const Profile& b, double tolerance) {
    double squares = 0;
    for (std::size_t i = 0; i < a.radii().size(); ++i) {
        const double off = a.radii()[i] - b.radii()[i];
        squares += off * off;
    }
    const double allowed = tolerance + b.step() / 10;
    return squares <= allowed * allowed * static_cast<double>(a.radii().size());
}
} // namespace

std::optional<Match> match(const Profile& a, const Profile& b, double tolerance) {
    if (a.isEmpty() || b.isEmpty()) return std::nullopt;
    const double around = perimeter(a.outer());
    if (std::abs(a.area() - b.area()) > tolerance * around) return std::nullopt;
    if (std::abs(a.reach() - b.reach()) > tolerance * 2) return std::nullopt;
    if (a.region().rings.size() != b.region().rings.size() || !radiiAgree(a, b, tolerance))
        return std::nullopt;
    if (!mayLieSomehow(a, b, tolerance)) return std::nullopt;
    if (auto same = matchOneWay(a, b, false, tolerance)) return same;
    return matchOneWay(a, b, true, tolerance);
}

} // namespace up::shape
