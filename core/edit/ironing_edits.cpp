// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/spoken.hpp"
#include "core/edit/change.hpp"
#include "core/edit/ironing.hpp"
#include "core/edit/naming.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Block;
using quilt::Iron;
using quilt::Piece;
using quilt::Step;

Edited setFusing(const Quilt& quilt, BlockId id, quilt::Fusing fusing) {
    return changeBlock(quilt, id, [&](Quilt&, Block& block) { block.fusing = fusing; });
}

Edited press(const Quilt& quilt, BlockId id, quilt::Pressed pressed, const std::vector<PieceId>& finished) {
    std::vector<PieceId> fused;
    const auto* owner = find(quilt.blocks, id);
    for (const auto piece : finished)
        if (const auto* one = owner ? find(owner->pieces, piece) : nullptr;
            one && one->work.step < Step::fused)
            fused.push_back(piece);
    auto out = record(quilt, id, fused, Step::fused, pressed.time);
    if (!out) return out;
    return changePieces(*out, id, finished, [](Block&, Piece& piece) { piece.lifts = false; })
        .and_then([&](const Quilt& with) {
            return changeBlock(with, id,
                               [&](Quilt&, Block& block) { block.pressed.push_back(std::move(pressed)); });
        });
}

Edited edgeLifted(const Quilt& quilt, BlockId block, PieceId id, std::int64_t time) {
    auto out = changePiece(quilt, block, id, [](Block&, Piece& piece) { piece.lifts = true; });
    if (out) note(*out, {time, block, id, quilt::Event::note, spoken("an edge lifted")});
    return out;
}

Edited useIron(const Quilt& quilt, Iron iron) {
    auto proper = properName(iron.name);
    if (!proper) return tl::unexpected(proper.error());
    if (iron.outline.size() != 1) return failure(Code::badSoleplate);
    iron.name = std::move(*proper);
    Quilt out = quilt;
    if (!iron.id) {
        iron.id = IronId{out.nextId++};
        out.irons.push_back(iron);
    } else if (auto* there = find(out.irons, iron.id)) {
        *there = iron;
    }
    out.iron = iron.id;
    return out;
}

Edited useIron(const Quilt& quilt, IronId iron) {
    Quilt out = quilt;
    out.iron = find(quilt.irons, iron) ? iron : IronId{};
    return out;
}

Edited removeIron(const Quilt& quilt, IronId id) {
    Quilt out = quilt;
    std::erase_if(out.irons, [&](const Iron& iron) { return iron.id == id; });
    if (out.iron == id) out.iron = {};
    return out;
}

} // namespace up::edit
