// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/bond/turning.hpp"

#include "core/base/job.hpp"
#include "core/plan/bond/on_cloth.hpp"
#include "core/plan/trace/by_hand.hpp"
#include "core/shape/nearness.hpp"

#include <algorithm>
#include <array>

namespace up::plan {

using measure::Angle;
using quilt::Block;
using quilt::Layout;
using quilt::Piece;
using quilt::Quilt;
using shape::Region;

namespace {

/// The pieces as they lie on the chunk's sheet.
class OnSheet {
public:
    OnSheet(const Quilt& quilt, const Block& block, const TracePlan& trace, const Chunk& chunk)
        : m_block(block), m_sheet(sheetOf(*block.layout, chunk.sheet)),
          m_web(find(quilt.webs, block.layout->web)) {
        for (const auto& traced : block.layout->traced)
            if (traced.sheet == chunk.sheet)
                for (const auto& [piece, line] : trace.lines)
                    if (piece == traced.piece) m_lying.emplace_back(piece, shape::regionOf(line));
    }
    /// It would lie on its sheet and not too near to others, and what it is rough cut with may find room then.
    [[nodiscard]] bool mayTurn(PieceId piece, Angle turn, const Chunk& chunk, const ClothSizes& sizes) const {
        const auto own = std::find_if(m_lying.begin(), m_lying.end(),
                                      [&](const auto& lying) { return lying.first == piece; });
        if (own == m_lying.end()) return false;
        const auto turned =
            shape::transformed(own->second, shape::Transform::turnAbout(own->second.bounds().centre(), turn));
        if (!isOnSheet(turned)) return false;
        Region rest;
        for (const auto& [other, region] : m_lying)
            if (other != piece &&
                std::find(chunk.pieces.begin(), chunk.pieces.end(), other) != chunk.pieces.end())
                rest.rings.insert(rest.rings.end(), region.rings.begin(), region.rings.end());
        if (!mayFindRoom(turned, rest, sizes)) return false;
        return std::none_of(m_lying.begin(), m_lying.end(), [&](const auto& other) {
            return other.first != piece && areTooNear(piece, turned, other);
        });
    }

private:
    /// As one chunk, or as two when the piece is far enough from the rest.
    [[nodiscard]] static bool mayFindRoom(const Region& turned, Region rest, const ClothSizes& sizes) {
        const auto fits = [&](const Region& shapes) {
            auto box = press::boxRound(shapes);
            const auto more = (roughCutMargin + press::fabricBeyondWeb) * 2;
            box.width = box.width + more, box.height = box.height + more;
            return sizes.mayHold(box);
        };
        if (!shape::areNearer(turned, rest, 2 * roughCutMargin.mm())) return fits(turned) && fits(rest);
        rest.rings.insert(rest.rings.end(), turned.rings.begin(), turned.rings.end());
        return fits(rest);
    }
    [[nodiscard]] bool isOnSheet(const Region& region) const {
        if (!m_sheet.outline.empty()) return shape::subtract(region, Region{m_sheet.outline}).isEmpty();
        const auto box = region.bounds();
        return m_web && box.left >= 0 && box.top >= 0 && box.right <= m_web->width.mm() &&
               box.bottom <= m_web->length().mm();
    }
    [[nodiscard]] bool areTooNear(PieceId piece, const Region& turned,
                                  const std::pair<PieceId, Region>& other) const {
        const bool same = the(m_block.pieces, piece).fabric == the(m_block.pieces, other.first).fabric;
        const double asked = same ? scissorsWidth.mm() : 2 * roughCutMargin.mm();
        return turned.bounds().grownBy(asked).meets(other.second.bounds()) &&
               shape::areNearer(turned, other.second, asked);
    }

    const Block& m_block;
    quilt::WebSheet m_sheet;
    const quilt::Web* m_web;
    std::vector<std::pair<PieceId, Region>> m_lying;
};

bool mayBeTurned(const Piece& piece) {
    return piece.work.step == quilt::Step::toTrace && !piece.grain;
}

} // namespace

std::optional<Layout> withPieceTurned(const Quilt& quilt, const Block& block, const TracePlan& trace,
                                      const Chunk& chunk) {
    if (!block.layout || chunk.pieces.size() < 2 || chunk.strip) return std::nullopt;
    const OnSheet sheet(quilt, block, trace, chunk);
    const ClothSizes sizes(quilt, block.id, chunk.fabric);
    int tried = 0;
    for (const double degrees : std::array{45.0, -45.0, 90.0, -90.0, 135.0, -135.0, 180.0})
        for (const auto piece : chunk.pieces) {
            breathe();
            const auto turn = Angle::ofDegrees(degrees);
            if (!mayBeTurned(the(block.pieces, piece)) || !sheet.mayTurn(piece, turn, chunk, sizes)) continue;
            constexpr int most = 6; // looked at closely: it is asked after each change of the block
            if (++tried > most) return std::nullopt;
            auto layout = movedByHand(block, *block.layout, {piece}, 0, 0, turn);
            if (allFindRoom(quilt, block, planTrace(quilt, block, layout, &trace), chunk.pieces))
                return layout;
        }
    return std::nullopt;
}

} // namespace up::plan
