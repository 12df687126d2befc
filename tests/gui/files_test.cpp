// SPDX-License-Identifier: GPL-3.0-or-later
// Files: saving, opening, recent ones, "save changes?", crash and recovery, bad input through the window.
#include "core/store/quilt_file.hpp"
#include "core/store/recovery.hpp"
#include "tests/gui/bench.hpp"
#include "tests/support/shapes.hpp"

#include <QAction>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QLabel>
#include <QMenu>
#include <QMimeData>
#include <filesystem>

namespace up::test {
namespace {

using app::SaveAnswer;
using app::View;

class FilesTest : public WindowTest {
protected:
    [[nodiscard]] QString file(const char* name) const { return QString::fromStdString(m_dir.file(name)); }
    void change() {
        session().apply(edit::renameQuilt(session().quilt(), "Changed " + std::to_string(++m_changes)),
                        "rename");
    }
    bool close() {
        QCloseEvent event;
        QApplication::sendEvent(&window(), &event);
        return event.isAccepted();
    }
    int m_changes = 0;
};

TEST_F(FilesTest, TheSampleOpensAsACopyThatIsNotSaved) {
    openSample();
    EXPECT_EQ(session().quilt().blocks.size(), 9U);
    EXPECT_TRUE(session().path().isEmpty());
    EXPECT_FALSE(session().isDirty());
    EXPECT_EQ(session().view(), View::landing);
}

TEST_F(FilesTest, SaveAsksForANameOnceAndAddsTheEnding) {
    change();
    EXPECT_TRUE(window().isWindowModified());
    m_asker.files = {file("mine")};
    key(Qt::Key_S, Qt::ControlModifier);
    EXPECT_TRUE(std::filesystem::exists(m_dir.file("mine.upstairs")));
    EXPECT_FALSE(window().isWindowModified());
    change();
    key(Qt::Key_S, Qt::ControlModifier);
    EXPECT_EQ(m_asker.asked.count("Save the quilt"), 1);
    EXPECT_EQ(must(store::loadQuilt(m_dir.file("mine.upstairs"))).name, "Changed 2");
}

TEST_F(FilesTest, ClosingAsksOnlyWhenSomethingChanged) {
    EXPECT_TRUE(close());
    EXPECT_TRUE(m_asker.asked.isEmpty());
    change();
    m_asker.saves = {SaveAnswer::cancel};
    EXPECT_FALSE(close());
    m_asker.saves = {SaveAnswer::discard};
    EXPECT_TRUE(close());
    m_asker.saves = {SaveAnswer::save};
    m_asker.files = {file("kept.upstairs")};
    EXPECT_TRUE(close());
    EXPECT_TRUE(std::filesystem::exists(m_dir.file("kept.upstairs")));
}

TEST_F(FilesTest, AFailedSaveKeepsTheWindowOpenAndSaysWhy) {
    change();
    m_asker.saves = {SaveAnswer::save};
    m_asker.files = {"/no/such/folder/q.upstairs"};
    EXPECT_FALSE(close());
    EXPECT_TRUE(said().contains("cannot be written")) << said().toStdString();
    EXPECT_TRUE(session().isDirty());
}

TEST_F(FilesTest, RecentFilesAreRememberedAndOpen) {
    change();
    m_asker.files = {file("a.upstairs")};
    room().files.saveAs();
    openWindow();
    EXPECT_EQ(room().files.recent(), QStringList{file("a.upstairs")});
    QMenu* recent = nullptr;
    for (auto* menu : window().findChildren<QMenu*>())
        if (menu->menuAction()->objectName() == "file.recent") recent = menu;
    ASSERT_TRUE(recent);
    ASSERT_EQ(recent->actions().size(), 1);
    recent->actions().front()->trigger();
    EXPECT_EQ(session().quilt().name, "Changed 1");
}

TEST_F(FilesTest, ADamagedFileIsRefusedAndTheOpenQuiltStays) {
    openSample();
    writeAll(m_dir.file("bad.upstairs"), "{\"format\":\"upstairs-quilt\",\"version\":1,");
    writeAll(m_dir.file("letter.upstairs"), "Dear quilter, this is a letter.");
    writeAll(m_dir.file("new.upstairs"), "{\"format\":\"upstairs-quilt\",\"version\":99}");
    for (const auto& [name, part] : {std::pair{"bad.upstairs", "damaged"},
                                     {"new.upstairs", "newer Upstairs"},
                                     {"none.upstairs", "cannot be opened"},
                                     {"letter.upstairs", "another kind of file"}}) {
        room().files.openFile(file(name));
        EXPECT_TRUE(said().contains(part)) << said().toStdString();
        EXPECT_EQ(session().quilt().name, "Towpath");
    }
}

TEST_F(FilesTest, ABadDrawingIsRefusedWithASentence) {
    openSample();
    const auto before = session().quilt();
    for (const char* name : {"refused-empty.svg", "refused-not-xml.svg", "refused-other-xml.svg"}) {
        room().imports.importFiles({QString::fromStdString(source(std::string("tests/broken/") + name))});
        EXPECT_SOON(said().contains(name));
        EXPECT_TRUE(session().quilt() == before);
        EXPECT_EQ(find<QLabel>("says").textFormat(), Qt::PlainText)
            << "the file's <html> is shown, not obeyed";
    }
}

TEST_F(FilesTest, ACrossingOutlineIsRepairedAndReported) {
    room().imports.importFiles({QString::fromStdString(source("tests/broken/repaired-crossing.svg"))});
    EXPECT_SOON(said().contains("crossed itself"));
    EXPECT_EQ(block().pieces.size(), 2U);
    EXPECT_EQ(block().name, "repaired-crossing") << "a first block needs no questions";
}

TEST_F(FilesTest, UnsavedWorkIsKeptAsideAndDroppedOnceSaved) {
    change();
    EXPECT_SOON(std::filesystem::exists(room().autosave.copy()));
    m_asker.files = {file("a.upstairs")};
    room().files.saveAs();
    EXPECT_FALSE(std::filesystem::exists(room().autosave.copy()));
}

/// What a crash leaves behind: a copy by a program that is gone.
std::string leaveBehind(const std::string& folder, const std::string& file, const quilt::Quilt& quilt) {
    const store::RecoveryCopy copy(folder);
    EXPECT_TRUE(copy.keep(file, quilt));
    return copy.path();
}

TEST_F(FilesTest, WorkIsTakenUpAgainAfterACrashAndStaysSafeUntilItIsSaved) {
    auto quilt = smallQuilt();
    quilt.name = "Survivor";
    const auto copy = leaveBehind(m_dir.path(), m_dir.file("s.upstairs"), quilt);
    m_asker.decisions = {0};
    room().files.offerRecovery();
    EXPECT_TRUE(session().quilt() == quilt);
    EXPECT_EQ(session().path(), file("s.upstairs"));
    EXPECT_TRUE(session().isDirty()) << "it is not saved yet";
    EXPECT_TRUE(std::filesystem::exists(copy)) << "a second crash loses nothing";
    EXPECT_EQ(room().autosave.copy(), copy);
    ASSERT_TRUE(room().files.save());
    EXPECT_FALSE(std::filesystem::exists(copy));
}

TEST_F(FilesTest, LaterIsNotThrowAway) {
    const auto copy = leaveBehind(m_dir.path(), "", smallQuilt());
    m_asker.decisions = {1};
    room().files.offerRecovery();
    EXPECT_TRUE(std::filesystem::exists(copy));
    room().files.offerRecovery(); // Escape
    EXPECT_TRUE(std::filesystem::exists(copy));
    m_asker.decisions = {2};
    room().files.offerRecovery();
    EXPECT_FALSE(std::filesystem::exists(copy));
}

TEST_F(FilesTest, AFileThatAnotherWindowHasIsOnlyLookedAt) {
    const auto path = file("q.upstairs");
    ASSERT_TRUE(store::saveQuilt(path.toStdString(), smallQuilt()));
    const store::FileLock other(path.toStdString());
    room().files.openFile(path);
    EXPECT_NE(session().path(), path) << "put off: nothing is opened";
    m_asker.decisions = {0};
    room().files.openFile(path);
    EXPECT_EQ(session().path(), path);
    EXPECT_TRUE(session().isReadOnly());
    change();
    m_asker.files = {path, file("mine.upstairs")};
    EXPECT_FALSE(room().files.save()) << "not over the other's file";
    EXPECT_TRUE(must(store::loadQuilt(path.toStdString())) == smallQuilt());
    EXPECT_TRUE(room().files.save());
    EXPECT_EQ(session().path(), file("mine.upstairs"));
    EXPECT_FALSE(session().isReadOnly());
}

TEST_F(FilesTest, WhatOthersWroteIsNotSavedOver) {
    const auto path = file("q.upstairs");
    ASSERT_TRUE(store::saveQuilt(path.toStdString(), smallQuilt()));
    room().files.openFile(path);
    auto theirs = smallQuilt();
    theirs.name = "Theirs, and longer";
    ASSERT_TRUE(store::saveQuilt(path.toStdString(), theirs));
    change();
    EXPECT_FALSE(room().files.save()) << "asked, and put off";
    EXPECT_TRUE(must(store::loadQuilt(path.toStdString())) == theirs);
    m_asker.decisions = {0};
    EXPECT_TRUE(room().files.save());
    EXPECT_TRUE(must(store::loadQuilt(path.toStdString())) == session().quilt());
    int others = 0;
    for (const auto& entry : std::filesystem::directory_iterator(m_dir.path()))
        if (entry.path().filename().string().starts_with("q (other version"))
            others += must(store::loadQuilt(entry.path().string())) == theirs;
    EXPECT_EQ(others, 1) << "both versions are there";
}

TEST_F(FilesTest, TheOthersVersionMayBeTakenAndUndone) {
    const auto path = file("q.upstairs");
    ASSERT_TRUE(store::saveQuilt(path.toStdString(), smallQuilt()));
    room().files.openFile(path);
    change();
    const auto mine = session().quilt();
    auto theirs = smallQuilt();
    theirs.name = "Theirs, and longer";
    ASSERT_TRUE(store::saveQuilt(path.toStdString(), theirs));
    m_asker.decisions = {1};
    room().files.lookAtDisk();
    EXPECT_TRUE(session().quilt() == theirs);
    EXPECT_FALSE(session().isDirty());
    session().undo();
    EXPECT_TRUE(session().quilt() == mine);
}

TEST_F(FilesTest, DrawingsAndQuiltsAreDroppedOnTheWindow) {
    const auto drop = [&](const QString& path) {
        QMimeData data;
        data.setUrls({QUrl::fromLocalFile(path)});
        QDragEnterEvent enter({200, 200}, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(&window(), &enter);
        EXPECT_TRUE(enter.isAccepted());
        QDropEvent event({200, 200}, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(&window(), &event);
    };
    drop(drawing("lamp.svg"));
    EXPECT_SOON(session().block() && block().pieces.size() == 14U);
    auto quilt = smallQuilt();
    quilt.name = "Dropped";
    ASSERT_TRUE(store::saveQuilt(m_dir.file("d.upstairs"), quilt));
    m_asker.saves = {SaveAnswer::discard};
    drop(file("d.upstairs"));
    EXPECT_SOON(session().quilt().name == "Dropped");
}

TEST_F(FilesTest, NewAndRenameAndRemoveBlocks) {
    m_asker.texts = {"First", "12 x 9"};
    room().commands.newBlock();
    EXPECT_EQ(block().name, "First");
    EXPECT_EQ(block().width, measure::Length::ofInches(12, 1));
    m_asker.texts = {"Second"};
    room().commands.renameBlock();
    EXPECT_EQ(block().name, "Second");
    room().commands.removeBlock();
    EXPECT_TRUE(session().quilt().blocks.empty());
    m_asker.texts = {};
    room().commands.newBlock();
    EXPECT_TRUE(session().quilt().blocks.empty()) << "cancelled";
}

} // namespace
} // namespace up::test
