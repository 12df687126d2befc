// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/lay/roll_call.hpp"

#include <algorithm>
#include <map>

namespace up::plan {

Presence presenceOf(const quilt::Piece& piece) {
    if (piece.work.step >= quilt::Step::laid) return Presence::here;
    if (piece.work.step < quilt::Step::cleanCut) return Presence::notCut;
    return piece.counted ? Presence::here : Presence::missing;
}

RollCall rollCall(const quilt::Block& block, const Judgement& judged) {
    RollCall out;
    std::map<std::tuple<std::size_t, Hand, std::uint32_t>, std::size_t> known;
    for (std::size_t i = 0; i < block.pieces.size() && i < judged.pieces.size(); ++i) {
        const auto& piece = block.pieces[i];
        const auto& shape = judged.pieces[i];
        const Hand hand = shape.axis ? Hand::none : shape.otherHand ? Hand::mirrored : Hand::asDrawn;
        const auto [at, fresh] = known.try_emplace({shape.alike, hand, piece.fabric.value}, out.heaps.size());
        if (fresh) out.heaps.push_back({{}, hand, piece.fabric, shape.alike});
        auto& heap = out.heaps[at->second];
        heap.pieces.push_back(i);
        switch (presenceOf(piece)) {
        case Presence::here: ++heap.here, ++out.here; break;
        case Presence::missing: ++heap.missing, ++out.missing; break;
        case Presence::notCut: ++heap.notCut, ++out.notCut; break;
        }
    }
    return out;
}

} // namespace up::plan
