// SPDX-License-Identifier: GPL-3.0-or-later
// The program as a process of its own: killed, and asked for a picture.
#include "core/store/recovery.hpp"
#include "tests/gui/patience.hpp"
#include "tests/support/files.hpp"

#include <QCoreApplication>
#include <QImage>
#include <QProcess>
#include <csignal>
#include <filesystem>

namespace up::test {
namespace {

class ProgramTest : public testing::Test {
protected:
    ProgramTest() {
        // fork, not vfork, which the thread sanitizer takes for this thread going on
        m_process.setChildProcessModifier([] {});
        auto environment = QProcessEnvironment::systemEnvironment();
        environment.insert("XDG_DATA_HOME", QString::fromStdString(m_dir.path()));
        environment.insert("QT_QPA_PLATFORM", "offscreen");
        m_process.setProcessEnvironment(environment);
    }
    void start(const QStringList& words) {
        m_process.start(QCoreApplication::applicationDirPath() + "/upstairs", words);
        ASSERT_TRUE(m_process.waitForStarted());
    }
    struct Ended {
        int code;
        QString said;
    };
    Ended run(const QStringList& words) {
        start(words);
        EXPECT_TRUE(m_process.waitForFinished(patience));
        return {m_process.exitCode(), m_process.readAllStandardError()};
    }
    [[nodiscard]] QString file(const char* name) const { return QString::fromStdString(m_dir.file(name)); }

    TempDir m_dir;
    QProcess m_process;
};

/// While it has unsaved work.
TEST_F(ProgramTest, KilledItLeavesACopy) {
    start(
        {"--demo", "--autosave", "50", "--import", QString::fromStdString(source("demo/drawings/lamp.svg"))});
    const auto folder = m_dir.file("upstairs");
    const auto copies = [&] {
        std::error_code ignored;
        for (const auto& entry : std::filesystem::directory_iterator(folder, ignored))
            if (entry.path().filename().string().starts_with("recovery-") &&
                entry.path().extension() == ".json")
                return true;
        return false;
    };
    EXPECT_SOON(copies());
    ::kill(static_cast<pid_t>(m_process.processId()), SIGKILL);
    m_process.waitForFinished();
    const auto left = store::leftWorks(folder);
    ASSERT_EQ(left.works.size(), 1U);
    EXPECT_EQ(left.works.front().quilt.name, "Towpath");
    EXPECT_EQ(left.works.front().quilt.blocks[0].pieces.size(), 22U + 14U);
}

TEST_F(ProgramTest, APictureIsAsLargeAsWasAskedFor) {
    const auto ended = run({"--demo", "--view", "lay", "--size", "1100x700", "--picture", file("lay.png")});
    EXPECT_EQ(ended.code, 0) << ended.said.toStdString();
    EXPECT_EQ(QImage(file("lay.png")).size(), QSize(1100, 700));
}

TEST_F(ProgramTest, WhatCannotBePicturedIsSaidInOneSentence) {
    writeAll(m_dir.file("none.svg"), "no drawing");
    writeAll(m_dir.file("none.upstairs"), "no quilt");
    const auto expectComplaint = [&](const QStringList& words, const char* about) {
        const auto ended = run(words + QStringList{"--picture", file("out.png")});
        EXPECT_EQ(ended.code, 2) << about;
        EXPECT_TRUE(ended.said.contains(about)) << ended.said.toStdString();
        EXPECT_EQ(ended.said.count("upstairs: "), 1) << ended.said.toStdString();
    };
    expectComplaint({file("none.svg")}, "none.svg is no drawing");
    expectComplaint({file("none.upstairs")}, "none.upstairs");
    expectComplaint({"--demo", "--view", "attic"}, "attic");
}

} // namespace
} // namespace up::test
