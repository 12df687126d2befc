// SPDX-License-Identifier: GPL-3.0-or-later
// The layout against web, off-cuts and pieces as they are now.
#include "core/plan/bond/parting.hpp"
#include "core/plan/bond/turning.hpp"
#include "core/plan/check/looking.hpp"

#include <map>

namespace up::plan {
namespace {

using check::Kind;

void places(Looking& look, const quilt::Layout& layout) {
    for (const auto& unplaced : layout.unplaced) {
        const int number = quilt::numberOf(look.block, unplaced.piece);
        if (number == 0) continue;
        const bool larger = unplaced.reason == quilt::WhyNot::largerThanSheet;
        look.add(larger ? Kind::larger : Kind::webUsedUp, static_cast<std::size_t>(number) - 1, {layout.web});
    }
}

/// What lies there was there when the block was laid out.
void sheets(Looking& look, const quilt::Layout& layout) {
    std::size_t strangers = 0;
    std::map<int, std::vector<PieceId>> lost; // by sheet
    for (const auto& traced : layout.traced) {
        const auto* piece = find(look.block.pieces, traced.piece);
        const auto sheet = sheetOf(layout, traced.sheet);
        if (!piece)
            ++strangers;
        else if (sheet.offCut && !sheet.putAway && piece->work.step == quilt::Step::toTrace &&
                 !find(look.quilt.offCuts, sheet.offCut))
            lost[traced.sheet].push_back(traced.piece);
    }
    if (strangers > 0) look.addOfBlock(Kind::othersLaidOut, {look.block.id, check::Count{strangers}});
    for (const auto& [sheet, pieces] : lost)
        look.addOfBlock(Kind::offCutGone, {pieces}).piece = pieces.front();
}

/// On the shopping list already, for this block.
bool isWanted(const Looking& look, FabricId fabric) {
    return std::any_of(look.quilt.wants.begin(), look.quilt.wants.end(), [&](const quilt::Want& want) {
        return want.fabric == fabric && want.block == look.block.id;
    });
}

/// Nobody is told of fabrics that the stash has nothing of: not everybody keeps one.
void cloth(Looking& look) {
    if (look.quilt.cloths.empty()) return;
    const auto trace = planTrace(look.quilt, look.block);
    for (const auto& missing : planBonding(look.quilt, look.block, trace).missing) {
        const auto& chunk = trace.chunks[missing.chunk];
        std::vector<check::Arg> args{chunk.pieces, chunk.fabric};
        std::vector<check::Fix> fixes;
        Kind kind{};
        switch (missing.why) {
        case WhyShort::notLaid:
        case WhyShort::notInStash: continue;
        case WhyShort::tooSmall:
            kind = Kind::clothShort;
            args.insert(args.end(),
                        {missing.width, missing.height, missing.largest->width, missing.largest->height});
            break;
        case WhyShort::printWrong:
            kind = Kind::printAcross;
            fixes.push_back(check::Fix::anyWay);
            break;
        case WhyShort::usedUp: kind = Kind::clothTaken; break;
        }
        if (withPieceTurned(look.quilt, look.block, trace, chunk)) fixes.push_back(check::Fix::turnPiece);
        if (mayBeParted(look.quilt, look.block, trace, chunk)) fixes.push_back(check::Fix::part);
        if (nearFabric(look.quilt, look.block, chunk)) fixes.push_back(check::Fix::nearFabric);
        if (!isWanted(look, chunk.fabric)) fixes.push_back(check::Fix::shoppingList);
        look.addOfBlock(kind, std::move(args), std::move(fixes)).piece = chunk.pieces.front();
    }
}

} // namespace

void checkWeb(Looking& look) {
    if (!look.block.layout) return;
    places(look, *look.block.layout);
    sheets(look, *look.block.layout);
    cloth(look);
}

} // namespace up::plan
