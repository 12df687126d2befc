// SPDX-License-Identifier: GPL-3.0-or-later
// Which way round pieces and letters are.
#include "core/plan/check/looking.hpp"

namespace up::plan {
namespace {

using check::Fix;
using check::Kind;

/// The upper one is offered to be mirrored, unless it is being worked on and the lower one is not.
void pairs(Looking& look) {
    for (const auto& pair : look.judged.oneHand) {
        const bool lowerIsFree = look.piece(pair.first).work.step < look.piece(pair.second).work.step;
        const auto change = lowerIsFree ? pair.first : pair.second,
                   keep = lowerIsFree ? pair.second : pair.first;
        look.addPair(Kind::oneHand, change, keep, {}, {Fix::mirror});
    }
}

/// Letters say which side is seen: of built-in ones each for itself, of a drawing all together.
void letters(Looking& look) {
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        const auto& recipe = look.piece(i).recipe;
        if (recipe && recipe->kind == quilt::RecipeKind::letter && recipe->at.determinant() < 0 &&
            look.judged.pieces[i].mustBeReversed())
            look.add(Kind::readsBackwards, i, {}, {Fix::mirror});
    }
    const bool mirrored = look.block.letters == quilt::Reading::mirrored;
    if (look.block.letters == quilt::Reading::unknown || mirrored == look.block.givenReversed) return;
    look.addOfBlock(mirrored ? Kind::cameReversed : Kind::reversedTwice, {look.block.id}, {Fix::otherSide});
}

} // namespace

void checkHands(Looking& look) {
    pairs(look);
    letters(look);
}

} // namespace up::plan
