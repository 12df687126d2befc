// SPDX-License-Identifier: GPL-3.0-or-later
// Two hundred random blocks pressed, fifty of them traced and bonded; GEOS says whether the plans hold.
#include "core/edit/cloths.hpp"
#include "core/edit/edits.hpp"
#include "core/plan/bond/bond_plan.hpp"
#include "core/plan/fuse/press_plan.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "tests/support/geos.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>

namespace up::plan {
namespace {

using shape::Region;
using test::Boolean;
using test::geosArea;
using test::must;

#if defined(__SANITIZE_ADDRESS__) || defined(__SANITIZE_THREAD__)
constexpr int blocks = 20; // they take ten times as long there
#else
constexpr int blocks = 200;
#endif
constexpr double nothing = 0.05; // mm²
constexpr double hair = 0.03;    // mm: half a crack that is let pass

/// Stars and squares of three fabrics here and there, some of them melting, some of one unit; half are laid.
quilt::Quilt randomQuilt(Random& random) {
    auto quilt = test::quiltOf(test::scattered(random, 2 + random.below(7), 3, false));
    const bool melting = random.below(12) == 0; // what no iron reaches between them is looked for everywhere
    for (auto& piece : quilt.blocks[0].pieces) {
        piece.melts = melting && random.below(3) == 0;
        piece.unit = random.below(4) == 0 ? 1 : 0;
    }
    return quilt;
}

void expectPressed(const quilt::Quilt& quilt, const BlockPlan& block, press::Soleplate kind) {
    const auto& pieces = quilt.blocks[0].pieces;
    const auto plan = must(planPressing(quilt, quilt.blocks[0], block, {press::ironOf(kind)}));
    const auto cover = must(press::coverOf(plan.iron, plan.overlap));
    std::vector<Region> melting;
    std::size_t open = 0;
    for (std::size_t i = 0; i < pieces.size(); ++i)
        if (pieces[i].melts)
            melting.push_back(block.regions[i]);
        else
            ++open;
    const auto spared = shape::unite(melting);
    EXPECT_EQ(plan.stages.empty(), open == 0);
    for (const auto& stage : plan.stages) {
        std::vector<Region> wanted, covers;
        for (const auto id : stage.pieces)
            wanted.push_back(
                block.regions[static_cast<std::size_t>(quilt::numberOf(quilt.blocks[0], id)) - 1]);
        for (const auto& press : stage.presses) {
            covers.push_back(shape::regionOf(shape::Rings{press::setDown(cover, press.press)}));
            if (!spared.isEmpty()) {
                EXPECT_LT(geosArea(shape::regionOf(shape::Rings{press.under}), spared, Boolean::intersect),
                          nothing);
            }
        }
        auto area = shape::unite(wanted);
        if (!spared.isEmpty()) area = shape::subtract(area, shape::offset(spared, plan.overlap.mm()));
        const auto rest = shape::offset(shape::subtract(area, shape::unite(covers)), -hair);
        if (stage.unreached.empty()) {
            EXPECT_LT(geosArea(rest), nothing);
        }
    }
}

/// How many lay on cloth.
std::size_t expectBonded(quilt::Quilt quilt, Random& random) {
    Job job;
    quilt.blocks[0].layout = must(layOut(quilt, quilt.blocks[0], {0, 2, 1}, job));
    for (auto& piece : quilt.blocks[0].pieces)
        piece.work.step = quilt::Step::roughCut;
    for (std::size_t i = 0; i < 4; ++i) {
        quilt::Cloth cloth{};
        cloth.name = cloth.key = "scrap " + std::to_string(i);
        cloth.fabric = quilt.fabrics[random.below(quilt.fabrics.size())].id;
        cloth.outline = shape::rectangle({0, 0, random.between(60, 300), random.between(60, 250)}).rings;
        quilt = must(edit::putCloth(quilt, std::move(cloth)));
    }
    const auto trace = planTrace(quilt, quilt.blocks[0]);
    auto lying = layOnCloth(quilt, quilt.blocks[0], trace, {60, 1}, job);
    quilt = must(edit::layOnCloth(quilt, quilt.blocks[0].id, std::move(lying)));
    const auto plan = planBonding(quilt, quilt.blocks[0], trace);
    std::size_t count = 0;
    const double margin = press::fabricBeyondWeb.mm();
    for (const auto& use : plan.cloths) {
        const Region cloth{the(quilt.cloths, use.cloth).outline};
        double cut = 0, left = 0;
        for (const auto& laid : use.chunks) {
            EXPECT_EQ(laid.lies, Lies::well);
            EXPECT_NEAR(geosArea(laid.outline), geosArea(trace.chunks[laid.chunk].roughCut), 0.01)
                << "turned and moved";
            EXPECT_LT(geosArea(shape::offset(laid.outline, margin - hair), cloth, Boolean::subtract),
                      nothing);
            cut += geosArea(laid.outline);
            ++count;
        }
        for (const auto& part : use.left)
            left += geosArea(part);
        EXPECT_LT(cut + left, geosArea(cloth) + 0.1) << "no more is cut and left than there was";
    }
    EXPECT_EQ(count + plan.missing.size(), trace.chunks.size()) << "each lies once or is missing";
    return count;
}

TEST(RandomBlocks, ArePressedAndBondedAsTheyShould) {
    Random random(41);
    std::size_t bonded = 0;
    for (int i = 0; i < blocks; ++i) {
        SCOPED_TRACE(i);
        const auto quilt = randomQuilt(random);
        const auto plan = planBlock(quilt.blocks[0]);
        expectPressed(quilt, plan, i % 20 == 0 ? press::Soleplate::small : press::Soleplate::household);
        if (i % 4 == 0) bonded += expectBonded(quilt, random); // bonding itself has its 200 in bond_test
    }
    EXPECT_GT(bonded, static_cast<std::size_t>(blocks / 4)) << "the blocks must ask for something";
}

} // namespace
} // namespace up::plan
