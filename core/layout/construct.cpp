// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/construct.hpp"

#include "core/base/random.hpp"
#include "core/layout/bitmap.hpp"

#include <algorithm>
#include <cmath>
#include <memory>
#include <numeric>

namespace up::layout {
namespace {

using measure::Angle;
using shape::Region;
using shape::Transform;

/// One part at one turn: its bitmap, grown by half the spacing, and where its origin lies from the bitmap's
/// corner.
struct Turned {
    double rotation;
    Stamp stamp;
    shape::Point corner; ///< of the grown shape's box, in the turned part's own coordinates
};

constexpr double sag = 0.01; ///< mm; the offset's arcs lie up to this far inside the true ones

struct Item {
    std::size_t part;
    int copy;
};

struct Bin {
    std::size_t sheet;
    int index;
    double width, height; ///< with half the spacing on all sides
    Grid grid;
    double used = 0;
};

double partArea(const Part& part) {
    return part.shape.area();
}

class Engine {
public:
    Engine(const NestJob& job, std::uint64_t seed, Care care)
        : m_job(job), m_seed(seed), m_quick(care == Care::quick), m_half(halfSpacing(job)) {
        chooseCell();
        for (std::size_t p = 0; p < job.parts.size(); ++p) {
            prepare(p);
            for (int c = 0; !job.parts[p].fixed && c < job.parts[p].copies; ++c)
                m_items.push_back({p, c});
        }
        std::stable_sort(m_items.begin(), m_items.end(), [&](const Item& a, const Item& b) {
            return partArea(job.parts[a.part]) > partArea(job.parts[b.part]);
        });
    }

    [[nodiscard]] NestLayout round(int number, const up::Job& control, bool mayStop) const;

private:
    void chooseCell();
    void prepare(std::size_t part);
    [[nodiscard]] std::vector<double> turnsOf(const Part& part) const;
    [[nodiscard]] std::vector<Item> orderFor(int number, Random& random) const;
    [[nodiscard]] bool place(const Item& item, std::vector<Bin>& bins, NestLayout& out,
                             double heightWeight) const;
    [[nodiscard]] bool placeIn(const Item& item, Bin& bin, NestLayout& out, double heightWeight) const;
    [[nodiscard]] bool fitsEmpty(std::size_t part) const;
    bool openNext(std::vector<Bin>& bins) const;
    /// What is fixed, on its sheets.
    [[nodiscard]] std::vector<Bin> begun(NestLayout& out) const;

    const NestJob& m_job;
    std::uint64_t m_seed;
    bool m_quick;
    double m_half; ///< half the spacing, and what the offset's arcs may lack
    double m_cell = 1;
    std::vector<Item> m_items;
    std::vector<std::vector<Turned>> m_turned; ///< by part
};

/// Finer for few parts, coarser for many, so that a round stays short.
void Engine::chooseCell() {
    std::size_t count = 0;
    for (const auto& part : m_job.parts)
        count += static_cast<std::size_t>(part.copies);
    m_cell = count <= 40 ? 0.75 : count <= 120 ? 1.25 : count <= 400 ? 1.75 : 2.5;
    if (m_quick) m_cell *= 1.6;
    double widest = 0;
    for (const auto& sheet : m_job.sheets)
        widest = std::max({widest, sheet.width, sheet.height / 8});
    m_cell = std::max(m_cell, widest / 4000);
}

/// Steps of 22.5° plus the turns that lay a long edge of the hull along the sheet.
std::vector<double> Engine::turnsOf(const Part& part) const {
    if (!part.rotations.empty()) return part.rotations;
    std::vector<double> turns;
    const int count = m_quick ? 4 : 16;
    for (int i = 0; i < count; ++i)
        turns.push_back(i * 360.0 / count);
    std::vector<std::pair<double, double>> edges; // length, direction
    for (const auto& ring : part.shape.rings)
        for (std::size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++)
            edges.emplace_back(shape::distance(ring[i], ring[j]),
                               std::atan2(ring[i].y - ring[j].y, ring[i].x - ring[j].x) * 180 /
                                   std::numbers::pi);
    std::sort(edges.rbegin(), edges.rend());
    for (std::size_t i = 0; i < std::min<std::size_t>(m_quick ? 1 : 2, edges.size()); ++i)
        for (const double quarter : {0.0, 90.0, 180.0, 270.0}) {
            const double turn = Angle::ofDegrees(quarter - edges[i].second).normal().degrees();
            if (std::none_of(turns.begin(), turns.end(), [&](double t) { return std::abs(t - turn) < 0.5; }))
                turns.push_back(turn);
        }
    return turns;
}

void Engine::prepare(std::size_t index) {
    const Part& part = m_job.parts[index];
    const Region grown = grownPart(part, m_half);
    std::vector<Turned> all;
    for (const double turn : part.fixed ? std::vector<double>{} : turnsOf(part)) {
        const auto turning = Transform::turn(Angle::ofDegrees(turn));
        const auto box = shape::transformed(part.shape, turning).bounds().grownBy(m_half);
        if (grown.isEmpty()) continue;
        all.push_back({turn, stampOf(shape::transformed(grown, turning), box, m_cell), {box.left, box.top}});
    }
    m_turned.push_back(std::move(all));
}

/// Round 0 is largest first; later rounds disturb that order more or less.
std::vector<Item> Engine::orderFor(int number, Random& random) const {
    auto order = m_items;
    if (number == 0) return order;
    const double unrest = 0.1 + 0.6 * random.unit();
    std::vector<std::pair<double, std::size_t>> keys;
    for (std::size_t i = 0; i < order.size(); ++i)
        keys.emplace_back(partArea(m_job.parts[order[i].part]) * (1 - unrest * random.unit()), i);
    std::sort(keys.begin(), keys.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
    std::vector<Item> out;
    for (const auto& key : keys)
        out.push_back(order[key.second]);
    return out;
}

bool Engine::openNext(std::vector<Bin>& bins) const {
    std::size_t sheet = bins.empty() ? 0 : bins.back().sheet;
    int index = bins.empty() ? 0 : bins.back().index + 1;
    while (sheet < m_job.sheets.size() && index >= m_job.sheets[sheet].count)
        ++sheet, index = 0;
    if (sheet >= m_job.sheets.size()) return false;
    const Sheet& s = m_job.sheets[sheet];
    const double width = s.width + 2 * m_half, height = s.height + 2 * m_half;
    Bin bin{sheet, index, width, height,
            Grid(static_cast<int>(std::ceil(width / m_cell)) + 1,
                 static_cast<int>(std::ceil(height / m_cell)) + 1)};
    if (!s.outline.isEmpty()) {
        bin.grid.blockOutside(shape::transformed(s.outline, Transform::moveBy(m_half, m_half)), m_cell);
    }
    bins.push_back(std::move(bin));
    return true;
}

std::vector<Bin> Engine::begun(NestLayout& out) const {
    std::vector<Bin> bins;
    for (std::size_t p = 0; p < m_job.parts.size(); ++p) {
        const auto& fixed = m_job.parts[p].fixed;
        if (!fixed) continue;
        const auto isThere = [&](const Bin& bin) {
            return bin.sheet == fixed->sheet && bin.index == fixed->sheetIndex;
        };
        auto bin = std::find_if(bins.begin(), bins.end(), isThere);
        while (bin == bins.end() && openNext(bins))
            bin = isThere(bins.back()) ? bins.end() - 1 : bins.end();
        if (bin == bins.end()) continue; // a sheet that is not there: in nobody's way
        const auto where = Transform::moveBy(fixed->x + m_half, fixed->y + m_half) *
                           Transform::turn(Angle::ofDegrees(fixed->rotation));
        const auto grown = shape::transformed(grownPart(m_job.parts[p], m_half), where);
        const auto box = grown.bounds();
        const double left = std::floor(box.left / m_cell), top = std::floor(box.top / m_cell);
        const auto stamp = stampOf(grown, {left * m_cell, top * m_cell, box.right, box.bottom}, m_cell);
        bin->grid.fill(stamp, static_cast<int>(left), static_cast<int>(top));
        const auto bare = shape::transformed(m_job.parts[p].shape, where).bounds();
        bin->used = std::max(bin->used, std::min(bare.bottom, bin->height) - m_half);
        out.placed.push_back({*fixed, p, 0});
    }
    return bins;
}

bool Engine::placeIn(const Item& item, Bin& bin, NestLayout& out, double heightWeight) const {
    const Turned* best = nullptr;
    int bestColumn = 0, bestRow = 0;
    double bestScore = std::numeric_limits<double>::infinity();
    for (const auto& turned : m_turned[item.part]) {
        const int lastColumn = static_cast<int>(std::floor((bin.width - turned.stamp.width) / m_cell + 1e-9));
        int lastRow = static_cast<int>(std::floor((bin.height - turned.stamp.height) / m_cell + 1e-9));
        if (lastColumn < 0 || lastRow < 0) continue;
        const double room = (bestScore - heightWeight * turned.stamp.height) / m_cell;
        if (room < lastRow) lastRow = static_cast<int>(room);
        int column = 0, row = 0;
        if (!bin.grid.firstFit(turned.stamp, 0, lastRow, lastColumn, column, row)) continue;
        const double score = row * m_cell + heightWeight * turned.stamp.height + 1e-6 * column;
        if (score < bestScore) bestScore = score, best = &turned, bestColumn = column, bestRow = row;
    }
    if (!best) return false;
    bin.grid.fill(best->stamp, bestColumn, bestRow);
    const double top = bestRow * m_cell;
    bin.used = std::max(bin.used, top + best->stamp.height - 2 * m_half);
    out.placed.push_back({{bin.sheet, bin.index, best->rotation,
                           bestColumn * m_cell - m_half - best->corner.x, top - m_half - best->corner.y},
                          item.part,
                          item.copy});
    return true;
}

bool Engine::place(const Item& item, std::vector<Bin>& bins, NestLayout& out, double heightWeight) const {
    for (auto& bin : bins)
        if (placeIn(item, bin, out, heightWeight)) return true;
    while (openNext(bins))
        if (placeIn(item, bins.back(), out, heightWeight)) return true;
    return false;
}

bool Engine::fitsEmpty(std::size_t part) const {
    for (const auto& turned : m_turned[part])
        for (const auto& sheet : m_job.sheets)
            if (turned.stamp.width <= sheet.width + 2 * m_half + 1e-9 &&
                turned.stamp.height <= sheet.height + 2 * m_half + 1e-9)
                return true;
    return false;
}

NestLayout Engine::round(int number, const up::Job& control, bool mayStop) const {
    Random random(m_seed * 1'000'003 + static_cast<std::uint64_t>(number));
    const double heightWeight = number == 0 ? 1.0 : random.between(0.4, 1.0);
    NestLayout out;
    auto bins = begun(out);
    for (const Item& item : orderFor(number, random)) {
        if (mayStop && control.stopped()) return {};
        if (!place(item, bins, out, heightWeight))
            out.unplaced.push_back(
                {item.part, item.copy,
                 fitsEmpty(item.part) ? WhyNot::noRoomLeft : WhyNot::largerThanEverySheet});
    }
    while (!bins.empty() && bins.back().used <= 0)
        bins.pop_back();
    out.sheetsUsed =
        static_cast<int>(std::count_if(bins.begin(), bins.end(), [](const Bin& b) { return b.used > 0; }));
    out.usedHeight = bins.empty() ? 0 : bins.back().used;
    if (!bins.empty()) {
        out.lastSheet = bins.back().index + 1;
        for (std::size_t i = 0; i < bins.back().sheet; ++i)
            out.lastSheet += m_job.sheets[i].count;
    }
    return out;
}

} // namespace

double halfSpacing(const NestJob& job) {
    return job.spacing > 0 ? job.spacing / 2 + sag : 0;
}

Region grownPart(const Part& part, double half) {
    return half > 0 ? shape::offset(part.shape, half, sag) : part.shape;
}

Form paddedForm(const Part& part, double half, double rough) {
    if (half > 0) {
        const Region grown = grownPart(part, half);
        return formOf(rough > 0 ? shape::coveringSimplified(grown, rough) : grown);
    }
    constexpr double hair = 0.008;
    const Region less = shape::offset(part.shape, -hair, 0.001);
    return less.isEmpty() ? formOf(part.shape) : formOf(less, part.shape);
}

Constructor constructor(const NestJob& job, std::uint64_t seed, Care care) {
    return [engine = std::make_shared<const Engine>(job, seed, care)](int round, const Job& control,
                                                                      bool mayStop) {
        return engine->round(round, control, mayStop);
    };
}

} // namespace up::layout
