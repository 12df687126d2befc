// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/file.hpp"

#include <array>
#include <atomic>
#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <iostream>
#include <sys/stat.h>
#include <unistd.h>

namespace up::store {
namespace {

constexpr std::size_t mostBytes = 256'000'000;

tl::unexpected<Error> writeFailure(const std::string& path, int reason) {
    if (reason == ENOSPC || reason == EDQUOT) return failure(Code::diskFull, {path});
    return failure(Code::cannotWrite, {path, std::strerror(reason)});
}

std::string folderOf(const std::string& path) {
    const auto slash = path.find_last_of('/');
    return slash == std::string::npos ? "." : slash == 0 ? "/" : path.substr(0, slash);
}

/// 0, or the reason.
int writeAll(int descriptor, const std::string& bytes, const WriteCall& write) {
    for (std::size_t at = 0; at < bytes.size();) {
        const long n = write ? write(descriptor, bytes.data() + at, bytes.size() - at)
                             : ::write(descriptor, bytes.data() + at, bytes.size() - at);
        if (n < 0 && errno == EINTR) continue;
        if (n <= 0) return n < 0 ? errno : EIO;
        at += static_cast<std::size_t>(n);
    }
    return 0;
}

void syncFolder(const std::string& folder) {
    const int descriptor = ::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC);
    if (descriptor < 0) return;
    ::fsync(descriptor);
    ::close(descriptor);
}

/// A file that is a link is replaced where it points to, so that the link stays.
std::string targetOf(const std::string& path) {
    char* real = ::realpath(path.c_str(), nullptr);
    if (!real) return path;
    std::string out = real;
    std::free(real);
    return out;
}

/// Devices and pipes take bytes; renaming a file over them would destroy them.
Result<void> writeInto(const std::string& path, const std::string& bytes, const WriteCall& write) {
    const int descriptor = ::open(path.c_str(), O_WRONLY | O_CLOEXEC);
    if (descriptor < 0) return writeFailure(path, errno);
    int reason = writeAll(descriptor, bytes, write);
    if (::close(descriptor) != 0 && !reason) reason = errno;
    return reason ? writeFailure(path, reason) : Result<void>{};
}

/// An open file without a name, or with one that nobody else has; it takes the name it is for once it is
/// whole.
class Fresh {
public:
    Fresh(const std::string& target, mode_t mode) : m_target(target) {
        if (::access("/proc/self/fd", X_OK) == 0) // needed to name it
            m_descriptor = ::open(folderOf(target).c_str(), O_TMPFILE | O_RDWR | O_CLOEXEC, mode);
        if (m_descriptor >= 0) return;
        m_name = nextName(); // not every file system has files without names
        m_descriptor = ::open(m_name.c_str(), O_CREAT | O_EXCL | O_RDWR | O_CLOEXEC, mode);
    }
    Fresh(const Fresh&) = delete;
    Fresh& operator=(const Fresh&) = delete;
    ~Fresh() {
        if (m_descriptor >= 0) ::close(m_descriptor);
        if (!m_name.empty()) ::unlink(m_name.c_str());
    }
    [[nodiscard]] int descriptor() const { return m_descriptor; }
    /// 0, or the reason.
    int takePlace() {
        if (m_name.empty()) {
            m_name = nextName();
            const auto self = "/proc/self/fd/" + std::to_string(m_descriptor);
            if (::linkat(AT_FDCWD, self.c_str(), AT_FDCWD, m_name.c_str(), AT_SYMLINK_FOLLOW) != 0) {
                m_name.clear();
                return errno;
            }
        }
        if (::rename(m_name.c_str(), m_target.c_str()) != 0) return errno;
        m_name.clear();
        return 0;
    }

private:
    [[nodiscard]] std::string nextName() const {
        static std::atomic<unsigned> count = 0;
        return m_target + "." + std::to_string(::getpid()) + "-" + std::to_string(++count) + ".part";
    }
    std::string m_target, m_name;
    int m_descriptor = -1;
};

Result<void> writeOut(const std::string& bytes) {
    std::cout << bytes << std::flush;
    if (std::cout) return {};
    return writeFailure("standard output", errno ? errno : EIO);
}

constexpr mode_t anyMayWrite = S_IWUSR | S_IWGRP | S_IWOTH;

} // namespace

Result<std::string> readFile(const std::string& path) {
    // Not waiting: a pipe that nobody writes to would keep us for ever.
    const int descriptor = ::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK);
    if (descriptor < 0) return failure(Code::cannotOpen, {path, std::strerror(errno)});
    const auto refuse = [&](const std::string& why) {
        ::close(descriptor);
        return failure(Code::cannotOpen, {path, why});
    };
    struct stat info {};
    if (::fstat(descriptor, &info) != 0) return refuse(std::strerror(errno));
    if (S_ISDIR(info.st_mode)) return refuse(std::strerror(EISDIR));
    if (!S_ISREG(info.st_mode)) return refuse("it is a pipe or a device, not a file");
    std::string out;
    std::array<char, 1 << 16> buffer{};
    for (;;) {
        const auto n = ::read(descriptor, buffer.data(), buffer.size());
        if (n < 0 && errno == EINTR) continue;
        if (n < 0) return refuse(std::strerror(errno));
        if (n == 0) break;
        out.append(buffer.data(), static_cast<std::size_t>(n));
        if (out.size() > mostBytes) {
            ::close(descriptor);
            return failure(Code::tooLarge, {path, "256 MB"});
        }
    }
    ::close(descriptor);
    return out;
}

Result<void> writeFile(const std::string& asked, const std::string& bytes, const Writing& how) {
    if (asked == "-") return writeOut(bytes);
    const std::string path = targetOf(asked);
    struct stat old {};
    const bool known = ::stat(path.c_str(), &old) == 0;
    if (known && S_ISDIR(old.st_mode)) return writeFailure(asked, EISDIR);
    if (known && !S_ISREG(old.st_mode)) return writeInto(path, bytes, how.call);
    if (known && ((old.st_mode & anyMayWrite) == 0 || ::access(path.c_str(), W_OK) != 0))
        return writeFailure(asked, EACCES);
    Fresh fresh(path, how.forOwnerOnly ? 0600 : 0666);
    if (fresh.descriptor() < 0) return writeFailure(asked, errno);
    if (known) ::fchmod(fresh.descriptor(), old.st_mode & 07777);
    int reason = writeAll(fresh.descriptor(), bytes, how.call);
    if (!reason && how.synced && ::fsync(fresh.descriptor()) != 0) reason = errno;
    if (!reason) reason = fresh.takePlace();
    if (reason) return writeFailure(asked, reason);
    if (how.synced) syncFolder(folderOf(path));
    return {};
}

bool isSameFile(const std::string& a, const std::string& b) {
    struct stat one {
    }, other{};
    return ::stat(a.c_str(), &one) == 0 && ::stat(b.c_str(), &other) == 0 && one.st_dev == other.st_dev &&
           one.st_ino == other.st_ino;
}

} // namespace up::store
