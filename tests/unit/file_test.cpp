// SPDX-License-Identifier: GPL-3.0-or-later
// Saving is all or nothing, whatever goes wrong.
#include "core/store/file_lock.hpp"
#include "core/store/quilt_file.hpp"
#include "core/store/quilt_place.hpp"
#include "core/store/recovery.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"

#include <cerrno>
#include <csignal>
#include <fcntl.h>
#include <filesystem>
#include <gtest/gtest.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

namespace up::store {
namespace {

namespace fs = std::filesystem;
using test::TempDir;

std::size_t filesIn(const std::string& folder) {
    return static_cast<std::size_t>(std::distance(fs::directory_iterator(folder), fs::directory_iterator()));
}

/// Writes `room` bytes, then the disk is full.
WriteCall fullAfter(std::size_t room) {
    return [left = room](int descriptor, const char* bytes, std::size_t count) mutable -> long {
        if (left == 0) {
            errno = ENOSPC;
            return -1;
        }
        const auto n = std::min(left, count);
        left -= n;
        return ::write(descriptor, bytes, n);
    };
}

TEST(WriteFile, ReplacesTheOldBytesWhole) {
    const TempDir dir;
    ASSERT_TRUE(writeFile(dir.file("a"), "old"));
    ASSERT_TRUE(writeFile(dir.file("a"), "new and longer"));
    EXPECT_EQ(test::readAll(dir.file("a")), "new and longer");
    EXPECT_EQ(filesIn(dir.path()), 1U) << "nothing is left beside it";
}

TEST(WriteFile, AFullDiskLeavesTheOldFile) {
    const TempDir dir;
    ASSERT_TRUE(writeFile(dir.file("a"), "precious"));
    for (const std::size_t room : {0U, 1U, 7U, 5000U}) {
        const auto failed = writeFile(dir.file("a"), std::string(10'000, 'x'), {fullAfter(room)});
        ASSERT_FALSE(failed);
        EXPECT_EQ(failed.error().code, Code::diskFull);
        EXPECT_EQ(test::readAll(dir.file("a")), "precious");
        EXPECT_EQ(filesIn(dir.path()), 1U);
    }
}

TEST(WriteFile, ARealFullDiskIsNamedAsOne) {
    if (!fs::exists("/dev/full")) GTEST_SKIP();
    const TempDir dir;
    // A write that goes to the kernel's always-full device, as on a disk without room.
    const auto toFull = [](int, const char* bytes, std::size_t count) -> long {
        FILE* full = std::fopen("/dev/full", "w");
        std::setbuf(full, nullptr);
        const auto n = std::fwrite(bytes, 1, count, full);
        const int why = errno;
        std::fclose(full);
        errno = why;
        return n > 0 ? static_cast<long>(n) : -1;
    };
    EXPECT_EQ(writeFile(dir.file("a"), "bytes", {toFull}).error().code, Code::diskFull);
}

TEST(WriteFile, AnInterruptedCallIsTriedAgain) {
    const TempDir dir;
    int calls = 0;
    const auto interrupted = [&](int descriptor, const char* bytes, std::size_t count) -> long {
        if (++calls % 2) {
            errno = EINTR;
            return -1;
        }
        return ::write(descriptor, bytes, std::min<std::size_t>(count, 3));
    };
    ASSERT_TRUE(writeFile(dir.file("a"), "eleven byte", {interrupted}));
    EXPECT_EQ(test::readAll(dir.file("a")), "eleven byte");
}

TEST(WriteFile, APipeStaysAPipe) {
    const TempDir dir;
    const auto pipe = dir.file("pipe");
    ASSERT_EQ(::mkfifo(pipe.c_str(), 0600), 0);
    const int reader = ::open(pipe.c_str(), O_RDONLY | O_NONBLOCK);
    ASSERT_TRUE(writeFile(pipe, "hello"));
    char bytes[8] = {};
    EXPECT_EQ(::read(reader, bytes, sizeof bytes), 5);
    EXPECT_STREQ(bytes, "hello");
    ::close(reader);
    EXPECT_TRUE(fs::is_fifo(pipe)) << "not replaced by a file";
    EXPECT_EQ(filesIn(dir.path()), 1U);
}

TEST(WriteFile, AMissingFolderIsNamed) {
    const auto failed = writeFile("/no/such/folder/a", "x");
    ASSERT_FALSE(failed);
    EXPECT_EQ(failed.error().code, Code::cannotWrite);
    EXPECT_EQ(failed.error().args.front(), "/no/such/folder/a");
}

/// Root may write anywhere, so a child does it as nobody.
TEST(WriteFile, AnUnwritableFolderIsNamedAndNothingLost) {
    const TempDir dir;
    ASSERT_TRUE(writeFile(dir.file("a"), "old"));
    ::chmod(dir.path().c_str(), 0555);
    const pid_t child = ::fork();
    if (child == 0) {
        if (::getuid() == 0 && ::setuid(65534) != 0) ::_exit(3);
        const auto failed = writeFile(dir.file("a"), "new");
        ::_exit(!failed && failed.error().code == Code::cannotWrite ? 0 : 1);
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    EXPECT_EQ(WEXITSTATUS(status), 0);
    EXPECT_EQ(test::readAll(dir.file("a")), "old");
}

TEST(WriteFile, KeepsALinkAndTheFilesRights) {
    const TempDir dir;
    ASSERT_TRUE(writeFile(dir.file("real"), "old"));
    ::chmod(dir.file("real").c_str(), 0640);
    fs::create_symlink(dir.file("real"), dir.file("link"));
    ASSERT_TRUE(writeFile(dir.file("link"), "new"));
    EXPECT_TRUE(fs::is_symlink(dir.file("link")));
    EXPECT_EQ(test::readAll(dir.file("real")), "new");
    struct stat info {};
    ::stat(dir.file("real").c_str(), &info);
    EXPECT_EQ(info.st_mode & 07777, 0640U);
}

/// A child that saves again and again; killed at a moment of the machine's choosing.
TEST(SaveQuilt, AKillInTheMiddleLeavesOneOfTheTwoQuilts) {
    const TempDir dir;
    auto first = test::smallQuilt(), second = first;
    first.name = "first";
    second.name = std::string(200'000, 's');
    const auto path = dir.file("q.upstairs");
    ASSERT_TRUE(saveQuilt(path, first));
    for (int round = 0; round < 25; ++round) {
        const pid_t child = ::fork();
        if (child == 0) {
            for (;;) {
                (void)saveQuilt(path, second);
                (void)saveQuilt(path, first);
            }
        }
        ::usleep(static_cast<useconds_t>(500 + 700 * round));
        ::kill(child, SIGKILL);
        ::waitpid(child, nullptr, 0);
        const auto read = loadQuilt(path);
        ASSERT_TRUE(read) << round;
        EXPECT_TRUE(read->name == first.name || read->name == second.name);
    }
}

TEST(ReadFile, NamesAFolderAndAMissingFile) {
    const TempDir dir;
    EXPECT_EQ(readFile(dir.path()).error().code, Code::cannotOpen);
    EXPECT_EQ(readFile(dir.file("nothing")).error().code, Code::cannotOpen);
}

TEST(Recovery, AnotherProgramsCopyIsFoundOnceItIsGone) {
    const TempDir dir;
    const auto quilt = test::smallQuilt();
    const pid_t child = ::fork();
    if (child == 0) {
        const RecoveryCopy copy(dir.path());
        (void)copy.keep("/somewhere/q.upstairs", quilt);
        ::_exit(0);
    }
    ::waitpid(child, nullptr, 0);
    {
        const auto left = leftWorks(dir.path());
        ASSERT_EQ(left.works.size(), 1U);
        EXPECT_TRUE(left.works.front().quilt == quilt);
        EXPECT_EQ(left.works.front().file, "/somewhere/q.upstairs");
        EXPECT_TRUE(leftWorks(dir.path()).works.empty()) << "nobody else is offered it meanwhile";
    }
    const auto later = leftWorks(dir.path());
    ASSERT_EQ(later.works.size(), 1U) << "put off is not thrown away";
    later.works.front().copy.drop();
    EXPECT_TRUE(leftWorks(dir.path()).works.empty());
}

TEST(Recovery, TheOwnCopyIsNotOffered) {
    const TempDir dir;
    const RecoveryCopy copy(dir.path());
    ASSERT_TRUE(copy.keep("", test::smallQuilt()));
    EXPECT_TRUE(leftWorks(dir.path()).works.empty());
    struct stat info {};
    ASSERT_EQ(::stat(copy.path().c_str(), &info), 0);
    EXPECT_EQ(info.st_mode & 0777U, 0600U) << "nobody else's business";
}

/// After a restart, or in another container on the same disk, another program may have the number that a
/// crashed one had: the copy and its lock are there, but nobody holds it.
TEST(Recovery, AProcessNumberUsedAgainHidesNothing) {
    const TempDir dir;
    const pid_t child = ::fork();
    if (child == 0) {
        const RecoveryCopy copy(dir.path());
        (void)copy.keep("", test::smallQuilt());
        ::_exit(0);
    }
    ::waitpid(child, nullptr, 0);
    for (const auto& entry : fs::directory_iterator(dir.path()))
        if (entry.path().extension() == ".lock")
            test::writeAll(entry.path().string(), "another-host " + std::to_string(::getpid()));
    EXPECT_EQ(leftWorks(dir.path()).works.size(), 1U);
    EXPECT_EQ(filesIn(dir.path()), 1U) << "no lock is left";
}

TEST(Recovery, TheLockOfAWindowThatKeptNothingGoes) {
    const TempDir dir;
    const pid_t child = ::fork();
    if (child == 0) {
        const RecoveryCopy copy(dir.path());
        ::_exit(0); // as when it is killed: nobody tidies up
    }
    ::waitpid(child, nullptr, 0);
    EXPECT_EQ(filesIn(dir.path()), 1U);
    const RecoveryCopy living(dir.path());
    EXPECT_TRUE(leftWorks(dir.path()).works.empty());
    EXPECT_EQ(filesIn(dir.path()), 1U) << "that of the living one stays";
}

TEST(Recovery, ADamagedCopyIsSetAsideAndNamed) {
    const TempDir dir;
    test::writeAll(dir.file("recovery-1.json"), "{\"format\":");
    test::writeAll(dir.file("recovery-2.json"),
                   R"({"format":"upstairs-recovery","version":1,"file":5,"quilt":{"no":"text"}})");
    const auto left = leftWorks(dir.path());
    EXPECT_TRUE(left.works.empty());
    EXPECT_EQ(left.damaged.size(), 2U);
    EXPECT_TRUE(fs::exists(dir.file("damaged-recovery-1.json"))) << "it may still be mended by hand";
    EXPECT_TRUE(leftWorks(dir.path()).damaged.empty()) << "it is said once";
    EXPECT_TRUE(leftWorks(dir.file("no such folder")).works.empty());
}

TEST(FileLock, IsHeldByOneAndSaysByWhom) {
    const TempDir dir;
    const auto path = dir.file("q.upstairs");
    {
        const FileLock mine(path);
        EXPECT_TRUE(mine.isHeld());
        const FileLock other(path);
        ASSERT_TRUE(other.other());
        EXPECT_FALSE(other.isHeld());
        EXPECT_EQ(other.other()->process, ::getpid());
        EXPECT_TRUE(other.other()->isHere);
    }
    EXPECT_EQ(filesIn(dir.path()), 0U) << "nothing is left of it";
    EXPECT_TRUE(FileLock(path).isHeld());
}

TEST(FileLock, OfAProgramThatIsGoneHoldsNobodyUp) {
    const TempDir dir;
    const auto path = dir.file("q.upstairs");
    const pid_t child = ::fork();
    if (child == 0) {
        const FileLock held(path);
        ::_exit(held.isHeld() ? 0 : 1); // without letting go
    }
    int status = 1;
    ::waitpid(child, &status, 0);
    EXPECT_EQ(status, 0);
    EXPECT_TRUE(fs::exists(path + ".lock"));
    EXPECT_TRUE(FileLock(path).isHeld());
}

/// Of another machine's program nobody here can tell whether it still runs.
TEST(FileLock, OfAnotherMachineIsAskedAbout) {
    const TempDir dir;
    const auto path = dir.file("q.upstairs");
    test::writeAll(path + ".lock", "barge-laptop 77");
    {
        const FileLock lock(path);
        ASSERT_TRUE(lock.other());
        EXPECT_EQ(lock.other()->host, "barge-laptop");
        EXPECT_FALSE(lock.other()->isHere);
    }
    EXPECT_TRUE(FileLock(path, true).isHeld());
}

TEST(QuiltPlace, SeesWhatOthersWrite) {
    const TempDir dir;
    const auto path = dir.file("q.upstairs");
    test::writeAll(path, "first");
    QuiltPlace place(path, FileLock(path), "first");
    EXPECT_EQ(place.look(), OnDisk::asKnown);
    fs::last_write_time(path, fs::last_write_time(path) + std::chrono::seconds(5));
    EXPECT_EQ(place.look(), OnDisk::asKnown) << "touched, not changed";
    test::writeAll(path, "other");
    fs::last_write_time(path, fs::last_write_time(path) + std::chrono::seconds(9));
    EXPECT_EQ(place.look(), OnDisk::changed) << "of the same length";
    test::writeAll(path, "mine now");
    place.wrote("mine now");
    EXPECT_EQ(place.look(), OnDisk::asKnown);
    fs::remove(path);
    EXPECT_EQ(place.look(), OnDisk::gone);
}

TEST(ReadFile, APipeOrADeviceIsRefusedAtOnce) {
    const TempDir dir;
    ASSERT_EQ(::mkfifo(dir.file("pipe").c_str(), 0600), 0);
    EXPECT_EQ(readFile(dir.file("pipe")).error().code, Code::cannotOpen);
    EXPECT_EQ(readFile("/dev/zero").error().code, Code::cannotOpen);
}

TEST(WriteFile, WhatNobodyMayWriteStaysAsItIs) {
    const TempDir dir;
    test::writeAll(dir.file("a"), "precious");
    ::chmod(dir.file("a").c_str(), 0444);
    EXPECT_EQ(writeFile(dir.file("a"), "new").error().code, Code::cannotWrite);
    EXPECT_EQ(test::readAll(dir.file("a")), "precious");
}

/// As any file is made: the mask of whoever runs the program, which no other thread sees changed meanwhile.
TEST(WriteFile, GoesByTheMaskOfItsUser) {
    const TempDir dir;
    const auto before = ::umask(027);
    ASSERT_TRUE(writeFile(dir.file("a"), "x"));
    ::umask(before);
    struct stat info {};
    ASSERT_EQ(::stat(dir.file("a").c_str(), &info), 0);
    EXPECT_EQ(info.st_mode & 0777U, 0640U);
}

} // namespace
} // namespace up::store
