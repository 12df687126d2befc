// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/file_lock.hpp"

#include <array>
#include <charconv>
#include <fcntl.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>
#include <utility>

namespace up::store {
namespace {

std::string thisHost() {
    std::array<char, 256> name{};
    ::gethostname(name.data(), name.size() - 1);
    return name.data();
}

/// "host process"; nothing when it says something else.
std::optional<Holder> holderIn(int descriptor) {
    std::array<char, 512> text{};
    const auto n = ::pread(descriptor, text.data(), text.size(), 0);
    const std::string_view said(text.data(), n > 0 ? static_cast<std::size_t>(n) : 0);
    const auto blank = said.rfind(' ');
    if (blank == std::string_view::npos) return std::nullopt;
    Holder out{std::string(said.substr(0, blank)), 0, false};
    std::from_chars(said.data() + blank + 1, said.data() + said.size(), out.process);
    out.isHere = out.host == thisHost();
    return out;
}

/// Whether the name still leads to the open file: whoever lets go removes it.
bool isStillThere(int descriptor, const std::string& path) {
    struct stat open {
    }, named{};
    return ::fstat(descriptor, &open) == 0 && ::stat(path.c_str(), &named) == 0 &&
           open.st_ino == named.st_ino && open.st_dev == named.st_dev;
}

} // namespace

FileLock::FileLock(const std::string& path, bool evenIf) : m_path(path + ".lock") {
    for (;;) {
        const int descriptor = ::open(m_path.c_str(), O_CREAT | O_RDWR | O_CLOEXEC | O_NOFOLLOW, 0666);
        if (descriptor < 0) return; // a folder that is only to be read
        const bool mine = ::flock(descriptor, LOCK_EX | LOCK_NB) == 0;
        if (mine && !isStillThere(descriptor, m_path)) {
            ::close(descriptor);
            continue;
        }
        const auto holder = holderIn(descriptor);
        if (!mine || (holder && !holder->isHere && !evenIf)) {
            m_other = holder.value_or(Holder{thisHost(), 0, true});
            m_other->isHere = m_other->isHere || !mine;
            ::close(descriptor);
            return;
        }
        const auto said = thisHost() + " " + std::to_string(::getpid());
        if (::ftruncate(descriptor, 0) != 0 ||
            ::pwrite(descriptor, said.data(), said.size(), 0) != static_cast<ssize_t>(said.size()))
            m_other.reset(); // it is held all the same; it only does not say by whom
        m_descriptor = descriptor;
        return;
    }
}

FileLock::FileLock(FileLock&& other) noexcept
    : m_path(std::move(other.m_path)), m_descriptor(std::exchange(other.m_descriptor, -1)),
      m_other(std::move(other.m_other)) {}

FileLock& FileLock::operator=(FileLock&& other) noexcept {
    if (this == &other) return *this;
    letGo();
    m_path = std::move(other.m_path);
    m_descriptor = std::exchange(other.m_descriptor, -1);
    m_other = std::move(other.m_other);
    return *this;
}

FileLock::~FileLock() {
    letGo();
}

void FileLock::letGo() {
    if (m_descriptor < 0) return;
    ::unlink(m_path.c_str());
    ::close(m_descriptor);
    m_descriptor = -1;
}

} // namespace up::store
