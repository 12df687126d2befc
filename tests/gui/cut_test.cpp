// SPDX-License-Identifier: GPL-3.0-or-later
// Cutting by mouse and keys: cuts in their order, marks on the light box, labels.
#include "app/views/view.hpp"
#include "core/mend/mend.hpp"
#include "tests/gui/bench.hpp"

#include <QLabel>
#include <QPushButton>

namespace up::test {
namespace {

using app::View;
using quilt::Step;

class Cutting : public WindowTest {
protected:
    Cutting() { openSample(); }
    void choose(const std::string& name) {
        for (const auto& one : session().quilt().blocks)
            if (one.name == name) session().chooseBlock(one.id);
    }
    /// Everything of it is on cloth, its paper on, no mark drawn.
    void bonded(const std::string& name) {
        choose(name);
        auto quilt = session().quilt();
        for (auto& piece : quilt::the(quilt.blocks, session().blockId()).pieces)
            piece.work = {Step::bonded, false, 0};
        session().apply(quilt, "bonded");
        climb(View::cut);
    }
    [[nodiscard]] app::Rows rows() { return app::partsFor(session()).rows; }
    [[nodiscard]] bool hasRow(const std::string& text) {
        const auto all = rows().rows;
        return std::any_of(all.begin(), all.end(),
                           [&](const auto& row) { return row.text.find(text) != std::string::npos; });
    }
    [[nodiscard]] std::string becauseNow() { return find<QLabel>("now.because").text().toStdString(); }
};

TEST_F(Cutting, TheNextChunkShowsItsCutsInTheirOrder) {
    choose("Narrowboat");
    climb(View::cut);
    const auto& cut = session().derived().cutting();
    ASSERT_FALSE(cut.chunks.empty());
    ASSERT_TRUE(session().next().cut);
    const auto& scene = window().mat().scene();
    ASSERT_EQ(scene.panels.size(), 1U) << "as large as there is room";
    EXPECT_EQ(scene.panels[0].side, app::Side::paper);
    std::size_t numbers = 0;
    for (const auto& item : scene.panels[0].layers.back().items)
        numbers += std::holds_alternative<sheet::Words>(item) ? 1 : 0;
    EXPECT_EQ(numbers, session().next().cut->cuts);
    EXPECT_EQ(rows().rows[0].text.substr(0, 3), "1. ");
    EXPECT_TRUE(rows().rows[0].next);
    EXPECT_NE(becauseNow().find("in the order of the numbers"), std::string::npos) << becauseNow();
    const auto pieces = session().next().pieces;
    key(Qt::Key_Space);
    for (const auto id : pieces)
        EXPECT_EQ(the(block().pieces, id).work.step, Step::cleanCut);
    EXPECT_NE(session().next().pieces, pieces);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session().next().pieces, pieces);
}

TEST_F(Cutting, AnotherChunkIsShownWhenOneOfItsPiecesIsChosen) {
    choose("Narrowboat");
    climb(View::cut);
    const auto& chunks = session().derived().cutting().chunks;
    ASSERT_GE(chunks.size(), 2U);
    const auto next = session().next().pieces;
    for (const auto& chunk : chunks)
        if (std::find(next.begin(), next.end(), chunk.pieces.front()) == next.end()) {
            session().choosePiece(chunk.pieces.front());
            break;
        }
    EXPECT_EQ(window().mat().scene().panels.size(), 2U);
}

TEST_F(Cutting, MarksComeFirstWithThePenThatSuitsAndTheLightBoxShowsThem) {
    bonded("Heron");
    while (session().next().what == plan::What::step && session().next().step == Step::cleanCut)
        key(Qt::Key_Space);
    ASSERT_EQ(session().next().step, Step::marked);
    EXPECT_NE(becauseNow().find("washes out"), std::string::npos) << becauseNow();
    std::vector<std::string> titles;
    m_asker.lightAnswer = [&](const app::LightBoxQuestion& question) {
        for (const auto& sheet : question.sheets)
            titles.push_back(sheet.title);
        EXPECT_FALSE(question.sheets.front().reversed) << "from the right side";
    };
    click("light.open");
    EXPECT_SOON(!titles.empty());
    EXPECT_NE(titles.front().find("its marks, right side up"), std::string::npos) << titles.front();
    // Marks that are stitched over may be drawn with any pen.
    for (const auto id : session().next().pieces)
        if (the(block().pieces, id).hasMarks()) {
            session().choosePiece(id);
            room().shapes.toggleMarksStitched();
        }
    EXPECT_NE(becauseNow().find("permanent"), std::string::npos) << becauseNow();
}

TEST_F(Cutting, PiecesThatLookAlikeAreToBeLabelled) {
    bonded("Narrowboat");
    ASSERT_FALSE(session().derived().cutting().chunks.empty());
    const auto remake = [&](const shape::Transform& change, const char* what) {
        auto quilt = session().quilt();
        auto& pieces = quilt::the(quilt.blocks, session().blockId()).pieces;
        pieces.back().outline = transformed(*pieces[pieces.size() - 2].outline, change);
        session().apply(quilt, what);
    };
    remake(shape::Transform::moveBy(5, 0), "twins");
    EXPECT_FALSE(hasRow("Label 21 and 22")) << "equal ones: either will do";
    remake(shape::Transform::scale(1.05, 1.05), "a little fuller");
    EXPECT_TRUE(hasRow("Label 21 and 22"));
}

TEST_F(Cutting, LostMarksAreDrawnThroughFromThePlacementSheet) {
    bonded("Heron");
    auto quilt = session().quilt();
    auto& owner = quilt::the(quilt.blocks, session().blockId());
    for (auto& piece : owner.pieces)
        piece.work.step = Step::laid;
    session().apply(quilt, "paper off");
    const auto lost = [&] {
        for (const auto& row : room().checker.rows())
            if (row.worst().kind == check::Kind::marksLost) return true;
        return false;
    };
    EXPECT_SOON(!room().checker.isBusy() && lost());
    for (const auto& row : room().checker.rows())
        if (row.worst().kind == check::Kind::marksLost) {
            ASSERT_EQ(row.worst().fixes.front(), check::Fix::drawnThrough);
            const auto mended = mend::mended(session().quilt(), row.findings, row.worst().fixes.front());
            ASSERT_TRUE(session().apply(mended, "drawn through"));
            break;
        }
    EXPECT_SOON(!room().checker.isBusy() && !lost());
}

TEST_F(Cutting, LabelsForEnvelopesArePrinted) {
    choose("Heron");
    climb(View::cut);
    QString first;
    std::size_t pages = 0;
    m_asker.printAnswer = [&](const app::PrintQuestion& question) {
        const auto& kind = question.kinds[question.first];
        first = kind.name;
        const auto made = kind.make({});
        ASSERT_TRUE(made);
        pages = made->size();
    };
    click("cut.labels");
    EXPECT_EQ(first, "Labels for envelopes");
    EXPECT_GE(pages, 1U);
}

} // namespace
} // namespace up::test
