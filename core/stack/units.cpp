// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/units.hpp"

#include <algorithm>
#include <map>
#include <set>

namespace up::stack {
namespace {

using shape::Region;

constexpr std::size_t leastPetals = 3;
constexpr double leastTuck = 0.04; // of a petal lies beneath the hub
constexpr double mostTuck = 0.6;

/// Who lies directly on whom, both ways.
struct Links {
    explicit Links(const Stack& stack) : uppers(stack.step.size()), lowers(stack.step.size()) {
        for (const auto& o : stack.overlaps)
            uppers[o.lower].push_back(o.upper), lowers[o.upper].push_back(o.lower),
                shared[{o.lower, o.upper}] = o.area;
    }
    /// At most so much of the piece lies on those.
    [[nodiscard]] double most(std::size_t piece, const std::vector<std::size_t>& on) const {
        double area = 0;
        for (const std::size_t lower : on)
            if (const auto pair = shared.find({lower, piece}); pair != shared.end()) area += pair->second;
        return area;
    }
    std::map<std::pair<std::size_t, std::size_t>, double> shared; ///< by lower and upper, mm²
    std::vector<std::vector<std::size_t>> uppers, lowers;
};

std::set<std::size_t> reached(const std::vector<std::size_t>& from,
                              const std::vector<std::vector<std::size_t>>& links) {
    std::set<std::size_t> out;
    std::vector<std::size_t> next = from;
    while (!next.empty()) {
        const std::size_t at = next.back();
        next.pop_back();
        for (const std::size_t there : links[at])
            if (out.insert(there).second) next.push_back(there);
    }
    return out;
}

std::optional<std::size_t> between(const std::vector<std::size_t>& unit, const Links& links) {
    const auto above = reached(unit, links.uppers), below = reached(unit, links.lowers);
    for (const std::size_t i : above)
        if (below.contains(i) && std::find(unit.begin(), unit.end(), i) == unit.end()) return i;
    return std::nullopt;
}

double onTop(const Region& piece, const std::vector<Region>& base) {
    const double area = piece.area();
    return area > 0 ? shape::intersect(piece, shape::unite(base)).area() / area : 0;
}

/// The base and what lies on it, from the bottom up.
std::vector<std::size_t> carriedBy(std::size_t base, const std::vector<Region>& pieces, const Links& links) {
    std::vector<std::size_t> out{base};
    std::vector<Region> under{pieces[base]};
    const auto above = reached({base}, links.uppers);
    for (const std::size_t i : above) {
        if (links.most(i, out) < liesOn * pieces[i].area() || onTop(pieces[i], under) < liesOn) continue;
        out.push_back(i);
        under.push_back(pieces[i]);
    }
    return out;
}

/// A hub and the alike pieces that reach beneath it.
std::vector<std::size_t> hubOf(std::size_t hub, const std::vector<Region>& pieces, const Stack& stack) {
    std::vector<std::size_t> out;
    std::vector<double> areas;
    for (const auto& o : stack.overlaps) {
        if (o.upper != hub) continue;
        const double area = pieces[o.lower].area(), share = o.area / std::max(area, 1e-9);
        if (share < leastTuck || share > mostTuck) continue;
        out.push_back(o.lower);
        areas.push_back(area);
    }
    if (out.size() < leastPetals) return {};
    const auto [least, most] = std::minmax_element(areas.begin(), areas.end());
    if (*most > 2 * *least) return {};
    out.push_back(hub);
    std::sort(out.begin(), out.end());
    return out;
}

bool suits(const std::vector<std::size_t>& unit, const std::vector<Region>& pieces, const Links& links,
           double largest) {
    if (unit.size() < 2 || between(unit, links)) return false;
    std::vector<Region> parts;
    for (const std::size_t i : unit)
        parts.push_back(pieces[i]);
    const auto all = shape::unite(parts);
    return all.area() <= largest && shape::islands(all).size() == 1;
}

} // namespace

std::vector<Unit> unitsIn(const std::vector<Region>& pieces, const Stack& stack, double largest) {
    const Links links(stack);
    std::vector<Unit> found;
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        if (auto hub = hubOf(i, pieces, stack); suits(hub, pieces, links, largest))
            found.push_back({UnitKind::hub, std::move(hub)});
        if (auto base = carriedBy(i, pieces, links); base.size() > 2 && suits(base, pieces, links, largest))
            found.push_back({UnitKind::base, std::move(base)});
    }
    // The largest first; one that shares a piece with it gives way.
    std::stable_sort(found.begin(), found.end(),
                     [](const Unit& a, const Unit& b) { return a.pieces.size() > b.pieces.size(); });
    std::vector<Unit> out;
    std::set<std::size_t> taken;
    for (auto& unit : found) {
        if (std::any_of(unit.pieces.begin(), unit.pieces.end(), [&](auto i) { return taken.contains(i); }))
            continue;
        taken.insert(unit.pieces.begin(), unit.pieces.end());
        out.push_back(std::move(unit));
    }
    std::sort(out.begin(), out.end(), [](const Unit& a, const Unit& b) { return a.pieces < b.pieces; });
    return out;
}

std::optional<std::size_t> between(const std::vector<std::size_t>& unit, const Stack& stack) {
    return between(unit, Links(stack));
}

} // namespace up::stack
