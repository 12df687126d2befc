// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stack/showing.hpp"

#include "core/base/at_once.hpp"
#include "core/shape/pairs.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace up::stack {
namespace {

using shape::Polyline;
using shape::Region;

constexpr double meeting = 0.002; // mm: ends this close are one point after clipping

bool meet(shape::Point a, shape::Point b) {
    return shape::distance(a, b) <= meeting;
}

Polyline closedLine(const shape::Ring& ring) {
    Polyline line = ring;
    line.push_back(ring.front());
    return line;
}

/// Joins `b` to an end of `a`, if they meet there.
bool takes(Polyline& a, Polyline& b) {
    if (meet(a.back(), b.back()) || meet(a.front(), b.front())) std::reverse(b.begin(), b.end());
    if (meet(a.back(), b.front())) {
        a.insert(a.end(), b.begin() + 1, b.end());
        return true;
    }
    if (!meet(a.front(), b.back())) return false;
    b.insert(b.end(), a.begin() + 1, a.end());
    a.swap(b);
    return true;
}

} // namespace

/// Clipping cuts a ring where it starts and hands pieces back in any direction.
std::vector<Polyline> joined(std::vector<Polyline> parts) {
    for (std::size_t i = 0; i < parts.size(); ++i) {
        for (std::size_t j = 0; j < parts.size();) {
            const bool closed = meet(parts[i].front(), parts[i].back());
            if (j == i || closed || !takes(parts[i], parts[j])) {
                ++j;
                continue;
            }
            parts.erase(parts.begin() + static_cast<std::ptrdiff_t>(j));
            if (j < i) --i;
            j = 0;
        }
    }
    return parts;
}

std::vector<std::vector<std::size_t>> aboveOf(const std::vector<Region>& pieces,
                                              const std::vector<Pair>& said, double reach) {
    std::vector<shape::Box> boxes;
    for (const auto& piece : pieces)
        boxes.push_back(piece.isEmpty() ? shape::Box{} : piece.bounds().grownBy(reach / 2));
    std::vector<std::vector<std::size_t>> out(pieces.size());
    for (const auto& [lower, upper] : shape::pairsThatMeet(boxes)) {
        const bool turned = std::find(said.begin(), said.end(), Pair{lower, upper}) != said.end();
        out[turned ? upper : lower].push_back(turned ? lower : upper);
    }
    for (auto& uppers : out)
        std::sort(uppers.begin(), uppers.end());
    return out;
}

Region together(const std::vector<Region>& pieces, const std::vector<std::size_t>& which) {
    std::vector<Region> parts;
    for (const std::size_t i : which)
        parts.push_back(pieces[i]);
    return parts.empty() ? Region{} : shape::unite(parts);
}

namespace {

/// Pieces in blocks of 8, of 64…, each united when it lies wholly in two sets at least.
class Blocks {
public:
    Blocks(const std::vector<Region>& pieces, const std::vector<std::vector<std::size_t>>& sets)
        : m_pieces(pieces) {
        for (std::size_t size = base; size <= pieces.size(); size *= base) {
            std::vector<int> uses(pieces.size() / size, 0);
            for (const auto& set : sets)
                for (std::size_t at = 0; at < set.size(); ++at)
                    if (isWhole(set, at, size)) ++uses[set[at] / size];
            std::vector<Region> level(uses.size());
            atOnce(level.size(), [&](std::size_t block) {
                if (uses[block] >= 2) level[block] = shape::unite(partsOf(range(block * size, size)));
            });
            m_levels.push_back(std::move(level));
        }
    }

    /// As few regions as there are that make up the set.
    [[nodiscard]] std::vector<Region> partsOf(const std::vector<std::size_t>& set) const {
        std::vector<Region> out;
        for (std::size_t at = 0; at < set.size();) {
            std::size_t size = 1;
            const Region* part = &m_pieces[set[at]];
            std::size_t wide = base;
            for (const auto& level : m_levels) {
                if (!isWhole(set, at, wide)) break;
                if (const auto& block = level[set[at] / wide]; !block.isEmpty()) part = &block, size = wide;
                wide *= base;
            }
            out.push_back(*part);
            at += size;
        }
        return out;
    }

private:
    static constexpr std::size_t base = 8;
    static std::vector<std::size_t> range(std::size_t first, std::size_t count) {
        std::vector<std::size_t> out(count);
        std::iota(out.begin(), out.end(), first);
        return out;
    }
    /// A block of that size begins there, and all of it is in the set.
    static bool isWhole(const std::vector<std::size_t>& set, std::size_t at, std::size_t size) {
        return set[at] % size == 0 && at + size <= set.size() && set[at + size - 1] == set[at] + size - 1;
    }
    const std::vector<Region>& m_pieces;
    std::vector<std::vector<Region>> m_levels;
};

} // namespace

std::vector<Region> allTogether(const std::vector<Region>& pieces,
                                const std::vector<std::vector<std::size_t>>& sets) {
    const Blocks blocks(pieces, sets);
    std::vector<Region> out(sets.size());
    atOnce(sets.size(), [&](std::size_t i) {
        if (!sets[i].empty()) out[i] = shape::unite(blocks.partsOf(sets[i]));
    });
    return out;
}

Region visiblePart(const Region& piece, const Region& cover) {
    return cover.isEmpty() ? piece : shape::subtract(piece, cover);
}

std::vector<Polyline> visibleEdge(const Region& piece, const Region& cover) {
    std::vector<Polyline> out;
    for (const auto& ring : piece.rings) {
        if (cover.isEmpty()) {
            out.push_back(closedLine(ring));
            continue;
        }
        for (auto& part : joined(shape::outside(closedLine(ring), cover)))
            out.push_back(std::move(part));
    }
    return out;
}

std::vector<Hidden> hiddenEdge(const std::vector<Region>& pieces, std::size_t piece,
                               const std::vector<std::size_t>& above) {
    std::vector<Hidden> out;
    for (const auto& ring : pieces[piece].rings) {
        std::vector<Polyline> rest{closedLine(ring)};
        for (const std::size_t upper : above) {
            std::vector<Polyline> hidden, still;
            for (const auto& line : rest) {
                for (auto& part : shape::inside(line, pieces[upper]))
                    hidden.push_back(std::move(part));
                for (auto& part : shape::outside(line, pieces[upper]))
                    still.push_back(std::move(part));
            }
            for (auto& part : joined(std::move(hidden)))
                out.push_back({std::move(part), upper});
            rest = std::move(still);
        }
    }
    return out;
}

std::vector<Region> visibleParts(const std::vector<Region>& pieces) {
    const auto above = aboveOf(pieces);
    std::vector<Region> out;
    for (std::size_t i = 0; i < pieces.size(); ++i)
        out.push_back(visiblePart(pieces[i], together(pieces, above[i])));
    return out;
}

std::vector<std::vector<Polyline>> visibleEdges(const std::vector<Region>& pieces) {
    const auto above = aboveOf(pieces);
    std::vector<std::vector<Polyline>> out;
    for (std::size_t i = 0; i < pieces.size(); ++i)
        out.push_back(visibleEdge(pieces[i], together(pieces, above[i])));
    return out;
}

namespace {

/// Each piece is laid on those before it: what it covers of a layer is carried up to the next one.
void layOn(std::vector<Region>& layers, Region carried) {
    for (std::size_t k = 0; k < layers.size() && !carried.isEmpty(); ++k) {
        Region higher = shape::intersect(layers[k], carried);
        layers[k] = shape::unite(layers[k], carried);
        carried = std::move(higher);
    }
    if (!carried.isEmpty()) layers.push_back(std::move(carried));
}

} // namespace

/// Tile by tile, each with the few pieces that lie there; tiles of about a piece's size.
std::vector<Region> layersOf(const std::vector<Region>& pieces) {
    std::vector<shape::Box> boxes;
    shape::Box all;
    for (const auto& piece : pieces) {
        boxes.push_back(piece.bounds());
        all.take(boxes.back());
    }
    const int tiles = std::clamp(static_cast<int>(std::sqrt(static_cast<double>(pieces.size()))) - 1, 1, 24);
    std::vector<std::vector<Region>> parts;
    for (int t = 0; t < tiles * tiles && !all.isEmpty(); ++t) {
        const double wide = all.width() / tiles, high = all.height() / tiles;
        const double left = all.left + (t % tiles) * wide, top = all.top + (t / tiles) * high;
        const shape::Box tile{left, top, left + wide, top + high};
        std::vector<Region> layers;
        for (std::size_t i = 0; i < pieces.size(); ++i)
            if (boxes[i].meets(tile))
                layOn(layers, tiles == 1 ? pieces[i] : shape::intersect(pieces[i], shape::rectangle(tile)));
        if (layers.size() > parts.size()) parts.resize(layers.size());
        for (std::size_t k = 0; k < layers.size(); ++k)
            parts[k].push_back(std::move(layers[k]));
    }
    std::vector<Region> out;
    for (const auto& layer : parts)
        out.push_back(shape::unite(layer));
    return out;
}

} // namespace up::stack
