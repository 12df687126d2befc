// SPDX-License-Identifier: GPL-3.0-or-later
// A drawing before it becomes pieces: what is shown, ticked and left out.
#include "app/dialogs/import_dialog.hpp"
#include "app/pictures/import_picture.hpp"
#include "app/session/aside.hpp"
#include "tests/gui/bench.hpp"
#include "tests/gui/questions.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>
#include <QTest>
#include <QThread>
#include <mutex>

namespace up::test {
namespace {

using app::ImportDialog;
using edit::Role;

/// A board with a knot on it, and a leaf apart.
quilt::Drawing board() {
    return drawingOf(
        {{"board", square(20, 20, 120)}, {"knot", square(60, 60, 20)}, {"leaf", square(170, 20, 30)}});
}

class Importing : public testing::Test {
protected:
    void open(int pages = 1, bool first = true) {
        auto pattern = std::make_shared<FakePattern>(board());
        pattern->page = [this](const app::ReadSettings& settings) {
            const std::scoped_lock lock(m_mutex);
            m_asked = settings;
            return Result<quilt::Drawing>(board());
        };
        m_dialog = std::make_unique<ImportDialog>(
            questionAbout(first ? Result<quilt::Drawing>(board()) : failure(Code::emptyDrawing, {"pattern"}),
                          pages, pattern));
        m_dialog->show();
    }
    template<class Widget> Widget& find(const char* name) {
        auto* found = m_dialog->findChild<Widget*>(name);
        if (!found) throw std::runtime_error(name);
        return *found;
    }
    QString button() { return find<QPushButton>("import.add").text(); }
    void click(shape::Point onPage) {
        auto& picture = find<app::ImportPicture>("import.picture");
        QTest::mouseClick(&picture, Qt::LeftButton, {}, picture.pixelOf(onPage).toPoint());
    }
    std::unique_ptr<ImportDialog> m_dialog;
    /// How it was read last.
    [[nodiscard]] app::ReadSettings asked() {
        const std::scoped_lock lock(m_mutex);
        return m_asked;
    }

    std::mutex m_mutex; ///< patterns are read aside
    app::ReadSettings m_asked{0, 0, false};
};

TEST_F(Importing, EverythingFoundIsWantedAtFirst) {
    open();
    EXPECT_EQ(button(), "Add 3 pieces");
    EXPECT_EQ(m_dialog->answer().drawing.shapes.size(), 3U);
    EXPECT_EQ(m_dialog->answer().options.fit, edit::Fit::own) << "it says its size and goes into the block";
}

TEST_F(Importing, AFirstDrawingIsNumberedAnewUnlessItBringsNumbers) {
    auto question = questionAbout(board(), 1);
    question.first = true;
    m_dialog = std::make_unique<ImportDialog>(question);
    EXPECT_TRUE(m_dialog->answer().numbered);
    find<QCheckBox>("import.numbered").click();
    EXPECT_FALSE(m_dialog->answer().numbered);
    auto numbered = drawingOf({{"1 board", square(20, 20, 120)}, {"2", square(60, 60, 20)}});
    question.drawing = numbered;
    m_dialog = std::make_unique<ImportDialog>(question);
    EXPECT_FALSE(m_dialog->answer().numbered) << "its maker has said in which order they go down";
    question.drawing = board(), question.first = false;
    m_dialog = std::make_unique<ImportDialog>(question);
    EXPECT_FALSE(m_dialog->answer().numbered) << "the block has numbers already";
}

/// A board under a closed line that follows no edge, as a reader hands it over.
quilt::Drawing withLineOver() {
    auto out = board();
    quilt::LineOver line{out.shapes[1], 1};
    line.shape.name = "ring", line.shape.origin = quilt::Origin::outline;
    line.marks = {line.shape.outline.edge};
    out.shapes.erase(out.shapes.begin() + 1);
    out.shapes[0].marks = line.marks;
    out.linesOver = {line};
    return out;
}

TEST_F(Importing, LinesOverColoursTurnIntoPiecesAndBackAllAtOnce) {
    open();
    EXPECT_FALSE(find<QCheckBox>("import.linesOver").isVisible()) << "there are none";
    m_dialog = std::make_unique<ImportDialog>(questionAbout(withLineOver(), 1));
    m_dialog->show();
    auto& box = find<QCheckBox>("import.linesOver");
    ASSERT_TRUE(box.isVisible());
    EXPECT_EQ(button(), "Add 2 pieces");
    EXPECT_EQ(m_dialog->answer().drawing.shapes[0].marks.size(), 1U);
    box.click();
    EXPECT_EQ(button(), "Add 3 pieces");
    EXPECT_EQ(m_dialog->answer().drawing.shapes[1].name, "ring");
    EXPECT_TRUE(m_dialog->answer().drawing.shapes[0].marks.empty());
    box.click();
    EXPECT_EQ(button(), "Add 2 pieces");
}

TEST_F(Importing, SizesAreThoseInTheBlockAndTheMarginCounts) {
    auto drawing = drawingOf({{"", square(0, 0, 200)}}); // all of a page of 200 mm
    drawing.width = drawing.height = 200;
    m_dialog = std::make_unique<ImportDialog>(questionAbout(drawing, 1));
    m_dialog->show();
    auto& fit = find<QComboBox>("import.fit");
    fit.setCurrentIndex(static_cast<int>(edit::Fit::page));
    emit fit.activated(fit.currentIndex());
    const auto first = [&] { return find<QListWidget>("import.list").item(0)->text(); };
    EXPECT_TRUE(first().contains("8 × 8 in")) << first().toStdString();
    auto& margin = find<QLineEdit>("import.margin");
    margin.selectAll();
    QTest::keyClicks(&margin, "1");
    EXPECT_TRUE(first().contains("7 × 7 in")) << first().toStdString();
    EXPECT_EQ(m_dialog->answer().options.margin, measure::Length::ofInches(1, 1));
    margin.selectAll();
    for (const char* wrong : {"wide", "-1"}) {
        margin.selectAll();
        QTest::keyClicks(&margin, wrong);
        EXPECT_FALSE(find<QPushButton>("import.add").isEnabled()) << wrong;
    }
    margin.selectAll();
    QTest::keyClicks(&margin, "0");
    EXPECT_TRUE(find<QPushButton>("import.add").isEnabled());
    EXPECT_TRUE(first().contains("9 × 9 in")) << first().toStdString();
}

TEST_F(Importing, NamelessShapesAreListedAsTheyWillBeCalled) {
    auto question = questionAbout(
        drawingOf({{"", square(20, 20, 30)}, {"", square(150, 20, 30)}, {"", square(60, 90, 60)}}), 1);
    question.fabrics = {{FabricId{1}, "reed green", question.drawing->shapes[0].fill, ""}};
    m_dialog = std::make_unique<ImportDialog>(question);
    auto& list = find<QListWidget>("import.list");
    EXPECT_TRUE(list.item(0)->text().contains("reed green 1 left")) << list.item(0)->text().toStdString();
    EXPECT_TRUE(list.item(1)->text().contains("reed green 1 right"));
    EXPECT_TRUE(list.item(2)->text().contains("reed green 2"));
    list.item(1)->setCheckState(Qt::Unchecked);
    EXPECT_FALSE(list.item(0)->text().contains("left")) << "the other one is not wanted";
}

TEST_F(Importing, AClickOnTheTopmostShapeLeavesItOutAndInAgain) {
    open();
    click({70, 70});
    EXPECT_EQ(button(), "Add 2 pieces");
    EXPECT_EQ(find<QListWidget>("import.list").item(1)->checkState(), Qt::Unchecked);
    EXPECT_EQ(m_dialog->answer().drawing.shapes[1].name, "leaf");
    click({70, 70});
    EXPECT_EQ(button(), "Add 3 pieces");
    click({5, 5});
    EXPECT_EQ(button(), "Add 3 pieces") << "beside everything";
}

TEST_F(Importing, TicksInTheListDoTheSame) {
    open();
    find<QListWidget>("import.list").item(2)->setCheckState(Qt::Unchecked);
    EXPECT_EQ(button(), "Add 2 pieces");
    for (int i = 0; i < 2; ++i)
        find<QListWidget>("import.list").item(i)->setCheckState(Qt::Unchecked);
    EXPECT_FALSE(find<QPushButton>("import.add").isEnabled()) << "nothing to add";
}

TEST_F(Importing, AWrongMarginHoldsBackWhateverElseIsTicked) {
    open();
    auto& margin = find<QLineEdit>("import.margin");
    margin.selectAll();
    QTest::keyClicks(&margin, "a thumb");
    EXPECT_FALSE(find<QPushButton>("import.add").isEnabled());
    find<QListWidget>("import.list").item(2)->setCheckState(Qt::Unchecked);
    EXPECT_FALSE(find<QPushButton>("import.add").isEnabled()) << "the margin is still wrong";
    EXPECT_TRUE(m_dialog->trouble().contains("a thumb"));
    margin.selectAll();
    QTest::keyClicks(&margin, "1/2");
    EXPECT_TRUE(find<QPushButton>("import.add").isEnabled());
    EXPECT_EQ(button(), "Add 2 pieces");
}

TEST_F(Importing, AShapeCanBecomeAnInnerMarkOfThePieceBeneath) {
    open();
    find<QListWidget>("import.list").setCurrentRow(1);
    auto& role = find<QComboBox>("import.role");
    role.setCurrentIndex(1);
    emit role.activated(1);
    const auto answer = m_dialog->answer();
    ASSERT_EQ(answer.drawing.shapes.size(), 2U);
    EXPECT_EQ(answer.drawing.shapes[0].marks.size(), 1U);
    EXPECT_TRUE(find<QListWidget>("import.list").item(1)->text().contains("inner mark"));
}

TEST_F(Importing, AnotherPageIsReadAside) {
    open(7, false);
    EXPECT_TRUE(find<QLabel>("import.trouble").text().contains("holds no closed or filled shape"));
    EXPECT_FALSE(find<QPushButton>("import.add").isEnabled());
    auto& page = find<QComboBox>("import.page");
    EXPECT_EQ(page.count(), 7);
    page.setCurrentIndex(3);
    emit page.activated(3);
    EXPECT_TRUE(QTest::qWaitFor([&] { return button() == "Add 3 pieces"; }, test::patience));
    EXPECT_EQ(asked().page, 4);
}

TEST_F(Importing, BordersAreAskedForAndTheSideIsTold) {
    open();
    find<QCheckBox>("import.borders").click();
    EXPECT_TRUE(QTest::qWaitFor([&] { return asked().borders; }, test::patience));
    find<QCheckBox>("import.reversed").click();
    EXPECT_TRUE(m_dialog->answer().options.givenReversed);
}

class ImportInTheWindow : public WindowTest {};

TEST_F(ImportInTheWindow, ADxfAndAScanBecomePieces) {
    TempDir dir;
    writeAll(dir.file("disc.dxf"),
             "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n"
             "10\n50\n20\n50\n40\n30\n0\nENDSEC\n0\nEOF\n");
    room().imports.importFiles({QString::fromStdString(dir.file("disc.dxf"))});
    EXPECT_SOON(session().block() && block().pieces.size() == 1);
    const auto box = boundsOf(*block().pieces[0].outline);
    EXPECT_NEAR(box.width(), 60, 1e-3) << "its own size";
    EXPECT_NEAR(box.centre().x, 114.3, 1e-3) << "in the middle of a 9 in block";
}

TEST_F(ImportInTheWindow, CancelledNothingChanges) {
    m_asker.importAnswer = [](const auto&) { return std::nullopt; };
    const auto before = session().quilt();
    room().imports.importFiles({drawing("heron.svg")});
    bool asked = false;
    m_asker.importAnswer = [&](const app::ImportQuestion& question) {
        asked = question.drawing.has_value() && question.drawing->shapes.size() == 15;
        return std::nullopt;
    };
    EXPECT_SOON(asked);
    EXPECT_TRUE(session().quilt() == before);
}

TEST_F(ImportInTheWindow, ReversedIsTakenFromTheAnswer) {
    m_asker.importAnswer = [](const app::ImportQuestion& question) {
        return app::ImportAnswer{*question.drawing, {true, edit::Fit::page}};
    };
    room().imports.importFiles({drawing("windlass.svg")});
    EXPECT_SOON(session().block() && !block().pieces.empty());
    EXPECT_TRUE(block().givenReversed);
}

TEST_F(Importing, OneKnownLengthSetsTheSize) {
    open();
    const auto& box = find<QCheckBox>("import.measure");
    find<QCheckBox>("import.measure").setChecked(true);
    auto& picture = find<app::ImportPicture>("import.picture");
    const auto a = picture.pixelOf({20, 20}).toPoint(), b = picture.pixelOf({140, 20}).toPoint();
    QTest::mousePress(&picture, Qt::LeftButton, {}, a);
    QMouseEvent move(QEvent::MouseMove, b, picture.mapToGlobal(b), Qt::LeftButton, Qt::LeftButton, {});
    QApplication::sendEvent(&picture, &move);
    QTest::mouseRelease(&picture, Qt::LeftButton, {}, b);
    EXPECT_EQ(button(), "Add 3 pieces") << "a ruler chooses no shape";
    auto& length = find<QLineEdit>("import.length");
    length.selectAll();
    QTest::keyClicks(&length, "6cm");
    QTest::keyClick(&length, Qt::Key_Return);
    EXPECT_TRUE(m_dialog->isVisible()) << "Enter ends the typing, not the dialog";
    EXPECT_FALSE(box.isChecked());
    EXPECT_NEAR(boundsOf(m_dialog->answer().drawing.shapes[0].outline).width(), 60, 0.5);
}

TEST_F(Importing, LettersSayWhichSideItShows) {
    auto pattern = std::make_shared<FakePattern>(board());
    pattern->reads = quilt::Reading::mirrored;
    m_dialog = std::make_unique<ImportDialog>(questionAbout(board(), 1, pattern));
    m_dialog->show();
    EXPECT_SOON(find<QCheckBox>("import.reversed").isChecked());
    EXPECT_TRUE(find<QLabel>("import.side").text().contains("backwards"));
    find<QCheckBox>("import.reversed").click();
    EXPECT_TRUE(find<QLabel>("import.side").text().contains("fused backwards"));
    EXPECT_EQ(m_dialog->answer().drawing.letters, quilt::Reading::mirrored);
    EXPECT_FALSE(m_dialog->answer().options.givenReversed);
}

/// A reading that goes on until it is stopped, or for ten seconds.
Result<quilt::Drawing> readSlowly(Job& job) {
    for (int i = 0; i < 1000 && !job.stopped(); ++i) {
        job.progress(i / 1000.0);
        QThread::msleep(10);
    }
    return failure(Code::stopped);
}

TEST_F(Importing, WhoDoesNotWantToWaitKeepsWhatWasRead) {
    auto pattern = std::make_shared<FakePattern>(board());
    auto question = questionAbout(board(), 1, pattern);
    question.isScan = true;
    std::shared_ptr<Job> job;
    pattern->page = [&](const app::ReadSettings& settings) {
        {
            const std::scoped_lock lock(m_mutex);
            job = settings.job;
        }
        return readSlowly(*settings.job);
    };
    m_dialog = std::make_unique<ImportDialog>(std::move(question));
    m_dialog->show();
    EXPECT_FALSE(find<QPushButton>("reading.stop").isVisible());
    find<QSpinBox>("import.dpi").setValue(300);
    EXPECT_FALSE(find<QPushButton>("import.add").isEnabled()) << "what it is now is not known";
    EXPECT_SOON(find<QPushButton>("reading.stop").isVisible());
    find<QPushButton>("reading.stop").click();
    EXPECT_FALSE(find<QPushButton>("reading.stop").isVisible());
    {
        const std::scoped_lock lock(m_mutex);
        EXPECT_TRUE(job->stopped());
    }
    EXPECT_EQ(find<QSpinBox>("import.dpi").value(), 0) << "as it was read";
    EXPECT_EQ(button(), "Add 3 pieces");
    EXPECT_TRUE(find<QPushButton>("import.add").isEnabled());
    EXPECT_TRUE(find<QLabel>("import.notes").text().contains("read before"));
}

TEST(ReadingAside, TheNewestIsTheOnlyOneThatComesBack) {
    app::Errand reading;
    std::vector<int> came;
    std::shared_ptr<Job> first;
    reading.start(
        "first",
        [&](const std::shared_ptr<Job>& job) {
            first = job;
            (void)readSlowly(*job);
            return 1;
        },
        [&](int value) { came.push_back(value); });
    EXPECT_SOON(reading.percent() > 0);
    reading.start(
        "second", [](const std::shared_ptr<Job>&) { return 2; }, [&](int value) { came.push_back(value); });
    EXPECT_SOON(!reading.isRunning());
    EXPECT_TRUE(first->stopped());
    EXPECT_SOON(!app::jobs::anyAtWork()); // the first comes back to nobody
    EXPECT_EQ(came, std::vector{2});
}

class Scanning : public WindowTest {};

TEST_F(Scanning, ItCanBeStopped) {
    openWindow();
    room().imports.scanPage();
    auto& stop = find<QPushButton>("reading.stop");
    EXPECT_SOON(stop.isVisible());
    stop.click();
    EXPECT_FALSE(stop.isVisible());
    EXPECT_TRUE(said().contains("stopped"));
    EXPECT_SOON(!app::jobs::anyAtWork());
    EXPECT_FALSE(session().block());
}

TEST_F(Scanning, ThePageOnTheSampleScannerBecomesPieces) {
    openWindow();
    room().imports.scanPage();
    EXPECT_SOON(session().block() && block().pieces.size() == 7);
}

} // namespace
} // namespace up::test
