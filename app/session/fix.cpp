// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/session/fix.hpp"

#include "core/plan/check_plan.hpp"

namespace up::app {

edit::Edited fixed(const quilt::Quilt& quilt, const check::Finding& finding) {
    switch (finding.fix) {
    case check::Fix::none: return quilt;
    case check::Fix::markRunsOff: return edit::setRunsOff(quilt, finding.block, finding.piece, true);
    case check::Fix::mirror: return edit::mirrorPiece(quilt, finding.block, finding.piece);
    case check::Fix::otherSide: {
        const auto* block = find(quilt.blocks, finding.block);
        return edit::setGivenReversed(quilt, finding.block, block && !block->givenReversed);
    }
    case check::Fix::moveInside: break;
    }
    const auto* block = find(quilt.blocks, finding.block);
    const auto* piece = block ? find(block->pieces, finding.piece) : nullptr;
    if (!piece) return failure(Code::noSuchPiece, {std::to_string(finding.piece.value)});
    const auto by = plan::moveInside(*block, shape::regionOf(quilt::placed(*piece)));
    if (!by) return quilt;
    using measure::Length;
    return edit::movePiece(quilt, finding.block, finding.piece, Length::ofMm(by->x), Length::ofMm(by->y));
}

} // namespace up::app
