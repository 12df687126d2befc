// SPDX-License-Identifier: GPL-3.0-or-later
// What was done too early, or not in time.
#include "core/plan/check/looking.hpp"

namespace up::plan {
namespace {

using check::Kind;
using quilt::Step;

void marks(Looking& look, std::size_t i) {
    const auto& piece = look.piece(i);
    if (!piece.hasMarks() || piece.work.marksDrawn) return;
    if (piece.work.step == Step::cleanCut && !piece.isOffWeb()) look.add(Kind::marksToDraw, i);
    if (piece.work.step >= Step::laid && !piece.isOffWeb())
        look.add(Kind::marksLost, i, {}, {check::Fix::drawnThrough});
}

void order(Looking& look) {
    for (const auto& overlap : look.plan.stack.overlaps) {
        const auto &upper = look.piece(overlap.upper), &lower = look.piece(overlap.lower);
        for (const Step step : {Step::stitched, Step::fused}) {
            if (upper.work.step < step || lower.isPast(step)) continue;
            look.addPair(Kind::laidOutOfOrder, overlap.upper, overlap.lower, {step});
            break;
        }
    }
}

} // namespace

void checkWork(Looking& look) {
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i)
        marks(look, i);
    order(look);
}

} // namespace up::plan
