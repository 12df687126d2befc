// SPDX-License-Identifier: GPL-3.0-or-later
// Cloth in the stash and chunks on it, by mouse and keys.
#include "app/dialogs/cloth_dialog.hpp"
#include "app/pictures/cloth_picture.hpp"
#include "core/edit/edits.hpp"
#include "core/plan/bond/bond_plan.hpp"
#include "tests/gui/bench.hpp"
#include "tests/support/shapes.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QPushButton>
#include <fstream>

namespace up::test {
namespace {

class ClothTracing : public WindowTest {
protected:
    ClothTracing() { openSample(); }
};

using app::View;

/// The Windlass: traced, all of its cloth in the stash.
class Cloths : public WindowTest {
protected:
    Cloths() {
        openSample();
        choose("Windlass", View::bond);
    }
    const quilt::Cloth* cloth(const std::string& name) {
        const auto& all = session().quilt().cloths;
        const auto at = std::find_if(all.begin(), all.end(), [&](const auto& c) { return c.name == name; });
        return at == all.end() ? nullptr : &*at;
    }
    void findCloth() {
        click("bond.find");
        EXPECT_SOON(block().onCloth.size() == 7);
    }
    void roughCutFirst() {
        for (int i = 0; i < 20 && session().next().step == quilt::Step::roughCut; ++i)
            key(Qt::Key_Space);
    }
    const plan::ChunkLaid& laid(std::size_t panel) {
        return session().derived().bonding().cloths.at(panel).chunks.front();
    }
    double area(const std::string& name) {
        return cloth(name) ? shape::Region{cloth(name)->outline}.area() : 0;
    }
};

TEST_F(Cloths, SpaceFindsThemBondsAndPutsWhatIsLeftIntoTheStash) {
    EXPECT_EQ(session().next().what, plan::What::layOnCloth);
    key(Qt::Key_Space);
    EXPECT_SOON(block().onCloth.size() == 7);
    const auto before = session().quilt();
    const double brick = area("brick red, cut into");
    roughCutFirst();
    ASSERT_EQ(session().next().step, quilt::Step::bonded);
    const double cut = laid(0).outline.area();
    key(Qt::Key_Space);
    EXPECT_EQ(block().pieces[0].work.step, quilt::Step::bonded);
    EXPECT_NEAR(brick - area("brick red, cut into"), cut, 0.1) << "mm²";
    EXPECT_EQ(block().onCloth.size(), 6U);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(area("brick red, cut into"), brick) << "undo gives the cloth back";
    EXPECT_EQ(block().onCloth.size(), 7U);
}

TEST_F(Cloths, AfterAClickSpaceIsNowsAgain) {
    findCloth();
    ASSERT_EQ(session().next().step, quilt::Step::roughCut);
    key(Qt::Key_Space);
    EXPECT_EQ(block().pieces[0].work.step, quilt::Step::roughCut);
}

TEST_F(Cloths, TheWrongSideIsAskedForOncePerFabric) {
    auto alone = session().quilt(); // the other blocks have bonded most of these before
    std::vector<BlockId> others;
    for (const auto& owner : alone.blocks)
        if (owner.id != session().blockId()) others.push_back(owner.id);
    for (const auto id : others)
        alone = must(edit::removeBlock(alone, id));
    session().apply(alone, "alone");
    key(Qt::Key_Space);
    EXPECT_SOON(block().onCloth.size() == 7);
    const auto bondedBefore = [&](FabricId fabric) {
        for (const auto& owner : session().quilt().blocks)
            for (const auto& piece : owner.pieces)
                if (piece.fabric == fabric && piece.work.step >= quilt::Step::bonded) return true;
        return false;
    };
    int asked = 0, silent = 0;
    for (int i = 0; i < 40 && session().next().what == plan::What::step; ++i) {
        if (session().next().step == quilt::Step::bonded) {
            const bool known = bondedBefore(session().next().fabric);
            EXPECT_EQ(find<QPushButton>("now").text(), known ? "Bonded" : "Wrong side is up: bonded");
            ++(known ? silent : asked);
        }
        key(Qt::Key_Space);
    }
    EXPECT_EQ(asked, 7) << "once for each fabric";
    EXPECT_EQ(silent, 0) << "of which each has one chunk";
    for (int i = 0; i < 40; ++i)
        session().undo();
    auto batik = session().quilt();
    for (auto& fabric : batik.fabrics)
        fabric.alike = true;
    session().apply(batik, "batik");
    for (int i = 0; i < 40 && session().next().what == plan::What::step; ++i) {
        EXPECT_FALSE(find<QPushButton>("now").text().contains("side")) << "no side can be the wrong one";
        key(Qt::Key_Space);
    }
}

TEST_F(Cloths, AChunkIsDraggedAndStaysThere) {
    findCloth();
    const auto& use = session().derived().bonding().cloths.front();
    ASSERT_EQ(use.chunks.size(), 1U);
    const auto number = use.chunks.front().where.chunk;
    const auto before = use.chunks.front().where;
    const auto middle = use.chunks.front().outline.bounds().centre();
    const auto from = onMat(middle), to = onMat({middle.x - 25, middle.y});
    QTest::mousePress(&window().mat(), Qt::LeftButton, {}, from);
    QTest::mouseMove(&window().mat(), (from + to) / 2);
    QTest::mouseMove(&window().mat(), to);
    QTest::mouseRelease(&window().mat(), Qt::LeftButton, {}, to);
    const auto where = [&] {
        for (const auto& on : block().onCloth)
            if (on.chunk == number) return on;
        return quilt::OnCloth{};
    };
    EXPECT_SOON(std::abs(where().x - (before.x - 25)) < 1.5);
    EXPECT_TRUE(where().pinned) << "a hand has put it there";
    const auto there = where();
    click("bond.find");
    EXPECT_SOON(!room().mending.errand().isRunning());
    EXPECT_EQ(where(), there);
    session().choosePiece(session().derived().trace().chunks[laid(0).chunk].pieces.front());
    click("bond.pin");
    EXPECT_FALSE(where().pinned);
    key(Qt::Key_Z, Qt::ControlModifier);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(where(), before) << "the drag is one step";
}

TEST_F(Cloths, LetGoBeyondTheEdgeItGoesBack) {
    findCloth();
    const auto before = block().onCloth;
    const auto middle = laid(0).outline.bounds().centre();
    const auto from = onMat(middle), to = onMat({middle.x - 900, middle.y});
    QTest::mousePress(&window().mat(), Qt::LeftButton, {}, from);
    QTest::mouseMove(&window().mat(), to);
    QTest::mouseRelease(&window().mat(), Qt::LeftButton, {}, to);
    EXPECT_SOON(said().contains("back where it last lay well"));
    auto after = block().onCloth;
    for (std::size_t i = 0; i < after.size(); ++i)
        after[i].pinned = before[i].pinned;
    EXPECT_EQ(after, before);
}

TEST_F(Cloths, AnotherClothIsTakenWithAKey) {
    findCloth();
    const auto grip = named("grip");
    ASSERT_TRUE(grip);
    session().choosePiece(grip);
    const auto on = [&] {
        for (const auto& use : session().derived().bonding().cloths)
            for (const auto& laid : use.chunks)
                if (session().derived().trace().chunks[laid.chunk].pieces.front() == grip) return use.cloth;
        return ClothId{};
    };
    EXPECT_EQ(on(), cloth("oak plank")->id);
    key(Qt::Key_N);
    EXPECT_SOON(on() == cloth("oak, fat eighth")->id);
    EXPECT_EQ(laid(0).lies, plan::Lies::well);
    session().choosePiece(named("arm"));
    key(Qt::Key_N);
    EXPECT_SOON(said().contains("No other cloth")) << "there is one piece of iron";
}

TEST_F(Cloths, ClothIsPutInChangedAndTakenOut) {
    climb(View::stash);
    m_asker.clothAnswer = [](const app::ClothQuestion& question) {
        app::ClothDialog dialog(question);
        dialog.findChild<QLineEdit*>("cloth.name")->setText("rose ribbon");
        dialog.findChild<QPushButton*>("cloth.strip")->click();
        dialog.findChild<QCheckBox*>("cloth.alike")->setChecked(true);
        dialog.accept();
        return std::optional(dialog.answer());
    };
    const auto before = session().quilt();
    click("stash.cloth");
    ASSERT_TRUE(cloth("rose ribbon"));
    EXPECT_NEAR(shape::Region{cloth("rose ribbon")->outline}.bounds().width(), 40 * 25.4, 1e-6);
    EXPECT_FALSE(cloth("rose ribbon")->key.empty());
    EXPECT_TRUE(quilt::find(session().quilt().fabrics, cloth("rose ribbon")->fabric)->alike);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().quilt(), before);
    const auto id = std::get<ClothId>(window().mat().scene().panels.front().tag);
    const auto box = window().mat().scene().panels.front().box;
    m_asker.clothAnswer = [&](const app::ClothQuestion& question) {
        EXPECT_EQ(question.cloth.id, id);
        app::ClothDialog dialog(question);
        dialog.findChild<QPushButton*>("cloth.gone")->click();
        return std::optional(dialog.answer());
    };
    QTest::mouseClick(&window().mat(), Qt::LeftButton, {}, onMat(box.centre()));
    EXPECT_FALSE(quilt::find(session().quilt().cloths, id));
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(quilt::find(session().quilt().cloths, id));
}

TEST(ClothDialog, KeepsAnIrregularOutlineUntilSidesAreTyped) {
    quilt::Quilt quilt = quilt::emptyQuilt("test");
    quilt.fabrics.push_back({FabricId{quilt.nextId++}, "oak", {90, 60, 30}, ""});
    quilt::Cloth cloth{};
    cloth.id = ClothId{quilt.nextId++}, cloth.name = "corner", cloth.fabric = quilt.fabrics[0].id;
    cloth.outline = {{{0, 0}, {100, 0}, {0, 80}}};
    app::ClothDialog dialog({quilt, cloth});
    dialog.findChild<QCheckBox*>("cloth.washed")->setChecked(true);
    EXPECT_EQ(dialog.answer().cloth.outline, cloth.outline);
    EXPECT_TRUE(dialog.answer().cloth.washed);
    auto& size = *dialog.findChild<QLineEdit*>("cloth.size");
    size.setText("9 x 0");
    EXPECT_FALSE(dialog.acceptButton()->isEnabled()) << "a scrap of no area";
    EXPECT_FALSE(dialog.trouble().isEmpty());
    size.setText("9 x 2");
    EXPECT_TRUE(dialog.acceptButton()->isEnabled());
    EXPECT_NEAR(shape::Region{dialog.answer().cloth.outline}.area(), 18 * 25.4 * 25.4, 1e-6);
    auto& picture = *dialog.findChild<app::ClothPicture*>("cloth.picture");
    dialog.show();
    QTest::mouseClick(&picture, Qt::LeftButton, {},
                      QPoint(picture.width() / 2, picture.height() / 2 + 60)); // downwards
    ASSERT_TRUE(dialog.answer().cloth.stripes);
    EXPECT_NEAR(dialog.answer().cloth.stripes->degrees(), 90, 1);
}

TEST_F(ClothTracing, AScrapIsTracedFromADrawingAndMirroredWhenItsRightSideIsUp) {
    // An L, 100 × 60 mm, its foot to the right.
    const auto path = m_dir.file("scrap.svg");
    std::ofstream(path) << R"(<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="200mm"
        viewBox="0 0 200 200"><path d="M20 20 H40 V60 H120 V80 H20 Z" fill="#446"/></svg>)";
    const auto before = session().quilt().cloths.size();
    std::optional<app::ClothQuestion> asked;
    m_asker.clothAnswer = [&](const app::ClothQuestion& question) {
        asked = question;
        app::ClothDialog dialog(question);
        dialog.findChild<QCheckBox*>("cloth.mirrored")->setChecked(true);
        dialog.findChild<QLineEdit*>("cloth.name")->setText("traced");
        dialog.accept();
        return std::optional(dialog.answer());
    };
    m_asker.files = {QString::fromStdString(path)};
    room().cloths.trace();
    EXPECT_SOON(session().quilt().cloths.size() == before + 1);
    ASSERT_TRUE(asked && asked->traced);
    const shape::Region area{session().quilt().cloths.back().outline};
    EXPECT_NEAR(area.area(), 20 * 60 + 80 * 20, 1);
    EXPECT_NEAR(area.bounds().width(), 100, 0.5);
    EXPECT_TRUE(area.contains({90, 10})) << "what stood on the left stands on the right, wrong side up";
    EXPECT_FALSE(area.contains({10, 10}));
    EXPECT_TRUE(session().quilt().cloths.back().scrap);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().quilt().cloths.size(), before);
}

TEST_F(ClothTracing, APhotographWithoutSizeIsMadeAsLargeAsTheClothIs) {
    quilt::Cloth cloth{};
    cloth.outline = {{{0, 0}, {50, 0}, {50, 25}, {0, 20}}};
    cloth.fabric = session().quilt().fabrics[0].id;
    cloth.name = "torn";
    app::ClothDialog dialog({session().quilt(), cloth, true});
    dialog.findChild<QLineEdit*>("cloth.size")->setText("10in x 5in");
    dialog.accept();
    const auto box = shape::Region{dialog.answer().cloth.outline}.bounds();
    EXPECT_NEAR(box.width(), 254, 1e-6);
    EXPECT_NEAR(box.height(), 127, 1e-6);
    EXPECT_EQ(dialog.answer().cloth.outline.front().size(), 4U) << "it keeps its shape";
}

TEST_F(ClothTracing, TheSampleScannersPageHasALargestShape) {
    const auto before = session().quilt().cloths.size();
    m_asker.clothAnswer = [&](const app::ClothQuestion& question) {
        app::ClothDialog dialog(question);
        dialog.findChild<QLineEdit*>("cloth.name")->setText("scanned");
        dialog.accept();
        return std::optional(dialog.answer());
    };
    m_asker.files = {QString::fromUtf8(qgetenv("UPSTAIRS_SHARE")) + "/demo/scanned-page.jpg"};
    room().cloths.trace();
    EXPECT_SOON(session().quilt().cloths.size() == before + 1);
    EXPECT_GT(shape::Region{session().quilt().cloths.back().outline}.area(), 500);
}

} // namespace
} // namespace up::test
