// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/pages/pages.hpp"

#include "core/base/spoken.hpp"
#include "core/shape/cutting.hpp"
#include "core/shape/fitting.hpp"
#include "core/shape/halves.hpp"
#include "intake/found/collector.hpp"

#include <algorithm>
#include <cmath>

namespace up::intake {
namespace {

using quilt::Drawing;
using quilt::DrawnShape;
using shape::Box;
using shape::Contour;
using shape::Outline;
using shape::Point;
using shape::Transform;

/// The share of each page: from half of the overlap with its neighbours on.
std::vector<Box> sharesOf(const std::vector<Drawing>& pages, const std::vector<Point>& corners, int columns) {
    std::vector<Box> out;
    for (std::size_t i = 0; i < pages.size(); ++i)
        out.push_back(
            {corners[i].x, corners[i].y, corners[i].x + pages[i].width, corners[i].y + pages[i].height});
    const auto whole = out;
    const auto across = static_cast<std::size_t>(columns);
    for (std::size_t i = 0; i < pages.size(); ++i) {
        if ((i + 1) % across != 0 && i + 1 < pages.size()) {
            const double x = (whole[i].right + whole[i + 1].left) / 2;
            out[i].right = x, out[i + 1].left = x;
        }
        if (i + across < pages.size()) {
            const double y = (whole[i].bottom + whole[i + across].top) / 2;
            out[i].bottom = y, out[i + across].top = y;
        }
    }
    return out;
}

/// What of the outline lies in the box; curves kept.
std::vector<Outline> within(const Outline& outline, const Box& box) {
    std::vector<Outline> out{outline};
    // Each side so that the box lies to the right of it on the page.
    const std::pair<Point, Point> sides[] = {{{box.left, box.top}, {box.right, box.top}},
                                             {{box.right, box.top}, {box.right, box.bottom}},
                                             {{box.right, box.bottom}, {box.left, box.bottom}},
                                             {{box.left, box.bottom}, {box.left, box.top}}};
    const Box hold = box.grownBy(1e-6);
    for (const auto& [a, b] : sides) {
        std::vector<Outline> kept;
        for (const auto& part : out) {
            const auto own = boundsOf(part);
            if (hold.holds({own.left, own.top}) && hold.holds({own.right, own.bottom})) {
                kept.push_back(part);
                continue;
            }
            for (auto& inside : shape::cutBy(part, a, b).right)
                kept.push_back(std::move(inside));
        }
        out = std::move(kept);
    }
    return out;
}

/// Both parts as one where they lie against the line a–b with stretches that match.
std::optional<Outline> together(const Outline& one, const Outline& two, Point a, Point b) {
    constexpr double onLine = 0.1; // mm
    const auto left = shape::straightsOn(one, a, b, onLine), right = shape::straightsOn(two, a, b, onLine);
    const auto meet = [&](const shape::Straight& s, const shape::Straight& t) {
        return distance(s.from, t.to) <= linesMeet && distance(s.to, t.from) <= linesMeet;
    };
    bool touching = false;
    for (const auto& s : left)
        touching =
            touching || std::any_of(right.begin(), right.end(), [&](const auto& t) { return meet(s, t); });
    if (!touching) return std::nullopt;
    if (left.size() == 1 && right.size() == 1) return joined(one, left[0], two, right[0]);
    // They meet in several places: as areas, grown a little so that no hair is left between them.
    constexpr double hair = 0.05;
    const auto grown = shape::unite(offset(shape::regionOf(one), hair), offset(shape::regionOf(two), hair));
    const auto islands = shape::outlinesOf(offset(grown, -hair));
    return islands.size() == 1 ? std::optional(fitted(islands.front(), hair)) : std::nullopt;
}

/// Puts two parts of one shape together that meet on the line between two pages, if there are such.
bool mendOne(std::vector<DrawnShape>& parts, Point a, Point b) {
    for (std::size_t i = 0; i < parts.size(); ++i)
        for (std::size_t j = i + 1; j < parts.size(); ++j) {
            if (!(parts[i].fill == parts[j].fill) || parts[i].origin != parts[j].origin) continue;
            auto whole = together(parts[i].outline, parts[j].outline, a, b);
            if (!whole) continue;
            parts[i].outline = std::move(*whole);
            parts.erase(parts.begin() + static_cast<std::ptrdiff_t>(j));
            return true;
        }
    return false;
}

/// Along every line between two pages.
void mend(std::vector<DrawnShape>& parts, const std::vector<Box>& shares, std::size_t columns) {
    constexpr double far = 1e4; // mm
    for (std::size_t i = 0; i < shares.size(); ++i) {
        const double x = shares[i].right, y = shares[i].bottom;
        if ((i + 1) % columns != 0 && i + 1 < shares.size())
            while (mendOne(parts, {x, -far}, {x, far})) {
            }
        if (i + columns < shares.size())
            while (mendOne(parts, {-far, y}, {far, y})) {
            }
    }
}

/// What each page gives, on the whole pattern.
std::vector<DrawnShape> partsOf(const std::vector<Drawing>& pages, const std::vector<Point>& corners,
                                const std::vector<Box>& shares) {
    std::vector<DrawnShape> out;
    for (std::size_t i = 0; i < pages.size(); ++i) {
        const auto move = Transform::moveBy(corners[i].x, corners[i].y);
        for (const auto& drawn : pages[i].shapes)
            for (auto& outline : within(transformed(drawn.outline, move), shares[i])) {
                DrawnShape part{};
                part.name = drawn.name, part.fill = drawn.fill, part.origin = drawn.origin;
                part.outline = std::move(outline);
                out.push_back(std::move(part));
            }
    }
    return out;
}

Painted paintedShape(const DrawnShape& drawn, const Transform& move) {
    Painted out;
    out.name = drawn.name;
    out.contours = {transformed(drawn.outline.edge, move)};
    for (const auto& hole : drawn.outline.holes)
        out.contours.push_back(transformed(hole, move));
    out.rule = shape::Fill::evenOdd;
    if (drawn.origin == quilt::Origin::outline)
        out.pen = drawn.fill, out.penWidth = drawn.pen > 0 ? drawn.pen : 0.3;
    else
        out.fill = drawn.fill;
    return out;
}

Painted paintedLine(const Contour& line, bool dotted, const Transform& move,
                    const std::shared_ptr<const Clip>& clip) {
    Painted out;
    out.contours = {transformed(line, move)};
    out.contours.front().closed = false;
    out.pen = Colour{};
    out.penWidth = 0.3;
    out.dashed = dotted;
    out.clip = clip;
    return out;
}

/// All its open lines, so far as they lie in its share.
void addLines(Collector& to, const Drawing& page, const Transform& move,
              const std::shared_ptr<const Clip>& clip) {
    for (const auto& drawn : page.shapes) {
        for (const auto& mark : drawn.marks)
            to.add(paintedLine(mark, false, move, clip));
        for (const auto& dotted : drawn.dotted)
            to.add(paintedLine(dotted, true, move, clip));
    }
    for (const auto& loose : page.loose)
        to.add(paintedLine(loose.line, loose.dotted, move, clip));
}

/// What was said of the pages, each thing once, but for what joining settles.
void carryOver(Drawing& out, const std::vector<Drawing>& pages) {
    using quilt::Remark;
    int seen = 0, mirrored = 0;
    for (const auto& page : pages) {
        seen += page.letters == quilt::Reading::asSeen ? 1 : 0;
        mirrored += page.letters == quilt::Reading::mirrored ? 1 : 0;
        for (const auto& warning : page.warnings)
            if (warning.remark != Remark::openLinesLeftOut && warning.remark != Remark::beyondPage &&
                warning.remark != Remark::penLines && warning.remark != Remark::linesAreMarks &&
                std::find(out.warnings.begin(), out.warnings.end(), warning) == out.warnings.end())
                out.warnings.push_back(warning);
    }
    if (seen != mirrored) out.letters = seen > mirrored ? quilt::Reading::asSeen : quilt::Reading::mirrored;
}

/// A point of an edge or line, and the unit vector along it there.
struct Dot {
    Point at, way;
};

/// Points of a page's edges and lines, about 1.5 mm apart; not of the cuts along its own border.
std::vector<Dot> dotsOf(const Drawing& page, const Box& near) {
    constexpr double apart = 1.5, border = 0.3; // mm
    std::vector<Dot> out;
    const Box within = Box{0, 0, page.width, page.height}.grownBy(-border);
    const auto take = [&](const shape::Polyline& line) {
        const double length = shape::lengthOf(line);
        for (double along = 0; along < length; along += apart) {
            const Point p = shape::pointAlong(line, along);
            const Point way = shape::pointAlong(line, along + 0.1) - shape::pointAlong(line, along - 0.1);
            const double size = std::hypot(way.x, way.y);
            if (near.holds(p) && within.holds(p) && size > 1e-9) out.push_back({p, way * (1 / size)});
        }
    };
    const auto contour = [&](const Contour& line) {
        auto points = flattened(line, 0.02);
        if (line.closed && !points.empty()) points.push_back(points.front());
        if (points.size() > 1) take(points);
    };
    for (const auto& drawn : page.shapes) {
        contour(drawn.outline.edge);
        for (const auto& hole : drawn.outline.holes)
            contour(hole);
    }
    for (const auto& loose : page.loose)
        contour(loose.line);
    return out;
}

} // namespace

std::vector<Point> cornersOf(const std::vector<Drawing>& pages, const PageGrid& grid) {
    std::vector<Point> out;
    const auto columns = static_cast<std::size_t>(std::max(grid.columns, 1));
    double y = 0;
    for (std::size_t row = 0; row * columns < pages.size(); ++row) {
        double x = 0, high = 0;
        for (auto i = row * columns; i < std::min(pages.size(), (row + 1) * columns); ++i) {
            const auto moved = i < grid.moved.size() ? grid.moved[i] : Point{};
            out.push_back(Point{x, y} + moved);
            x += pages[i].width - grid.across;
            high = std::max(high, pages[i].height - grid.down);
        }
        y += high;
    }
    return out;
}

Result<Drawing> joinPages(const std::vector<Drawing>& singles, const PageGrid& given) {
    std::vector<Drawing> pages; // which lines lie over filled shapes is asked again of the whole
    std::transform(singles.begin(), singles.end(), std::back_inserter(pages), quilt::withLinesAsPieces);
    PageGrid grid = given;
    grid.columns = std::clamp(grid.columns, 1, std::max(1, static_cast<int>(pages.size())));
    const auto corners = cornersOf(pages, grid);
    const auto shares = sharesOf(pages, corners, grid.columns);
    Box all;
    for (const auto& share : shares)
        all.take(share);
    auto parts = partsOf(pages, corners, shares);
    mend(parts, shares, static_cast<std::size_t>(grid.columns));
    Options options;
    options.endsMeet = linesMeet;
    Collector collector(options);
    const auto home = Transform::moveBy(-all.left, -all.top);
    collector.setPage(all.width(), all.height());
    for (const auto& part : parts)
        collector.add(paintedShape(part, home));
    for (std::size_t i = 0; i < pages.size(); ++i) {
        auto clip = std::make_shared<Clip>();
        clip->region = transformed(shape::rectangle(shares[i]), home);
        addLines(collector, pages[i], home * Transform::moveBy(corners[i].x, corners[i].y), clip);
    }
    auto out = collector.finish();
    if (!out)
        return failure(Code::tooLarge, {spoken("what the pages make together"),
                                        spoken("{0} shapes", {std::to_string(mostShapes)})});
    if (out->shapes.empty()) return failure(Code::emptyDrawing, {""});
    carryOver(*out, pages);
    return std::move(*out);
}

namespace {

/// Where moves of a page gather votes, in steps of half a millimetre.
class Votes {
public:
    explicit Votes(double reach)
        : m_half(static_cast<int>(std::ceil(reach / step))), m_side(2 * m_half + 1),
          m_counts(static_cast<std::size_t>(m_side) * static_cast<std::size_t>(m_side)) {}

    void take(Point move) {
        const int x = static_cast<int>(std::lround(move.x / step)),
                  y = static_cast<int>(std::lround(move.y / step));
        if (std::abs(x) <= m_half && std::abs(y) <= m_half) ++m_counts[index(x + m_half, y + m_half)];
    }
    struct Best {
        Point move; ///< the mean of those with most votes
        int votes = 0, tied = 0;
    };
    /// Neighbours count together: points lie anywhere on their lines.
    [[nodiscard]] Best best() const {
        Best out{};
        Point sum{};
        for (int y = 0; y < m_side; ++y)
            for (int x = 0; x < m_side; ++x) {
                const int now = around(x, y);
                if (now > out.votes) out.votes = now, out.tied = 0, sum = {};
                if (now == out.votes) sum = sum + Point{(x - m_half) * step, (y - m_half) * step}, ++out.tied;
            }
        out.move = sum * (1.0 / std::max(out.tied, 1));
        return out;
    }

private:
    static constexpr double step = 0.5; // mm
    [[nodiscard]] std::size_t index(int x, int y) const { return static_cast<std::size_t>(y * m_side + x); }
    [[nodiscard]] int around(int x, int y) const {
        int sum = 0;
        for (int j = std::max(0, y - 1); j <= std::min(m_side - 1, y + 1); ++j)
            for (int i = std::max(0, x - 1); i <= std::min(m_side - 1, x + 1); ++i)
                sum += m_counts[index(i, j)];
        return sum;
    }
    int m_half, m_side;
    std::vector<int> m_counts;
};

} // namespace

namespace {

bool isAlike(const Dot& a, const Dot& b) {
    return std::abs(a.way.x * b.way.x + a.way.y * b.way.y) > 0.95;
}

/// The move made finer: each point to the line through the nearest one of its direction, by least squares.
/// Source: Chen & Medioni, "Object modelling by registration of multiple range images", 1992.
Point refined(const std::vector<Dot>& mine, const std::vector<Dot>& theirs, Point move) {
    constexpr int rounds = 12;
    double reach = 2.5; // mm, less each round
    for (int round = 0; round < rounds; ++round, reach = std::max(0.8, reach * 0.85)) {
        double xx = 0, xy = 0, yy = 0, x = 0, y = 0;
        for (const Dot& dot : theirs) {
            const Dot moved{dot.at + move, dot.way};
            const Dot* nearest = nullptr;
            double least = reach;
            for (const Dot& own : mine)
                if (const double d = distance(own.at, moved.at); d < least && isAlike(own, moved))
                    least = d, nearest = &own;
            if (!nearest) continue;
            const Point normal{-nearest->way.y, nearest->way.x}, off = nearest->at - moved.at;
            const double away = normal.x * off.x + normal.y * off.y;
            xx += normal.x * normal.x, xy += normal.x * normal.y, yy += normal.y * normal.y;
            x += normal.x * away, y += normal.y * away;
        }
        const double det = xx * yy - xy * xy;
        if (det < 1e-3 * (xx + yy) * (xx + yy)) break; // lines of one direction only: the vote stands
        move = move + Point{(x * yy - y * xy) / det, (y * xx - x * xy) / det};
    }
    return move;
}

} // namespace

std::optional<Point> matchPages(const Drawing& page, const Drawing& other, Point at, double reach) {
    // Only what may come to lie on the other page.
    auto mine = dotsOf(page, Box{at.x, at.y, at.x + other.width, at.y + other.height}.grownBy(reach));
    const Box own = Box{0, 0, page.width, page.height}.grownBy(reach);
    const auto theirs = dotsOf(other, {own.left - at.x, own.top - at.y, own.right - at.x, own.bottom - at.y});
    std::sort(mine.begin(), mine.end(), [](const Dot& a, const Dot& b) { return a.at.x < b.at.x; });
    Votes votes(reach);
    for (const Dot& dot : theirs) {
        const Dot moved{dot.at + at, dot.way};
        auto next = std::lower_bound(mine.begin(), mine.end(), moved.at.x - reach,
                                     [](const Dot& a, double x) { return a.at.x < x; });
        for (; next != mine.end() && next->at.x <= moved.at.x + reach; ++next)
            if (isAlike(*next, moved)) votes.take(next->at - moved.at);
    }
    const auto best = votes.best();
    // A quarter of the points must agree, and not along a whole line of moves.
    const auto enough = static_cast<int>(std::max<std::size_t>(8, std::min(mine.size(), theirs.size()) / 4));
    constexpr int mostTied = 40;
    if (best.votes < enough || best.tied > mostTied) return std::nullopt;
    return refined(mine, theirs, at + best.move) - at;
}

} // namespace up::intake
