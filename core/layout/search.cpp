// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/search.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>

namespace up::layout {
namespace {

using shape::Point;

constexpr int near = 14, anywhere = 9, corners = 8, inHoles = 8; // places and turns tried
constexpr std::size_t kept = 3;                                  // of them, improved
constexpr int turnsInHole = 4;
constexpr double coarse = 0.02, fine = 0.0008; // where small moves end, of the girth
constexpr int mostMoves = 150;
constexpr double infinite = std::numeric_limits<double>::infinity();

} // namespace

Turn Search::anyTurn(double spread) {
    const auto& turns = m_pieces[m_piece].turns;
    if (!turns.empty()) return turnOf(turns[m_random.below(turns.size())]);
    const double now = m_in.laid(m_piece).turn().degrees;
    return turnOf(spread >= 180 ? m_random.between(0, 360) : now + m_random.between(-spread, spread));
}

double Search::costAt(Place& place, double enough) {
    const auto& bay = m_bays[place.bay];
    m_laid.lay(*m_pieces[m_piece].form, place.turn, place.at);
    const auto& box = m_laid.box();
    if (box.width() > bay.width || box.height() > bay.height) return infinite;
    const double right = std::max(0.0, -box.left) - std::max(0.0, box.right - bay.width),
                 down = std::max(0.0, -box.top) - std::max(0.0, box.bottom - bay.height);
    if (right != 0 || down != 0) {
        place.at = place.at + Point{right, down};
        m_laid.moveTo(place.at);
    }
    return m_in.costOf(m_piece, m_laid, place.bay, m_bays, m_weights, enough);
}

void Search::keep(const Try& found) {
    const auto at = std::upper_bound(m_best.begin(), m_best.end(), found,
                                     [](const Try& a, const Try& b) { return a.cost < b.cost; });
    m_best.insert(at, found);
    if (m_best.size() > kept) m_best.pop_back();
}

void Search::tryAt(Place place) {
    const double enough = m_best.size() < kept ? infinite : m_best.back().cost;
    const double cost = costAt(place, enough);
    if (cost < enough) keep({cost, place});
}

void Search::tryNear() {
    Place place = m_in.place(m_piece);
    const double reach = m_pieces[m_piece].form->diameter * 0.6;
    place.turn = anyTurn(15);
    place.at = place.at + Point{m_random.between(-reach, reach), m_random.between(-reach, reach)};
    tryAt(place);
}

void Search::tryAnywhere() {
    double all = 0;
    for (const auto& bay : m_bays)
        all += bay.width * bay.height;
    double pick = m_random.between(0, all);
    std::size_t bay = 0;
    while (bay + 1 < m_bays.size() && pick > m_bays[bay].width * m_bays[bay].height)
        pick -= m_bays[bay].width * m_bays[bay].height, ++bay;
    const Turn turn = anyTurn(180);
    const auto box = boxOf(*m_pieces[m_piece].form, turn);
    const double across = m_bays[bay].width - box.width(), down = m_bays[bay].height - box.height();
    if (across < 0 || down < 0) return;
    for (int i = 0; i < 2; ++i)
        tryAt({bay, turn, {m_random.unit() * across - box.left, m_random.unit() * down - box.top}});
}

/// A corner of the piece in a corner of another, edge along edge where it may turn; or in one of the bay's.
void Search::tryCorner() {
    const auto& form = *m_pieces[m_piece].form;
    const auto edge = form.edges[m_random.below(form.edges.size())];
    const Point corner = form.points[edge], next = form.points[edge + 1];
    const auto other = m_random.below(m_in.count() + 1);
    Place place = m_in.place(m_piece);
    place.turn = anyTurn(180);
    Point to{};
    if (other < m_in.count() && other != m_piece) {
        const Laid& laid = m_in.laid(other);
        const auto theirs = laid.form().edges[m_random.below(laid.form().edges.size())];
        to = laid.points()[theirs + 1]; // rings run alike, so edges that touch run against each other
        place.bay = m_in.bay(other);
        const Point along = laid.points()[theirs] - to, mine = next - corner;
        if (m_pieces[m_piece].turns.empty()) {
            const double degrees =
                (std::atan2(along.y, along.x) - std::atan2(mine.y, mine.x)) * 57.29577951308232;
            // Rounded, so that the last bit of a library's arc tangent makes no difference.
            place.turn = turnOf(std::nearbyint(degrees * 1e6) / 1e6);
        }
    } else {
        to = {m_random.below(2) ? 1e9 : -1e9, m_random.below(2) ? 1e9 : -1e9}; // held within the bay
    }
    const auto& turn = place.turn;
    place.at =
        to - Point{turn.cos * corner.x - turn.sin * corner.y, turn.sin * corner.x + turn.cos * corner.y};
    tryAt(place);
}

/// A hole that is nearly as wide as the piece's widest part.
void Search::tryHole() {
    const auto& disc = m_pieces[m_piece].form->discs.front();
    const auto first = std::lower_bound(m_holes.begin(), m_holes.end(), disc.radius * 0.7,
                                        [](const Hole& hole, double radius) { return hole.radius < radius; });
    const auto count = static_cast<std::size_t>(m_holes.end() - first);
    if (count == 0) return;
    tryIn(*(first + static_cast<std::ptrdiff_t>(m_random.below(count))));
}

void Search::tryIn(const Hole& hole) {
    const auto& disc = m_pieces[m_piece].form->discs.front();
    const Turn turn = anyTurn(180);
    tryAt({hole.bay, turn,
           hole.at - Point{turn.cos * disc.x - turn.sin * disc.y, turn.sin * disc.x + turn.cos * disc.y}});
}

/// Small moves along random axes, and turns; steps grow with success and shrink without.
void Search::descend(Try& best, double from, double to) {
    const bool turns = m_pieces[m_piece].turns.empty();
    const double perDegree = m_pieces[m_piece].form->diameter / 115; // mm that a degree moves its ends by
    double step = from, swing = from / perDegree;
    const double leastSwing = turns ? to / perDegree : swing;
    constexpr double slant = 0.7071067811865476;
    constexpr std::array<Point, 4> axes{Point{1, 0}, {0, 1}, {slant, slant}, {slant, -slant}};
    for (int i = 0; i < mostMoves && best.cost > 0 && (step > to || swing > leastSwing); ++i) {
        const auto axis = m_random.below(turns ? 6 : 4);
        bool better = false;
        for (const double sign : {1.0, -1.0}) {
            Place place = best.place;
            if (axis < axes.size())
                place.at = place.at + axes[axis] * (sign * step);
            else
                place.turn = turnOf(place.turn.degrees + sign * swing);
            if (const double cost = costAt(place, best.cost); cost < best.cost)
                best = {cost, place}, better = true;
        }
        const double change = better ? 1.1 : 0.5;
        if (axis < axes.size())
            step = std::max(to, step * change);
        else
            swing = std::max(leastSwing, swing * change);
    }
}

void Search::improve(std::size_t piece) {
    m_piece = piece;
    m_best.clear();
    Place now = m_in.place(piece);
    const double cost = costAt(now, infinite);
    const bool held = now.at == m_in.place(piece).at; // within its bay already
    if (cost <= 0 && held) return;
    keep({cost, now});
    for (int i = 0; i < near; ++i)
        tryNear();
    for (int i = 0; i < anywhere; ++i)
        tryAnywhere();
    for (int i = 0; i < corners; ++i)
        tryCorner();
    for (int i = 0; i < inHoles; ++i)
        tryHole();
    const double girth = m_pieces[piece].form->girth;
    for (auto& found : m_best)
        descend(found, girth * 0.25, girth * coarse);
    auto& best = *std::min_element(m_best.begin(), m_best.end(),
                                   [](const Try& a, const Try& b) { return a.cost < b.cost; });
    descend(best, girth * coarse, girth * fine);
    if (best.cost >= cost && held) return;
    m_laid.lay(*m_pieces[piece].form, best.place.turn, best.place.at);
    m_in.put(piece, m_laid, best.place.bay);
}

bool Search::rehome(std::size_t piece, int most) {
    m_piece = piece;
    const auto& disc = m_pieces[piece].form->discs.front();
    const double girth = m_pieces[piece].form->girth;
    auto hole = std::lower_bound(m_holes.begin(), m_holes.end(), disc.radius * 0.95,
                                 [](const Hole& h, double radius) { return h.radius < radius; });
    for (int i = 0; i < most && hole != m_holes.end(); ++i, ++hole) {
        m_best.clear();
        for (int k = 0; k < turnsInHole; ++k)
            tryIn(*hole);
        if (m_best.empty()) continue; // larger than its bay at each of these turns
        auto& best = m_best.front();
        descend(best, girth * 0.25, girth * coarse);
        if (best.cost > 0) continue;
        m_laid.lay(*m_pieces[piece].form, best.place.turn, best.place.at);
        m_in.put(piece, m_laid, best.place.bay);
        return true;
    }
    return false;
}

void Search::settle(std::size_t piece) {
    m_piece = piece;
    const bool turns = m_pieces[piece].turns.empty();
    const double perDegree = m_pieces[piece].form->diameter / 115;
    Place best = m_in.place(piece);
    const double from = m_in.laid(piece).box().bottom;
    double lowest = from;
    struct Way {
        double across, down, swing;
    };
    constexpr std::array<Way, 7> ways{Way{0, -1, 0}, {0.5, -0.8, 0}, {-0.5, -0.8, 0}, {1, -0.2, 0},
                                      {-1, -0.2, 0}, {0, -0.3, 1},   {0, -0.3, -1}};
    for (double step = 8; step > 0.03;) {
        bool better = false;
        for (const auto& way : ways) {
            if (way.swing != 0 && !turns) continue;
            Place place = best;
            place.at = place.at + Point{way.across * step, way.down * step};
            if (way.swing != 0) place.turn = turnOf(place.turn.degrees + way.swing * step / perDegree);
            if (costAt(place, 0) > 0 || m_laid.box().bottom >= lowest - 1e-6) continue;
            best = place, lowest = m_laid.box().bottom, better = true;
            break;
        }
        if (!better) step /= 2;
    }
    if (lowest >= from) return;
    m_laid.lay(*m_pieces[piece].form, best.turn, best.at);
    m_in.put(piece, m_laid, best.bay);
}

} // namespace up::layout
