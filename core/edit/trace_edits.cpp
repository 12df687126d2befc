// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/spoken.hpp"
#include "core/edit/change.hpp"
#include "core/edit/tracing.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Block;
using quilt::Piece;

namespace {

void giveUpUntraced(Block& block, const Piece& piece) {
    if (piece.work.step != quilt::Step::toTrace) return;
    if (block.layout) std::erase_if(block.layout->traced, [&](const auto& t) { return t.piece == piece.id; });
}

/// One sheet of a packet, or that much of a roll; never more than there is.
void takeFrom(quilt::Web& web, Length used) {
    if (auto* packet = std::get_if<quilt::Packet>(&web.stock))
        packet->sheets = std::max(0, packet->sheets - 1);
    else if (auto* roll = std::get_if<quilt::Roll>(&web.stock))
        roll->length = std::max(Length(), roll->length - used);
}

} // namespace

Edited setSchool(const Quilt& quilt, BlockId id, quilt::School school) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.school = school; });
}

Edited chooseLayout(const Quilt& quilt, BlockId id, quilt::School school, quilt::Layout layout,
                    std::int64_t time) {
    return setLayout(quilt, id, std::move(layout), time).and_then([&](const Quilt& laid) {
        return changeBlock(laid, id, [&](Quilt&, Block& block) { block.school = school; });
    });
}

Edited changeLayout(const Quilt& quilt, BlockId id, quilt::Layout layout) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) {
        block.layout = std::move(layout);
        keepOnCloth(block, quilt::Step::toTrace);
    });
}

Edited pin(const Quilt& quilt, BlockId id, const std::vector<PieceId>& pieces, bool pinned) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) {
        if (block.layout)
            for (auto& traced : block.layout->traced)
                if (std::find(pieces.begin(), pieces.end(), traced.piece) != pieces.end())
                    traced.pinned = pinned;
    });
}

Edited setGrain(const Quilt& quilt, BlockId id, PieceId pieceId, std::optional<measure::Angle> grain) {
    return changePiece(quilt, id, pieceId, [&](Block& block, Piece& piece) {
        if (piece.grain == grain) return;
        piece.grain = grain;
        giveUpUntraced(block, piece);
    });
}

Edited setPrint(const Quilt& quilt, FabricId id, quilt::Print print, measure::Angle tolerance) {
    Quilt out = quilt;
    auto* fabric = find(out.fabrics, id);
    if (!fabric) return failure(Code::noSuchFabric, {std::to_string(id.value)});
    const bool other = fabric->print != print || fabric->tolerance != tolerance;
    fabric->print = print, fabric->tolerance = tolerance;
    const auto liesWrong = [&](const Piece& piece) { return piece.fabric == id && piece.grain; };
    for (std::size_t i = 0; other && i < out.blocks.size(); ++i)
        for (const auto& piece : std::as_const(out.blocks)[i].pieces)
            if (liesWrong(piece)) giveUpUntraced(out.blocks[i], piece);
    return out;
}

Edited putAway(const Quilt& quilt, BlockId id, const std::vector<quilt::Remains>& remains,
               std::int64_t time) {
    return changeBlock(quilt, id, [&](Quilt& out, Block& block) {
        if (!block.layout) return;
        auto& layout = *block.layout;
        auto* web = find(out.webs, layout.web);
        for (const auto& rest : remains) {
            const auto number = static_cast<std::size_t>(rest.sheet);
            if (layout.sheets.size() <= number) layout.sheets.resize(number + 1);
            auto& sheet = layout.sheets[number];
            if (sheet.putAway) continue;
            sheet.putAway = true;
            if (sheet.offCut)
                std::erase_if(out.offCuts, [&](const auto& o) { return o.id == sheet.offCut; });
            else if (web)
                takeFrom(*web, rest.used);
            for (const auto& outline : rest.offCuts) {
                quilt::OffCut left{OffCutId{out.nextId++}, layout.web, outline, block.name, ""};
                if (web && !web->key.empty()) left.key = partKey(web->key, time, left.id.value);
                out.offCuts.push_back(std::move(left));
            }
        }
        note(out, {time, id, {}, quilt::Event::putAway, ""});
    });
}

Edited removeOffCut(const Quilt& quilt, OffCutId id) {
    Quilt out = quilt;
    if (std::erase_if(out.offCuts, [&](const auto& o) { return o.id == id; }) == 0)
        return failure(Code::noSuchOffCut, {std::to_string(id.value)});
    return out;
}

Edited setLeastOffCut(const Quilt& quilt, Length least) {
    constexpr Length smallest = Length::ofInches(1, 2), largest = Length::ofInches(12, 1);
    if (least < smallest || least > largest)
        return failure(Code::absurdSize,
                       {spoken("off-cut"), measure::say(least, quilt.units),
                        measure::say(smallest, quilt.units), measure::say(largest, quilt.units)});
    Quilt out = quilt;
    out.leastOffCut = least;
    return out;
}

} // namespace up::edit
