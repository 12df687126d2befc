// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/file.hpp"

#include <cerrno>
#include <cstring>
#include <fcntl.h>
#include <fstream>
#include <iostream>
#include <sstream>
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

} // namespace

Result<std::string> readFile(const std::string& path) {
    struct stat info {};
    if (::stat(path.c_str(), &info) != 0) return failure(Code::cannotOpen, {path, std::strerror(errno)});
    if (S_ISDIR(info.st_mode)) return failure(Code::cannotOpen, {path, std::strerror(EISDIR)});
    if (static_cast<std::size_t>(info.st_size) > mostBytes) return failure(Code::tooLarge, {path, "256 MB"});
    std::ifstream in(path, std::ios::binary);
    std::ostringstream text;
    text << in.rdbuf();
    if (!in) return failure(Code::cannotOpen, {path, std::strerror(errno ? errno : EIO)});
    return text.str();
}

Result<void> writeFile(const std::string& asked, const std::string& bytes, const WriteCall& write) {
    if (asked == "-") {
        std::cout << bytes << std::flush;
        return std::cout ? Result<void>{} : writeFailure("standard output", errno);
    }
    const std::string path = targetOf(asked);
    struct stat old {};
    const bool known = ::stat(path.c_str(), &old) == 0;
    if (known && !S_ISREG(old.st_mode) && !S_ISDIR(old.st_mode)) return writeInto(path, bytes, write);
    const std::string folder = folderOf(path);
    std::string aside = path + ".XXXXXX";
    const int descriptor = ::mkostemp(aside.data(), O_CLOEXEC);
    if (descriptor < 0) return writeFailure(asked, errno);
    const mode_t mask = ::umask(0);
    ::umask(mask);
    ::fchmod(descriptor, known ? old.st_mode & 07777 : 0666 & ~mask);
    int reason = writeAll(descriptor, bytes, write);
    if (!reason && ::fsync(descriptor) != 0) reason = errno;
    if (::close(descriptor) != 0 && !reason) reason = errno;
    if (!reason && ::rename(aside.c_str(), path.c_str()) != 0) reason = errno;
    if (reason) {
        ::unlink(aside.c_str());
        return writeFailure(asked, reason);
    }
    syncFolder(folder);
    return {};
}

} // namespace up::store
