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

/// One of each kind beside cloth.
Stash shed() {
    Stash out{"shed", {}, ""};
    quilt::Web web{};
    web.key = "shed/web", web.name = "Heavy web", web.stock = quilt::Roll{measure::Length::ofInches(90, 1)};
    web.longest = 30, web.maySew = false, web.extra = R"({"shop":"corner"})";
    out.webs = {web};
    out.offCuts = {{"shed/web/1-5", "shed/web", shape::rectangle({0, 0, 80, 60}).rings, "Heron", ""}};
    quilt::Thread thread{{}, "moss", {60, 100, 60}, ""};
    thread.key = "shed/thread", thread.spool = measure::Length::ofMm(250'000), thread.tex = 30;
    out.threads = {thread};
    out.irons = {{{}, "my iron", {{{-30, -60}, {30, -60}, {0, 60}}}, "", "shed/iron"}};
    out.supplies = {{{},
                     "tear-away",
                     quilt::Purpose::stabiliser,
                     measure::Length::ofInches(20, 1),
                     measure::Length::ofInches(36, 1),
                     "shed/tear",
                     ""}};
    return out;
}

TEST(StashOfEverything, ComesBackFromItsFile) {
    EXPECT_EQ(must(readStash(writeStash(shed()), "s")), shed());
    const auto json = Json::parse(writeStash(shed()));
    EXPECT_FALSE(json["webs"][0].contains("id")) << "ids are each quilt's own";
}

/// The file that tests/formats/schema.py holds against the schema.
TEST(StashOfEverything, IsReadAsTheSchemaDescribesIt) {
    const auto text = test::readAll(test::source("tests/formats/stash.json"));
    const auto stash = must(readStash(text, "stash.json"));
    quilt::eachKind([&](auto list) { EXPECT_FALSE((stash.*list).empty()); });
    EXPECT_EQ(stash.offCuts[0].web, stash.webs[0].key);
    EXPECT_EQ(stash.threads[0].bobbin, measure::Length::ofMm(9000));
    const auto was = Json::parse(text), again = Json::parse(writeStash(stash));
    for (const auto& [key, value] : was.items()) {
        if (!value.is_array()) continue;
        for (const auto& [name, each] : value[0].items())
            EXPECT_EQ(again[key][0][name], each) << key << " " << name;
    }
}

TEST(StashOfEverything, ComesIntoAQuiltAndOutAgain) {
    auto quilt = quilt::withStash(quilt::emptyQuilt("Towpath"), shed());
    ASSERT_EQ(quilt.webs.size(), 2U);
    EXPECT_EQ(quilt.webs.front().name, "Heavy web") << "a new quilt begins with what is at hand";
    EXPECT_EQ(quilt.offCuts.front().web, quilt.webs.front().id);
    EXPECT_TRUE(quilt::holdTheSame(quilt::stashOf(quilt, "shed"), shed()));
    EXPECT_EQ(quilt::withStash(quilt, shed()), quilt) << "nothing is new";
    EXPECT_EQ(must(readQuilt(writeQuilt(quilt), "q")), quilt);
}

TEST(StashOfEverything, LeavesWithAQuiltAsFarAsItIsUsed) {
    auto quilt = quilt::withStash(quilt::emptyQuilt("Towpath"), shed());
    const auto bare = quilt::carried(quilt, "shed");
    EXPECT_TRUE(bare.threads.empty() && bare.irons.empty() && bare.supplies.empty() && bare.offCuts.empty());
    EXPECT_EQ(bare.webs.size(), 1U);
    quilt::Block block{};
    block.id = BlockId{quilt.nextId++}, block.web = quilt.webs.front().id;
    block.pieces.emplace_back().thread = quilt.threads.front().id;
    quilt.blocks.push_back(block);
    quilt.iron = quilt.irons.front().id;
    const auto leaves = quilt::carried(quilt, "shed");
    EXPECT_EQ(leaves.webs.size(), 2U);
    EXPECT_EQ(leaves.offCuts.size(), 1U);
    EXPECT_EQ(leaves.threads.size(), 1U);
    EXPECT_EQ(leaves.irons.size(), 1U);
    EXPECT_TRUE(leaves.supplies.empty());
    EXPECT_TRUE(quilt::holdTheSame(quilt::stashOf(quilt::withStash(leaves, shed()), "shed"), shed()));
}

TEST(StashOfEverything, WhatIsGoneButInUseBecomesTheQuiltsOwn) {
    auto quilt = quilt::withStash(quilt::emptyQuilt("Towpath"), shed());
    quilt::Block block{};
    block.id = BlockId{quilt.nextId++}, block.web = quilt.webs.front().id;
    quilt.blocks.push_back(block);
    const auto after = quilt::withStash(quilt, {"shed", {}, ""});
    ASSERT_TRUE(find(after.webs, block.web));
    EXPECT_TRUE(find(after.webs, block.web)->key.empty());
    EXPECT_TRUE(after.threads.empty()) << "nothing is stitched with it";
}

TEST(StashOfEverything, IsRefusedInOneSentenceWhenSomethingIsWrong) {
    const auto code = [](const std::string& rest) {
        const auto read =
            readStash(R"({"format":"upstairs-stash","version":1,"cloths":[],)" + rest + "}", "s");
        return read ? Code::badUse : read.error().code;
    };
    const std::string web = R"({"name":"w","papers":1,"width":400,"roll":{"length":900},
        "first":{"seconds":5,"steam":false,"heat":"wool"},"final":{"seconds":9,"steam":false,"heat":"wool"}})";
    EXPECT_EQ(code(R"("webs":[)" + web + "]"), Code::badUse) << "nothing wrong";
    EXPECT_EQ(code(R"("webs":[)" + web + "," + web + "]"), Code::damaged) << "twice";
    EXPECT_EQ(code(R"("webs":[7])"), Code::damaged);
    EXPECT_EQ(code(R"("webs":{})"), Code::damaged);
    EXPECT_EQ(code(R"("threads":[{"name":"t","colour":"#112233","tex":-3}])"), Code::damaged);
    EXPECT_EQ(code(R"("threads":[{"name":"t","colour":"red"}])"), Code::damaged);
    EXPECT_EQ(code(R"("irons":[{"name":"i","outline":[[[0,0],[9,0],[9,9]],[[1,1],[2,1],[2,2]]]}])"),
              Code::damaged)
        << "a soleplate with a hole";
    EXPECT_EQ(code(R"("offCuts":[{"key":"k","outline":[[0,0],[9,9],[9,0],[0,9]]}])"), Code::clothCrosses);
    EXPECT_EQ(code(R"("supplies":[{"name":"s","for":"tea","width":1,"length":1}])"), Code::damaged);
}

TEST(TwoWindows, UseUpWhatBothUsed) {
    const auto before = shed();
    auto mine = before, theirs = before;
    mine.webs[0].stock = quilt::Roll{measure::Length::ofInches(80, 1)};   // 10 in used
    theirs.webs[0].stock = quilt::Roll{measure::Length::ofInches(65, 1)}; // 25 in
    mine.threads[0].spool = measure::Length::ofMm(200'000);               // 50 m
    theirs.threads[0].spool = measure::Length::ofMm(20'000);              // 230 m: more than is left
    mine.supplies[0].length = measure::Length::ofInches(30, 1);
    theirs.supplies[0].length = measure::Length::ofInches(30, 1);
    const auto both = quilt::merged(before, mine, theirs);
    EXPECT_EQ(both.webs[0].length(), measure::Length::ofInches(55, 1));
    EXPECT_EQ(both.threads[0].spool, measure::Length{});
    EXPECT_EQ(both.supplies[0].length, measure::Length::ofInches(24, 1));
}

TEST(Uncut, IsWhatWasThereAndWhatWasPutIn) {
    const auto before = shed();
    auto now = before;
    now.webs[0].stock = quilt::Roll{measure::Length::ofInches(10, 1)};
    now.offCuts = {{"shed/web/2-9", "shed/web", shape::rectangle({0, 0, 50, 50}).rings, "", ""}};
    now.threads.push_back({{}, "gold", {200, 160, 40}, "", "shed/gold", {}, {}, {}});
    const auto undone = quilt::uncut(before, now);
    EXPECT_EQ(undone.webs, before.webs);
    EXPECT_EQ(undone.offCuts, before.offCuts) << "what came off the web has not";
    EXPECT_EQ(undone.threads.size(), 2U);
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
