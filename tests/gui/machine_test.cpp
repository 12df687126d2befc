// SPDX-License-Identifier: GPL-3.0-or-later
// The cutting machine: mats, cut files, the stand-in's path, time and refusals, the dialog.
#include "app/dialogs/machine_dialog.hpp"
#include "app/session/aside.hpp"
#include "core/store/file.hpp"
#include "intake/dxf/dxf.hpp"
#include "intake/svg/svg.hpp"
#include "output/dxf/dxf.hpp"
#include "output/pages/pages.hpp"
#include "output/svg/svg.hpp"
#include "tests/gui/bench.hpp"
#include "tests/support/shapes.hpp"
#include "tests/support/tool.hpp"

#include <QAction>
#include <QCheckBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <set>

namespace up::test {
namespace {

using app::CutRun;
using app::SampleCutter;
using measure::Length;

std::string svgOf(const std::vector<shape::Ring>& rings) {
    sheet::Page page{304.8, 304.8, {{"red", {}, {}, {}}}};
    for (const auto& ring : rings)
        page.layers[0].items.push_back(sheet::Shape{
            {shape::contourThrough(ring)}, std::nullopt, sheet::Pen{{200, 0, 0}, 0.1, sheet::Dash::solid}});
    return output::writeSvg(page);
}

/// 400 mm of cut at 40 mm a second, half a second to lift and lower, 141 mm of way at 120. By arithmetic.
TEST(SampleCutter, ShowsThePathAndTheTime) {
    const auto run = must(SampleCutter().cut(svgOf({square(100, 100, 100)})));
    EXPECT_TRUE(run.refusals.empty());
    ASSERT_EQ(run.strokes.size(), 2U);
    EXPECT_FALSE(run.strokes[0].cutting);
    EXPECT_NEAR(shape::lengthOf(run.strokes[1].line), 400, 0.01);
    EXPECT_EQ(run.strokes[1].line.front(), run.strokes[1].line.back()) << "cut all round";
    EXPECT_NEAR(run.seconds, 400 / 40.0 + 141.42 / 120 + 0.5, 0.02);
}

TEST(SampleCutter, RefusesWhatLeavesTheMatOrIsTooFine) {
    const shape::Ring needle{{50, 50}, {150, 50}, {150, 51}, {50, 51}};
    const auto run = must(SampleCutter().cut(svgOf({square(10, 10, 30), square(290, 100, 30), needle})));
    ASSERT_EQ(run.refusals.size(), 2U);
    EXPECT_EQ(run.refusals[0].why, CutRun::Refusal::Why::offTheMat);
    EXPECT_EQ(run.refusals[1].why, CutRun::Refusal::Why::tooFine);
    EXPECT_EQ(std::count_if(run.strokes.begin(), run.strokes.end(), [](const auto& s) { return s.cutting; }),
              1);
    EXPECT_TRUE(must(SampleCutter().cut(svgOf({square(0, 0, 304.8)}))).refusals.empty()) << "the whole mat";
    EXPECT_FALSE(SampleCutter().cut("no drawing"));
}

TEST(SampleCutter, TakesTheNearestNext) {
    const auto run =
        must(SampleCutter().cut(svgOf({square(250, 0, 10), square(10, 0, 10), square(120, 0, 10)})));
    std::vector<double> lefts;
    for (const auto& stroke : run.strokes)
        if (stroke.cutting) lefts.push_back(stroke.line.front().x);
    EXPECT_TRUE(std::is_sorted(lefts.begin(), lefts.end()));
}

quilt::Quilt mixed() {
    std::vector<Drawn> drawn;
    Random random(3);
    for (int i = 0; i < 9; ++i) {
        auto ring = randomStar(random);
        for (auto& p : ring)
            p = p * (i < 2 ? 1.0 : 0.25) + shape::Point{114, 114};
        drawn.push_back({"p" + std::to_string(i), ring, {static_cast<std::uint8_t>(90 * (i % 2)), 40, 90}});
    }
    return quiltOf(drawn);
}

TEST(MachinePlan, SmallPiecesByMachineLargeOnesByHandEachFabricOnItsMat) {
    const auto quilt = mixed();
    const auto& block = quilt.blocks[0];
    Job job;
    plan::MachineOptions options;
    options.rounds = 2;
    const auto plan = must(plan::planMachine(quilt, block, options, job));
    std::size_t pieces = 0;
    for (const auto& mat : plan.mats)
        for (const auto& [id, outline] : mat.lines) {
            ++pieces;
            EXPECT_EQ(find(block.pieces, id)->fabric, mat.fabric);
            const auto box = boundsOf(*find(block.pieces, id)->outline);
            EXPECT_LE(std::max(box.width(), box.height()), options.below->mm());
            EXPECT_LT(signedArea(outline.edge) * signedArea(find(block.pieces, id)->outline->edge), 0)
                << "mirrored";
        }
    EXPECT_EQ(pieces + plan.byHand.size(), block.pieces.size());
    EXPECT_GT(plan.byHand.size(), 0U);
    options.byFabric = false;
    EXPECT_EQ(must(plan::planMachine(quilt, block, options, job)).mats.size(), 1U);
    options.below.reset();
    EXPECT_TRUE(must(plan::planMachine(quilt, block, options, job)).byHand.empty());
    options.matWidth = options.matHeight = Length::ofMm(30);
    EXPECT_FALSE(must(plan::planMachine(quilt, block, options, job)).tooLarge.empty());
}

/// Written and read again: the same areas, the right way up.
TEST(WriteDxf, HoldsTheShapesAtTrueSizeAndUnmirrored) {
    const auto quilt = mixed();
    const auto& block = quilt.blocks[0];
    Job job;
    const auto plan = must(plan::planMachine(quilt, block, {}, job));
    const auto pages = output::matPages(quilt, block, plan, 304.8, 304.8);
    ASSERT_FALSE(pages.empty());
    const auto bytes = must(output::writeDxf(pages[0]));
    EXPECT_NE(bytes.find("POLYLINE"), std::string::npos);
    const auto back = must(intake::readDxf(bytes, "mat.dxf"));
    ASSERT_EQ(back.shapes.size(), plan.mats[0].lines.size());
    double written = 0, read = 0;
    for (const auto& [id, outline] : plan.mats[0].lines)
        written += shape::regionOf(outline).area();
    for (const auto& drawn : back.shapes)
        read += shape::regionOf(drawn.outline).area();
    EXPECT_NEAR(read, written, written * 1e-3);
    // Not mirrored on the way: each shape lies on its own when the page is laid on it.
    shape::Box box, was;
    for (const auto& drawn : back.shapes)
        box.take(boundsOf(drawn.outline));
    std::vector<shape::Region> there, here;
    for (const auto& [id, outline] : plan.mats[0].lines)
        was.take(boundsOf(outline)), here.push_back(shape::regionOf(outline));
    for (const auto& drawn : back.shapes)
        there.push_back(shape::transformed(shape::regionOf(drawn.outline),
                                           shape::Transform::moveBy(was.left - box.left, was.top - box.top)));
    EXPECT_LT(shape::subtract(shape::unite(here), shape::unite(there)).area(), written * 1e-3);
}

/// Both versions say the same to another reader (ezdxf), which finds nothing wrong in either.
TEST(WriteDxf, AnotherReaderFindsNothingWrong) {
    const auto quilt = mixed();
    const auto page = must(output::cutSheet(quilt, quilt.blocks[0]));
    const TempDir dir;
    std::vector<QStringList> read;
    for (const auto version : {output::DxfVersion::r12, output::DxfVersion::r2000}) {
        const auto file = dir.file("cut.dxf");
        ASSERT_TRUE(store::writeFile(file, must(output::writeDxf(page, version))));
        const auto run =
            tool("/usr/bin/python3 '" + source("tests/outside/audit_dxf.py") + "' '" + file + "'");
        ASSERT_EQ(run.code, 0) << run.out;
        read.push_back(QString::fromStdString(run.out).split(' '));
        ASSERT_EQ(read.back().size(), 5) << run.out;
        EXPECT_EQ(read.back()[1], "0") << "faults";
    }
    EXPECT_EQ(read[0][0], "AC1009");
    EXPECT_EQ(read[1][0], "AC1015");
    EXPECT_GT(read[0][2].toInt(), 0);
    EXPECT_EQ(read[0].mid(2), read[1].mid(2)) << "as many outlines, as large, on the same layers";
}

class Machine : public WindowTest {};

TEST_F(Machine, ShowsMatsTimesAndWritesOneFileForEach) {
    importInto("ducks.svg", 24);
    climb(app::View::cut);
    m_asker.machineAnswer = [&](const app::MachineQuestion& question) {
        app::MachineDialog dialog(question);
        dialog.show();
        EXPECT_SOON(!dialog.isBusy());
        EXPECT_GT(dialog.runs().size(), 1U) << "a mat for each fabric";
        dialog.findChild<QCheckBox*>("machine.byFabric")->click();
        EXPECT_SOON(!dialog.isBusy());
        EXPECT_EQ(dialog.runs().size(), 1U);
        dialog.findChild<QLineEdit*>("machine.below")->setText("1/8 in");
        emit dialog.findChild<QLineEdit*>("machine.below")->editingFinished();
        EXPECT_SOON(!dialog.isBusy());
        EXPECT_TRUE(dialog.runs().empty());
        EXPECT_FALSE(dialog.findChild<QPushButton*>("machine.svg")->isEnabled());
        dialog.findChild<QCheckBox*>("machine.small")->click();
        EXPECT_SOON(!dialog.isBusy());
        EXPECT_GE(dialog.runs().size(), 1U);
        m_asker.files = {QString::fromStdString(m_dir.file("ducks.dxf")),
                         QString::fromStdString(m_dir.file("ducks.svg"))};
        dialog.findChild<QPushButton*>("machine.dxf")->click();
        dialog.findChild<QPushButton*>("machine.svg")->click();
    };
    click("cut.machine");
    EXPECT_TRUE(said().contains("mirrored already")) << said().toStdString();
    EXPECT_FALSE(must(intake::readDxf(readAll(m_dir.file("ducks 1.dxf")), "d")).shapes.empty());
    EXPECT_FALSE(must(intake::readSvg(readAll(m_dir.file("ducks 1.svg")), "s")).shapes.empty());
}

/// Stand-ins are there with the sample quilt only: nobody sends a pattern to a machine that does not exist.
TEST_F(Machine, WithoutTheSampleQuiltThereAreNoStandIns) {
    m_standIns = false;
    openWindow();
    importInto("windlass.svg", 8);
    EXPECT_FALSE(find<QAction>("file.scan").isVisible());
    m_asker.printAnswer = [&](const app::PrintQuestion& question) { EXPECT_TRUE(question.printers.empty()); };
    room().sheets.print(app::SheetCommands::Sheets::placement);
    m_asker.machineAnswer = [&](const app::MachineQuestion& question) {
        app::MachineDialog dialog(question);
        dialog.show();
        EXPECT_FALSE(dialog.findChild<QPushButton*>("machine.send")->isVisible());
        EXPECT_SOON(!dialog.isBusy());
        EXPECT_TRUE(dialog.findChild<QPushButton*>("machine.svg")->isEnabled());
    };
    room().sheets.cutByMachine();
    room().openSample(); // would rather not lose what is there
    EXPECT_FALSE(find<QAction>("file.scan").isVisible());
    m_asker.saves = {app::SaveAnswer::discard};
    room().openSample();
    EXPECT_TRUE(find<QAction>("file.scan").isVisible());
}

TEST_F(Machine, CutFilesThatAreThereAreAskedAbout) {
    openSample();
    const auto file = m_dir.file("mats 1.svg");
    writeAll(file, "precious");
    m_asker.files = {QString::fromStdString(m_dir.file("mats.svg")),
                     QString::fromStdString(m_dir.file("mats.svg"))};
    m_asker.yeses = {false, true};
    m_asker.machineAnswer = [&](const app::MachineQuestion& question) {
        const sheet::Page page{304.8, 304.8, {}};
        question.write(app::CutFormat::svg, {page});
        EXPECT_EQ(readAll(file), "precious");
        question.write(app::CutFormat::svg, {page});
        EXPECT_NE(readAll(file), "precious");
    };
    room().sheets.cutByMachine();
}

/// A limit so small that nothing is left, and the button at once: there is no mat to cut.
TEST_F(Machine, NothingIsCutThatIsNotThere) {
    openSample();
    m_asker.machineAnswer = [&](const app::MachineQuestion& question) {
        app::MachineDialog dialog(question);
        dialog.show();
        auto& send = *dialog.findChild<QPushButton*>("machine.send");
        QTest::keyClick(&dialog, Qt::Key_Return); // before there is any plan
        QTest::mouseClick(&send, Qt::LeftButton);
        EXPECT_FALSE(dialog.isCutting());
        EXPECT_SOON(!dialog.isBusy());
        auto& below = *dialog.findChild<QLineEdit*>("machine.below");
        below.setText("0.01");
        emit below.editingFinished();
        send.setEnabled(true);
        send.click();
        EXPECT_FALSE(dialog.isCutting());
        EXPECT_SOON(!dialog.isBusy());
        send.setEnabled(true);
        send.click();
        EXPECT_FALSE(dialog.isCutting());
    };
    room().sheets.cutByMachine();
}

/// What was typed while the blade moves waits: the mats that are being cut stay.
TEST_F(Machine, TheMatsStayWhileTheBladeMoves) {
    openSample();
    m_asker.machineAnswer = [&](const app::MachineQuestion& question) {
        app::MachineDialog dialog(question);
        dialog.show();
        EXPECT_SOON(!dialog.isBusy());
        const auto mats = dialog.runs().size();
        dialog.findChild<QPushButton*>("machine.send")->click();
        ASSERT_TRUE(dialog.isCutting());
        auto& below = *dialog.findChild<QLineEdit*>("machine.below");
        below.setText("0.01");
        emit below.editingFinished();
        EXPECT_SOON(!app::jobs::anyAtWork());
        EXPECT_EQ(dialog.runs().size(), mats);
        dialog.findChild<QPushButton*>("machine.send")->click();
        EXPECT_FALSE(dialog.isCutting());
    };
    room().sheets.cutByMachine();
}

TEST_F(Machine, CutsAMatAndTicksWhatWasBonded) {
    openSample(); // the narrowboat: some of it is bonded
    climb(app::View::cut);
    std::set<std::uint32_t> bonded;
    for (const auto& piece : block().pieces)
        if (piece.work.step == quilt::Step::bonded) bonded.insert(piece.id.value);
    ASSERT_FALSE(bonded.empty());
    std::set<std::uint32_t> onMats;
    m_asker.machineAnswer = [&](const app::MachineQuestion& question) {
        app::MachineDialog dialog(question);
        dialog.show();
        EXPECT_SOON(!dialog.isBusy());
        auto& send = *dialog.findChild<QPushButton*>("machine.send");
        auto& mats = *dialog.findChild<QListWidget*>("machine.mats");
        QTest::mouseClick(&send, Qt::LeftButton);
        EXPECT_TRUE(dialog.isCutting());
        QTest::mouseClick(&send, Qt::LeftButton); // Stop
        EXPECT_FALSE(dialog.isCutting());
        EXPECT_FALSE(dialog.runs()[0].cut);
        for (int row = 0; row < mats.count(); ++row) {
            mats.setCurrentRow(row);
            for (const auto id : cutBy(dialog.runs()[static_cast<std::size_t>(row)]))
                onMats.insert(id.value);
            if (!send.isEnabled()) continue;
            QTest::mouseClick(&send, Qt::LeftButton);
            EXPECT_SOON(!dialog.isCutting());
            EXPECT_TRUE(mats.item(row)->text().startsWith("✓")) << mats.item(row)->text().toStdString();
        }
    };
    click("cut.machine");
    int ticked = 0;
    for (const auto& piece : block().pieces) {
        const bool cut = piece.work.step == quilt::Step::cleanCut;
        EXPECT_EQ(cut, bonded.contains(piece.id.value) && onMats.contains(piece.id.value)) << piece.name;
        ticked += cut ? 1 : 0;
    }
    EXPECT_GT(ticked, 0);
    while (session().history().canUndo())
        session().undo();
    for (const auto& piece : block().pieces)
        EXPECT_NE(piece.work.step, quilt::Step::cleanCut);
}

/// A needle on the mat: refused by the machine, so it counts as not cut.
TEST(CutBy, LeavesOutWhatTheMachineRefuses) {
    const shape::Ring needle{{50, 50}, {150, 50}, {150, 51}, {50, 51}};
    app::MatRun run{{}, {}, SampleCutter().cut(svgOf({square(10, 100, 30), needle})), {}, false};
    run.mat.lines = {{PieceId{1}, {shape::contourThrough(square(10, 100, 30)), {}}},
                     {PieceId{2}, {shape::contourThrough(needle), {}}}};
    EXPECT_EQ(cutBy(run), std::vector<PieceId>{PieceId{1}});
}

} // namespace
} // namespace up::test
