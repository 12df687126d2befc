// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/strips/cutting.hpp"

#include "core/base/random.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <numbers>
#include <numeric>
#include <optional>

namespace up::strips {
namespace {

constexpr double root = std::numbers::sqrt2;
constexpr double slack = 1e-6; // mm
constexpr std::size_t fewParts = 7;

/// Where the line at `t` enters and leaves the cloth, mm along it.
struct Chord {
    double from = 0, to = 0;
};
Chord chordAt(const Cloth& cloth, double t) {
    const double c = t * root - cloth.high; // x − y, y downwards
    return {std::abs(c) / root, (2 * std::min(cloth.wide, cloth.high + c) - c) / root};
}
double depthOf(const Cloth& cloth) {
    return cloth.straight ? cloth.high : (cloth.wide + cloth.high) / root;
}
/// The part of a band that has square ends.
Chord squareIn(const Cloth& cloth, double at, double wide) {
    if (cloth.straight) return {0, cloth.wide};
    const auto a = chordAt(cloth, at), b = chordAt(cloth, at + wide);
    return {std::max(a.from, b.from), std::min(a.to, b.to)};
}

/// Between these the longest strip changes evenly with where its band begins.
std::vector<double> breaksOf(const Cloth& cloth, double wide) {
    const double most = std::max(0.0, depthOf(cloth) - wide);
    std::vector<double> out{0, most};
    if (cloth.straight) return out;
    for (const double c : {0.0, cloth.wide - cloth.high})
        for (const double shift : {0.0, wide, wide / 2})
            out.push_back((c + cloth.high) / root - shift);
    std::erase_if(out, [&](double t) { return t < 0 || t > most; });
    std::sort(out.begin(), out.end());
    return out;
}

struct Range {
    double from = 0, to = 0;
};
/// Where a band may begin so that a strip so long lies in it; the longest is a concave function of that.
std::optional<Range> rangeFor(const Cloth& cloth, double wide, double length) {
    if (depthOf(cloth) < wide - slack) return {};
    const auto breaks = breaksOf(cloth, wide);
    std::optional<Range> out;
    const auto take = [&](double t) {
        if (!out) out = Range{t, t};
        out->from = std::min(out->from, t), out->to = std::max(out->to, t);
    };
    for (std::size_t i = 0; i < breaks.size(); ++i) {
        const double here = longestIn(cloth, breaks[i], wide);
        if (here >= length - slack) take(breaks[i]);
        if (i == 0) continue;
        const double before = longestIn(cloth, breaks[i - 1], wide);
        if ((before < length) == (here < length)) continue;
        take(breaks[i - 1] + (breaks[i] - breaks[i - 1]) * (length - before) / (here - before));
    }
    return out;
}

/// Of the cloth on the corner's side of the line at `t`, mm².
double areaUpTo(const Cloth& cloth, double t) {
    if (cloth.straight) return cloth.wide * t;
    const double low = std::min(cloth.wide, cloth.high), most = depthOf(cloth);
    const double rise = low / root; // from there on all lines are equally long
    const auto corner = [](double far) { return far * far; };
    if (t <= rise) return corner(t);
    if (t <= most - rise) return corner(rise) + (t - rise) * 2 * rise;
    return cloth.wide * cloth.high - corner(most - t);
}

struct Piece {
    Part part;
    double wide = 0;
};

/// Pieces that lie in one band, one after the other.
struct Row {
    std::vector<std::size_t> pieces;
    double length = 0;
    std::optional<Range> range; ///< where it may begin in its cloth
};

/// What lies where, before it is known how far from the corner: bands by cloth.
using Layout = std::vector<std::vector<Row>>;

class Laying {
public:
    Laying(const std::vector<Cloth>& cloths, const std::vector<Piece>& pieces)
        : m_cloths(cloths), m_pieces(pieces) {}

    /// Where the first band of the cloth begins, and what it takes; nothing: they do not fit.
    struct Fit {
        double at = 0, area = 0;
    };
    [[nodiscard]] std::optional<Fit> fit(std::size_t cloth, const std::vector<Row>& rows) const {
        if (rows.empty()) return Fit{};
        double depth = 0;
        Range range{-std::numeric_limits<double>::infinity(), std::numeric_limits<double>::infinity()};
        for (const auto& row : rows) {
            if (!row.range) return {};
            range.from = std::max(range.from, row.range->from - depth);
            range.to = std::min(range.to, row.range->to - depth);
            if (range.from > range.to + slack) return {};
            depth += wideOf(row);
        }
        // the lines through a rectangle grow, stay and shrink: the least lies at one end
        const auto areaAt = [&](double t) {
            return areaUpTo(m_cloths[cloth], t + depth) - areaUpTo(m_cloths[cloth], t);
        };
        const double from = areaAt(range.from), to = areaAt(range.to);
        return from <= to + slack ? Fit{range.from, from} : Fit{range.to, to};
    }
    [[nodiscard]] std::optional<double> area(const Layout& layout) const {
        double all = 0;
        for (std::size_t i = 0; i < m_cloths.size(); ++i) {
            const auto own = fit(i, layout[i]);
            if (!own) return {};
            all += own->area;
        }
        return all;
    }
    [[nodiscard]] double wideOf(const Row& row) const { return m_pieces[row.pieces.front()].wide; }
    /// Every way to lay one more piece.
    template<class Each> void eachPlace(Layout& layout, std::size_t piece, Each each) const {
        for (std::size_t cloth = 0; cloth < layout.size(); ++cloth) {
            auto& rows = layout[cloth];
            for (std::size_t i = 0; i < rows.size(); ++i) {
                if (std::abs(wideOf(rows[i]) - m_pieces[piece].wide) > slack) continue;
                rows[i].pieces.push_back(piece);
                measure(rows[i], cloth);
                if (rows[i].range) each();
                rows[i].pieces.pop_back();
                measure(rows[i], cloth);
            }
            Row fresh{{piece}, 0, {}};
            measure(fresh, cloth);
            if (!fresh.range) continue;
            for (std::size_t at = 0; at <= rows.size(); ++at) {
                rows.insert(rows.begin() + static_cast<std::ptrdiff_t>(at), fresh);
                each();
                rows.erase(rows.begin() + static_cast<std::ptrdiff_t>(at));
            }
        }
    }

    void takeUp(Layout& layout, std::size_t piece) const {
        for (std::size_t cloth = 0; cloth < layout.size(); ++cloth)
            for (auto& row : layout[cloth])
                if (std::erase(row.pieces, piece) > 0 && !row.pieces.empty()) measure(row, cloth);
        for (auto& rows : layout)
            std::erase_if(rows, [](const Row& row) { return row.pieces.empty(); });
    }
    [[nodiscard]] Layout empty() const { return Layout(m_cloths.size()); }
    [[nodiscard]] std::size_t count() const { return m_pieces.size(); }
    [[nodiscard]] double lengthOf(std::size_t piece) const { return m_pieces[piece].part.length; }

private:
    void measure(Row& row, std::size_t cloth) const {
        row.length = 0;
        for (const auto piece : row.pieces)
            row.length += lengthOf(piece);
        row.range = rangeFor(m_cloths[cloth], wideOf(row), row.length);
    }

    const std::vector<Cloth>& m_cloths;
    const std::vector<Piece>& m_pieces;
};

struct Laid {
    Layout layout;
    double area = std::numeric_limits<double>::infinity();
    std::vector<std::size_t> unlaid;
    double unlaidLength = 0;
    [[nodiscard]] bool isBetterThan(const Laid& other) const {
        if (std::abs(unlaidLength - other.unlaidLength) > slack) return unlaidLength < other.unlaidLength;
        return area < other.area - slack;
    }
};

void tryAll(const Laying& laying, Layout& layout, std::size_t next, Laid& best) {
    if (next == laying.count()) {
        const auto area = laying.area(layout);
        if (area && *area < best.area - slack) best.layout = layout, best.area = *area;
        return;
    }
    laying.eachPlace(layout, next, [&] { tryAll(laying, layout, next + 1, best); });
}

/// Each where it takes least, in that order, among what lies there.
Laid laidInOrder(const Laying& laying, Layout layout, const std::vector<std::size_t>& order) {
    Laid out;
    for (const auto piece : order) {
        std::optional<Layout> least;
        double area = std::numeric_limits<double>::infinity();
        laying.eachPlace(layout, piece, [&] {
            if (const auto own = laying.area(layout); own && *own < area - slack) least = layout, area = *own;
        });
        if (least)
            layout = std::move(*least);
        else
            out.unlaid.push_back(piece), out.unlaidLength += laying.lengthOf(piece);
    }
    out.area = laying.area(layout).value_or(std::numeric_limits<double>::infinity());
    out.layout = std::move(layout);
    return out;
}

/// `anyWay`: the first way that has room for all does.
Laid laid(const Laying& laying, bool anyWay) {
    std::vector<std::size_t> order(laying.count());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_sort(order.begin(), order.end(),
                     [&](auto a, auto b) { return laying.lengthOf(a) > laying.lengthOf(b); });
    auto best = laidInOrder(laying, laying.empty(), order);
    Random random(1);
    const std::size_t rounds = order.empty() ? 0 : 40'000 / (order.size() * order.size()) + 20;
    for (std::size_t round = 0; round < rounds && !(anyWay && best.unlaid.empty()); ++round) {
        auto layout = best.layout;
        auto again = best.unlaid;
        const std::size_t some = 1 + random.below(std::min<std::size_t>(4, order.size()));
        for (std::size_t i = 0; i < some; ++i) {
            const auto piece = order[random.below(order.size())];
            if (std::find(again.begin(), again.end(), piece) == again.end()) again.push_back(piece);
            laying.takeUp(layout, piece);
        }
        random.shuffle(again);
        if (auto other = laidInOrder(laying, std::move(layout), again); other.isBetterThan(best))
            best = std::move(other);
    }
    return best;
}

/// Equal parts of each strip, so many as are said.
std::vector<Piece> partsOf(const std::vector<Cloth>& cloths, const std::vector<Strip>& strips,
                           const std::vector<std::size_t>& parts) {
    std::vector<Piece> out;
    if (cloths.empty()) return out;
    for (std::size_t i = 0; i < strips.size(); ++i) {
        const auto count = static_cast<double>(parts[i]);
        const double each = (strips[i].length + (count - 1) * lostByJoin(cloths.front(), strips[i].wide)) /
                            std::max(count, 1.0);
        for (std::size_t k = 0; k < parts[i]; ++k)
            out.push_back({{i, each}, strips[i].wide});
    }
    return out;
}

/// As few as any of the cloths allows; 0: none does.
std::size_t fewestParts(const std::vector<Cloth>& cloths, const Strip& strip) {
    double most = 0;
    for (const auto& cloth : cloths)
        most = std::max(most, longestOf(cloth, strip.wide));
    if (strip.length <= most + slack) return most > 0 ? 1 : 0;
    if (cloths.empty()) return 0;
    const double lost = lostByJoin(cloths.front(), strip.wide), each = most - lost;
    if (each <= 0) return 0;
    return static_cast<std::size_t>(std::ceil((strip.length - lost) / each - slack));
}

Laid layAll(const Laying& laying, bool& all) {
    all = laying.count() <= fewParts;
    if (!all) return laid(laying, false);
    Laid best;
    auto layout = laying.empty();
    tryAll(laying, layout, 0, best);
    if (std::isfinite(best.area)) return best;
    all = false;
    return laid(laying, false);
}

void tell(Cutting& out, const Laying& laying, const std::vector<Piece>& pieces, const Laid& laid) {
    for (std::size_t i = 0; i < laid.layout.size(); ++i) {
        const auto fit = laying.fit(i, laid.layout[i]);
        double at = fit ? fit->at : 0;
        for (const auto& row : laid.layout[i]) {
            out.bands.push_back({i, at, laying.wideOf(row), {}});
            at += laying.wideOf(row);
            for (const auto piece : row.pieces)
                out.bands.back().parts.push_back(pieces[piece].part);
        }
    }
    out.area = laid.area;
}

} // namespace

double lostByJoin(const Cloth& cloth, double wide) {
    constexpr double seams = 25.4 / 2; // mm
    return cloth.straight ? seams : wide;
}

double longestIn(const Cloth& cloth, double at, double wide) {
    if (at < -slack || at + wide > depthOf(cloth) + slack) return 0;
    const auto chord = squareIn(cloth, at, wide);
    return chord.to - chord.from;
}

double longestOf(const Cloth& cloth, double wide) {
    double most = 0;
    if (depthOf(cloth) >= wide - slack)
        for (const double t : breaksOf(cloth, wide))
            most = std::max(most, longestIn(cloth, t, wide));
    return most;
}

Cutting cutStrips(const std::vector<Cloth>& cloths, const std::vector<Strip>& strips) {
    Cutting out;
    std::vector<std::size_t> parts;
    for (std::size_t i = 0; i < strips.size(); ++i) {
        parts.push_back(fewestParts(cloths, strips[i]));
        if (parts.back() == 0) out.unmet.push_back(i);
    }
    constexpr int mostSplits = 4;
    for (int split = 0;; ++split) {
        const auto pieces = partsOf(cloths, strips, parts);
        const Laying laying(cloths, pieces);
        bool all = false;
        const auto best = layAll(laying, all);
        std::vector<std::size_t> without;
        for (const auto piece : best.unlaid)
            without.push_back(pieces[piece].part.strip);
        std::sort(without.begin(), without.end());
        without.erase(std::unique(without.begin(), without.end()), without.end());
        if (!without.empty() && split < mostSplits) { // shorter ones may find room
            for (const auto strip : without)
                ++parts[strip];
            continue;
        }
        if (!without.empty()) { // not that one: what was laid of it makes room
            for (const auto strip : without)
                parts[strip] = 0, out.unmet.push_back(strip);
            continue;
        }
        for (const auto count : parts)
            out.joins += count > 1 ? count - 1 : 0;
        out.least = all && split == 0 && out.unmet.empty();
        tell(out, laying, pieces, best);
        std::sort(out.unmet.begin(), out.unmet.end());
        return out;
    }
}

double lengthFor(double clothWide, const std::vector<Strip>& strips, double step, bool straight) {
    if (strips.empty()) return 0;
    const auto isEnough = [&](double length, std::size_t joins) {
        const std::vector<Cloth> cloth{{clothWide, length, straight}};
        std::vector<std::size_t> parts;
        std::size_t own = 0;
        for (const auto& strip : strips) {
            parts.push_back(fewestParts(cloth, strip));
            if (parts.back() == 0 || (own += parts.back() - 1) > joins) return false;
        }
        const auto pieces = partsOf(cloth, strips, parts);
        return laid(Laying(cloth, pieces), true).unlaid.empty();
    };
    double enough = clothWide;
    std::size_t joins = 0;
    for (;; enough *= 2) {
        const auto cut = cutStrips({{clothWide, enough, straight}}, strips);
        joins = cut.joins;
        if (cut.unmet.empty()) break;
        if (enough > 64 * clothWide) return 0; // wider than the cloth allows
    }
    auto low = std::size_t{0}, high = static_cast<std::size_t>(std::ceil(enough / step));
    while (high - low > 1) {
        const auto middle = (low + high) / 2;
        (isEnough(static_cast<double>(middle) * step, joins) ? high : low) = middle;
    }
    return static_cast<double>(high) * step;
}

std::vector<shape::Point> cornersOf(const Cloth& cloth, const Band& band, std::size_t part) {
    double from = squareIn(cloth, band.at, band.wide).from;
    for (std::size_t i = 0; i < part; ++i)
        from += band.parts[i].length;
    const double to = from + band.parts[part].length;
    const auto at = [&](double s, double t) {
        if (cloth.straight) return shape::Point{s, t};
        const double c = t * root - cloth.high;
        const double x = (s * root + c) / 2;
        return shape::Point{x, x - c};
    };
    return {at(from, band.at), at(to, band.at), at(to, band.at + band.wide), at(from, band.at + band.wide)};
}

} // namespace up::strips
