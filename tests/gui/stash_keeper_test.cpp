// SPDX-License-Identifier: GPL-3.0-or-later
// One stash for all quilts: what windows do to it reaches the others, and nothing is lost.
#include "app/session/aside.hpp"
#include "app/session/stash_keeper.hpp"
#include "core/edit/cloths.hpp"
#include "core/edit/stacking.hpp"
#include "tests/gui/patience.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

#include <QFile>
#include <QtTest>
#include <gtest/gtest.h>

namespace up::test {
namespace {

/// A window without its widgets.
struct Room {
    explicit Room(const TempDir& dir)
        : session([] { return 1'790'000'000; }), keeper(session, QString::fromStdString(dir.path()), 5) {
        QObject::connect(&session, &app::Session::trouble, [this](const QString& text) { said << text; });
        open();
    }
    void open() {
        auto quilt = quilt::emptyQuilt("test");
        quilt = must(edit::addFabric(quilt, "moss", {60, 100, 60}));
        session.startNew(quilt);
    }
    void add(const std::string& name, double width = 100) {
        quilt::Cloth cloth{};
        cloth.key = keeper.newKey(), cloth.name = name;
        cloth.fabric = session.quilt().fabrics.front().id;
        cloth.outline = shape::rectangle({0, 0, width, 80}).rings;
        session.apply(edit::putCloth(session.quilt(), cloth), "put in");
    }
    void cutOff(const std::string& name, double width) {
        auto quilt = session.quilt();
        for (auto& cloth : quilt.cloths)
            if (cloth.name == name) cloth.outline = shape::rectangle({0, 0, width, 80}).rings;
        session.apply(quilt, "cut");
    }
    std::vector<std::string> names() const {
        std::vector<std::string> out;
        for (const auto& cloth : session.quilt().cloths)
            out.push_back(cloth.name);
        std::sort(out.begin(), out.end());
        return out;
    }
    double width(const std::string& name) const {
        for (const auto& cloth : session.quilt().cloths)
            if (cloth.name == name) return shape::Region{cloth.outline}.bounds().width();
        return 0;
    }
    /// What the file holds.
    std::size_t kept() const {
        const auto stash = keeper.place().read();
        return stash ? stash->cloths.size() : 0;
    }

    app::Session session;
    app::StashKeeper keeper;
    QStringList said;
};

using Names = std::vector<std::string>;

TEST(StashKeeper, IsSharedByAllQuiltsAndWindows) {
    const TempDir dir;
    Room one(dir);
    EXPECT_FALSE(one.keeper.place().isThere()) << "nothing is written before there is something";
    one.add("slate");
    EXPECT_SOON(one.kept() == 1);
    Room other(dir);
    EXPECT_EQ(other.names(), (Names{"slate"}));
    one.add("oak"), other.add("rose");
    EXPECT_SOON(other.kept() == 3);
    one.keeper.look(), other.keeper.look();
    EXPECT_SOON(one.names() == (Names{"oak", "rose", "slate"}));
    EXPECT_SOON(other.names() == one.names());
    EXPECT_FALSE(one.session.quilt().cloths[0].key == one.session.quilt().cloths[1].key);
}

TEST(StashKeeper, UndoTakesBackOnesOwnDeedsAndNobodyElses) {
    const TempDir dir;
    Room one(dir);
    one.add("slate");
    EXPECT_SOON(one.kept() == 1);
    Room other(dir);
    other.add("rose");
    EXPECT_SOON(other.kept() == 2);
    one.add("oak");
    EXPECT_SOON(one.names() == (Names{"oak", "rose", "slate"}));
    one.session.undo();
    EXPECT_EQ(one.names(), (Names{"rose", "slate"})) << "the rose came from the other window";
    one.session.undo();
    EXPECT_EQ(one.names(), (Names{"rose"}));
    EXPECT_SOON(one.kept() == 1);
    one.session.redo();
    one.session.redo();
    EXPECT_EQ(one.names(), (Names{"oak", "rose", "slate"}));
    EXPECT_SOON(one.kept() == 3);
}

TEST(StashKeeper, WhatBothCutOffIsOffForBoth) {
    const TempDir dir;
    Room one(dir);
    one.add("slate", 200);
    EXPECT_SOON(one.kept() == 1);
    Room other(dir);
    one.cutOff("slate", 150), other.cutOff("slate", 120);
    EXPECT_SOON(!app::jobs::anyAtWork());
    QTest::qWait(50);
    one.keeper.look(), other.keeper.look();
    EXPECT_SOON(one.width("slate") == 120 && other.width("slate") == 120);
}

TEST(StashKeeper, WhatIsNotKeptHasNotBeenCut) {
    const TempDir dir;
    Room one(dir);
    one.add("slate", 200);
    EXPECT_SOON(one.kept() == 1);
    ASSERT_TRUE(one.session.saveTo(QString::fromStdString(dir.file("q.upstairs"))));
    one.cutOff("slate", 50);
    one.add("by hand");
    EXPECT_SOON(one.kept() == 2);
    one.session.discard();
    one.open();
    EXPECT_EQ(one.names(), (Names{"by hand", "slate"}));
    EXPECT_EQ(one.width("slate"), 200);
}

TEST(StashKeeper, WhatIsUsedOfARollIsTakenOffItOnce) {
    const TempDir dir;
    Room one(dir), other(dir);
    auto web = quilt::emptyQuilt("").webs.front();
    web.id = {}, web.name = "Heavy", web.key = one.keeper.newKey();
    web.stock = quilt::Roll{measure::Length::ofInches(90, 1)};
    one.session.apply(edit::putWeb(one.session.quilt(), web), "put in");
    const auto left = [&](const Room& room) {
        for (const auto& known : room.session.quilt().webs)
            if (known.name == "Heavy") return known.length().inches();
        return 0.0;
    };
    const auto use = [&](Room& room, int inches) {
        auto quilt = room.session.quilt();
        for (auto& known : quilt.webs)
            if (known.name == "Heavy")
                known.stock = quilt::Roll{known.length() - measure::Length::ofInches(inches, 1)};
        room.session.apply(quilt, "put away");
    };
    const auto inFile = [&] {
        const auto stash = one.keeper.place().read();
        return stash && !stash->webs.empty() ? stash->webs.front().length().inches() : 0.0;
    };
    EXPECT_SOON(inFile() == 90);
    other.keeper.look();
    EXPECT_SOON(left(other) == 90);
    use(one, 10);
    use(other, 25);
    EXPECT_SOON(inFile() == 55);
    one.open(), other.open(); // whatever is still on its way is written, once
    EXPECT_EQ(inFile(), 55);
    EXPECT_EQ(left(one), 55);
    EXPECT_EQ(left(other), 55);
}

TEST(StashKeeper, ClothOfAnotherStashStaysWithItsQuilt) {
    const TempDir here, there;
    Room one(there);
    one.add("slate");
    const auto file = QString::fromStdString(there.file("q.upstairs"));
    auto quilt = one.session.quilt();
    quilt::Block block{};
    block.id = BlockId{quilt.nextId++}, block.name = "Lock", block.background = quilt.fabrics[0].id;
    quilt.blocks.push_back(block);
    one.session.apply(quilt, "block");
    ASSERT_TRUE(one.session.saveTo(file));
    Room elsewhere(here);
    elsewhere.add("rose");
    EXPECT_SOON(elsewhere.kept() == 1);
    ASSERT_TRUE(elsewhere.session.open(file, {}));
    EXPECT_EQ(elsewhere.names(), (Names{"rose", "slate"}));
    elsewhere.keeper.look();
    QTest::qWait(40);
    EXPECT_SOON(!app::jobs::anyAtWork());
    EXPECT_EQ(elsewhere.kept(), 1U) << "the slate is not in this house";
}

TEST(StashKeeper, AFileThatIsTakenOverThrowsNothingAway) {
    const TempDir dir;
    Room one(dir);
    one.add("slate");
    EXPECT_SOON(one.kept() == 1);
    const auto file = QString::fromStdString(dir.file("q.upstairs"));
    ASSERT_TRUE(one.session.saveTo(
        file, store::FileLock(file.toStdString()))); // without the slate: no piece is of moss
    EXPECT_EQ(readAll(file.toStdString()).find("slate"), std::string::npos);
    auto text = readAll(file.toStdString());
    text.replace(text.find("\"test\""), 6, "\"changed\"");
    writeAll(file.toStdString(), text);
    ASSERT_TRUE(one.session.takeOver());
    EXPECT_EQ(one.session.quilt().name, "changed");
    EXPECT_EQ(one.names(), (Names{"slate"}));
    QTest::qWait(40);
    EXPECT_SOON(!app::jobs::anyAtWork());
    EXPECT_EQ(one.kept(), 1U);
}

TEST(StashKeeper, WhatCannotBeReadIsSaidOnceAndLeftAsItIs) {
    for (const std::string bad :
         {R"({"format":"upstairs-stash","version":99,"cloths":[]})", R"({"format":"upstairs-st)"}) {
        const TempDir dir;
        writeAll(dir.file("stash.json"), bad);
        Room one(dir);
        one.add("slate");
        one.keeper.look();
        one.open();
        EXPECT_SOON(!app::jobs::anyAtWork());
        EXPECT_EQ(readAll(dir.file("stash.json")), bad);
        EXPECT_SOON(one.said.size() == 1);
        QTest::qWait(20);
        ASSERT_EQ(one.said.size(), 1) << "not once more for each thing that is done";
        EXPECT_TRUE(one.said.front().contains("stash.json"));
    }
}

TEST(StashKeeper, AStashThatIsGoneIsSaid) {
    const TempDir dir;
    Room one(dir);
    one.add("slate");
    EXPECT_SOON(one.kept() == 1);
    QFile::remove(QString::fromStdString(dir.file("stash.json")));
    one.keeper.look();
    one.keeper.look();
    ASSERT_EQ(one.said.size(), 1);
    EXPECT_TRUE(one.said.front().contains("stash.json"));
    EXPECT_EQ(one.names(), (Names{"slate"})) << "nothing is lost in the quilt";
    one.add("oak");
    EXPECT_SOON(one.kept() == 2);
}

} // namespace
} // namespace up::test
