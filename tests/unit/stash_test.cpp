// SPDX-License-Identifier: GPL-3.0-or-later
// The stash of all quilts: in and out of quilts and files, and what two windows do to it.
#include "core/quilt/stash.hpp"
#include "core/store/file_lock.hpp"
#include "core/store/quilt_file.hpp"
#include "core/store/stash_file.hpp"
#include "core/store/stash_place.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace up::store {
namespace {

using quilt::Stash;
using quilt::StashCloth;
using test::must;
using Json = nlohmann::ordered_json;

StashCloth scrap(const std::string& key, double width = 100, double height = 50) {
    StashCloth cloth;
    cloth.key = cloth.name = key;
    cloth.fabric = "moss";
    cloth.colour = {1, 2, 3};
    cloth.outline = shape::rectangle({0, 0, width, height}).rings;
    cloth.scrap = true;
    return cloth;
}

std::vector<std::string> keysIn(const Stash& stash) {
    std::vector<std::string> out;
    for (const auto& cloth : stash.cloths)
        out.push_back(cloth.key);
    return out;
}
using Keys = std::vector<std::string>;

TEST(StashFile, KeepsEverything) {
    auto cloth = scrap("a");
    cloth.outline =
        shape::subtract(shape::rectangle({0, 0, 100, 50}), shape::rectangle({10, 10, 20, 20})).rings;
    cloth.stripes = measure::Angle::ofDegrees(30);
    cloth.print = quilt::Print::oneWay, cloth.alike = true, cloth.washed = true;
    cloth.from = "Heron", cloth.heldFor = "Towpath: Windlass";
    cloth.extra = R"({"someday":[1]})";
    const Stash stash{"shed", {cloth, scrap("b")}, R"({"shelf":"upper"})"};
    EXPECT_EQ(must(readStash(writeStash(stash), "stash.json")), stash);
}

TEST(StashFile, NeedsNoMoreThanNameFabricAndOutline) {
    const auto stash = must(readStash(
        R"({"format":"upstairs-stash","version":1,"cloths":[{"cloth":"slate 2","fabric":"slate grey",
            "outline":[[0,0],[0,40],[30,40],[30,0]],"holes":[],"stripes":null}]})",
        "s"));
    ASSERT_EQ(stash.cloths.size(), 1U);
    EXPECT_EQ(stash.cloths.front().key, "slate 2");
    EXPECT_NEAR(shape::Region{stash.cloths.front().outline}.area(), 1200, 1e-6) << "however it runs round";
    EXPECT_FALSE(stash.cloths.front().stripes);
}

TEST(StashFile, IsRefusedInOneSentenceWhenSomethingIsWrong) {
    const auto code = [](const std::string& cloths, int version = 1) {
        const auto read = readStash(R"({"format":"upstairs-stash","version":)" + std::to_string(version) +
                                        R"(,"cloths":[)" + cloths + "]}",
                                    "s");
        return read ? Code::badUse : read.error().code;
    };
    const std::string good = R"({"cloth":"a","fabric":"moss","outline":[[0,0],[9,0],[9,9]]})";
    EXPECT_EQ(code(good), Code::badUse) << "nothing wrong";
    EXPECT_EQ(code(good + "," + good), Code::damaged);
    EXPECT_EQ(code(good, 2), Code::newerVersion);
    EXPECT_EQ(code(R"({"cloth":"a","fabric":"moss","outline":[[0,0],[9,9],[9,0],[0,9]]})"),
              Code::clothCrosses);
    EXPECT_EQ(code(R"({"cloth":"a","fabric":"moss","outline":[[0,0],[9,0],[18,0]]})"), Code::clothNoArea);
    EXPECT_EQ(code(R"({"cloth":"a","fabric":"moss","outline":[[0,0],[9,0]]})"), Code::damaged);
    EXPECT_EQ(code(R"({"cloth":"a","outline":[[0,0],[9,0],[9,9]]})"), Code::damaged);
    EXPECT_EQ(code(R"({"cloth":"a","fabric":"moss","outline":[[0,0],[9,0],[9,1e9]]})"), Code::damaged);
}

TEST(StashOfAQuilt, ComesAndGoesByKeys) {
    auto quilt = quilt::emptyQuilt("Towpath");
    quilt.fabrics.push_back({FabricId{quilt.nextId++}, "Moss", {9, 9, 9}, ""});
    const auto first = quilt::withStash(quilt, {"", {scrap("a"), scrap("b")}, ""});
    ASSERT_EQ(first.cloths.size(), 2U);
    EXPECT_EQ(first.fabrics.size(), 1U) << "Moss is moss";
    EXPECT_EQ(first.cloths.front().fabric, first.fabrics.front().id);
    EXPECT_EQ(keysIn(quilt::stashOf(first)), (Keys{"a", "b"}));
    auto larger = scrap("b", 300);
    auto rose = scrap("c");
    rose.fabric = "rose";
    const auto then = quilt::withStash(first, {"", {larger, rose}, ""});
    ASSERT_EQ(then.cloths.size(), 2U);
    EXPECT_EQ(then.cloths.front().id, first.cloths[1].id) << "the same cloth";
    EXPECT_EQ(then.cloths.front().outline, larger.outline);
    EXPECT_EQ(then.fabrics.back().name, "rose");
    EXPECT_EQ(then.fabrics.back().colour, rose.colour);
}

TEST(StashOfAQuilt, LeavesTheQuiltsOwnClothAlone) {
    auto quilt = quilt::withStash(quilt::emptyQuilt("Towpath"), {"", {scrap("a"), scrap("b")}, ""});
    quilt.cloths.front().key.clear();
    const auto then = quilt::withStash(quilt, {});
    ASSERT_EQ(then.cloths.size(), 1U);
    EXPECT_EQ(then.cloths.front().name, "a");
}

TEST(StashOfAQuilt, IsHeldByNameForBlocksOfOtherQuilts) {
    auto quilt = quilt::emptyQuilt("Towpath");
    quilt::Block block{};
    block.id = BlockId{quilt.nextId++}, block.name = "Heron";
    quilt.blocks.push_back(block);
    auto held = scrap("a");
    held.heldFor = "Towpath: Heron";
    const auto with = quilt::withStash(quilt, {"", {held}, ""});
    EXPECT_EQ(with.cloths.front().heldFor, block.id);
    EXPECT_EQ(quilt::stashOf(with).cloths.front().heldFor, "Towpath: Heron");
    auto elsewhere = scrap("a");
    elsewhere.heldFor = "Sampler: Boat";
    const auto other = quilt::withStash(quilt, {"", {elsewhere}, ""});
    EXPECT_FALSE(other.cloths.front().heldFor);
    EXPECT_EQ(other.cloths.front().heldElsewhere, "Sampler: Boat");
    EXPECT_EQ(quilt::stashOf(other).cloths.front().heldFor, "Sampler: Boat") << "and is not forgotten";
}

TEST(TwoWindows, LoseNothingOfWhatEitherDid) {
    const Stash before{"", {scrap("a"), scrap("b"), scrap("c")}, ""};
    Stash mine = before, theirs = before;
    mine.cloths.push_back(scrap("mine"));
    mine.cloths[0].washed = true;
    std::erase_if(mine.cloths, [](const auto& c) { return c.key == "c"; });
    theirs.cloths.push_back(scrap("theirs"));
    theirs.cloths[1].name = "b, the long one";
    const auto both = quilt::merged(before, mine, theirs);
    EXPECT_EQ(keysIn(both), (Keys{"a", "b", "theirs", "mine"}));
    EXPECT_TRUE(both.cloths[0].washed);
    EXPECT_EQ(both.cloths[1].name, "b, the long one");
}

TEST(TwoWindows, WhoCutIntoTheSameClothLeaveWhatBothLeft) {
    const Stash before{"", {scrap("a")}, ""};
    Stash mine = before, theirs = before;
    mine.cloths[0].outline = shape::rectangle({20, 0, 100, 50}).rings;
    theirs.cloths[0].outline = shape::rectangle({0, 0, 100, 30}).rings;
    const auto both = quilt::merged(before, mine, theirs);
    EXPECT_NEAR(shape::Region{both.cloths.front().outline}.area(), 80 * 30, 1e-6);
    EXPECT_TRUE(quilt::merged(before, mine, Stash{}).cloths.front().outline == mine.cloths[0].outline)
        << "changed here, thrown away there: still there";
    EXPECT_EQ(quilt::merged(before, Stash{}, before), Stash{});
}

TEST(CarriedByAQuilt, IsWhatItUses) {
    auto rose = scrap("shed/c"), foreign = scrap("attic/d");
    rose.fabric = "rose", foreign.fabric = "straw";
    auto quilt = quilt::withStash(quilt::emptyQuilt("Towpath"),
                                  {"", {scrap("shed/a"), scrap("shed/b"), rose, foreign}, ""});
    quilt::Block block{};
    block.id = BlockId{quilt.nextId++}, block.background = quilt.cloths[0].fabric;
    quilt.blocks.push_back(block);
    const auto leaves = quilt::carried(quilt, "shed");
    EXPECT_EQ(keysIn(quilt::stashOf(leaves)), (Keys{"shed/a", "shed/b", "attic/d"}))
        << "moss, but no rose; straw is nowhere else";
    EXPECT_EQ(leaves.fabrics.size(), 2U) << "the rose stays with the stash";
    quilt.cloths[2].heldFor = block.id;
    EXPECT_EQ(keysIn(quilt::stashOf(quilt::carried(quilt, "shed"))),
              (Keys{"shed/a", "shed/b", "shed/c", "attic/d"}));
    EXPECT_EQ(quilt::carried(quilt, ""), quilt) << "without a stash everything is the quilt's own";
}

TEST(StashOfAQuilt, TellsItsOwnClothFromThatOfOtherStashes) {
    auto own = scrap("shed/1"), foreign = scrap("attic/1");
    const auto both = quilt::withStash(quilt::emptyQuilt("Towpath"), {"", {own, foreign}, ""});
    EXPECT_EQ(keysIn(quilt::stashOf(both, "shed")), (Keys{"shed/1"}));
    const auto used = quilt::withStash(both, {"shed", {}, ""});
    EXPECT_EQ(keysIn(quilt::stashOf(used)), (Keys{"attic/1"})) << "used up here, but not there";
}

TEST(StashPlace, TakesInWhatBothWindowsDid) {
    const test::TempDir dir;
    const StashPlace place(dir.path());
    EXPECT_FALSE(place.isThere());
    const auto first = must(place.exchange({}, {"shed", {scrap("shed/1")}, ""}));
    EXPECT_EQ(must(place.read()), first);
    auto mine = first, theirs = first;
    mine.cloths.push_back(scrap("shed/2")), theirs.cloths.push_back(scrap("shed/3"));
    (void)must(place.exchange(first, theirs));
    EXPECT_EQ(keysIn(must(place.exchange(first, mine))), (Keys{"shed/1", "shed/3", "shed/2"}));
}

TEST(StashPlace, NeverWritesOverWhatItCannotRead) {
    const test::TempDir dir;
    const StashPlace place(dir.path());
    for (const std::string bad :
         {R"({"format":"upstairs-stash","version":99,"cloths":[]})", R"({"format":"upstairs-st)", ""}) {
        test::writeAll(place.path(), bad);
        EXPECT_FALSE(place.exchange({}, {"shed", {scrap("shed/1")}, ""}));
        EXPECT_EQ(test::readAll(place.path()), bad);
    }
}

TEST(StashPlace, WaitsForWhoeverIsWritingAndSaysSoInTheEnd) {
    const test::TempDir dir;
    const StashPlace place(dir.path());
    const FileLock other(place.path());
    ASSERT_TRUE(other.isHeld());
    const auto kept = place.exchange({}, {"shed", {scrap("shed/1")}, ""});
    ASSERT_FALSE(kept);
    EXPECT_EQ(kept.error().code, Code::cannotWrite);
    EXPECT_FALSE(place.isThere());
}

TEST(TwoWindows, ComeToTheSameWhoeverWritesFirst) {
    Random random(4);
    for (int i = 0; i < 200; ++i) {
        Stash before, mine, theirs;
        for (int key = 0; key < 8; ++key) {
            const auto cloth = scrap(std::string(1, static_cast<char>('a' + key)));
            const auto change = [&](Stash& to) {
                auto own = cloth;
                switch (random.below(4)) {
                case 0: return;
                case 1: own.outline = shape::rectangle({0, 0, random.between(10, 90), 50}).rings; break;
                default: break;
                }
                to.cloths.push_back(own);
            };
            if (random.below(3) != 0) before.cloths.push_back(cloth);
            change(mine), change(theirs);
        }
        auto one = quilt::merged(before, mine, theirs), other = quilt::merged(before, theirs, mine);
        const auto byKey = [](const auto& a, const auto& b) { return a.key < b.key; };
        std::sort(one.cloths.begin(), one.cloths.end(), byKey);
        std::sort(other.cloths.begin(), other.cloths.end(), byKey);
        EXPECT_EQ(keysIn(one), keysIn(other)) << i;
    }
}

} // namespace
} // namespace up::store
