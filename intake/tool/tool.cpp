// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/tool/tool.hpp"

#include "core/base/job.hpp"

#include <array>
#include <cerrno>
#include <chrono>
#include <csignal>
#include <fcntl.h>
#include <poll.h>
#include <spawn.h>
#include <sys/wait.h>
#include <unistd.h>

extern char** environ;

namespace up::intake {
namespace {

constexpr std::size_t mostOutput = 100'000'000;
constexpr int notFound = 127; // what the shell says of a program that is not there

struct Pipe {
    int read = -1, write = -1;
    Pipe() {
        int ends[2];
        if (pipe2(ends, O_CLOEXEC) == 0) read = ends[0], write = ends[1];
    }
    ~Pipe() {
        closeEnd(read);
        closeEnd(write);
    }
    Pipe(const Pipe&) = delete;
    Pipe& operator=(const Pipe&) = delete;
    static void closeEnd(int& end) {
        if (end >= 0) ::close(end);
        end = -1;
    }
};

pid_t start(const std::vector<std::string>& words, const Pipe& out, const Pipe& err) {
    posix_spawn_file_actions_t actions;
    posix_spawn_file_actions_init(&actions);
    posix_spawn_file_actions_addopen(&actions, STDIN_FILENO, "/dev/null", O_RDONLY, 0);
    posix_spawn_file_actions_adddup2(&actions, out.write, STDOUT_FILENO);
    posix_spawn_file_actions_adddup2(&actions, err.write, STDERR_FILENO);
    std::vector<char*> given;
    for (const auto& word : words)
        given.push_back(const_cast<char*>(word.c_str())); // the interface is older than const
    given.push_back(nullptr);
    pid_t child = -1;
    if (posix_spawnp(&child, given.front(), &actions, nullptr, given.data(), environ) != 0) child = -1;
    posix_spawn_file_actions_destroy(&actions);
    return child;
}

/// False once the end is closed.
bool take(int end, std::string& into) {
    std::array<char, 65536> buffer;
    const auto count = read(end, buffer.data(), buffer.size());
    if (count > 0) into.append(buffer.data(), static_cast<std::size_t>(count));
    return count > 0 || (count < 0 && errno == EINTR);
}

/// Whoever leaves it alone takes it along: nobody waits for what it would say.
class Child {
public:
    explicit Child(pid_t child) : m_child(child) {}
    ~Child() {
        if (m_child < 0) return;
        kill(m_child, SIGKILL);
        (void)await();
    }
    Child(const Child&) = delete;
    Child& operator=(const Child&) = delete;
    int await() {
        int status = 0;
        while (waitpid(m_child, &status, 0) < 0 && errno == EINTR) {
        }
        m_child = -1;
        return status;
    }

private:
    pid_t m_child;
};

/// Reads both ends until they close; false when it takes longer than `seconds` on the clock.
bool listen(Pipe& out, Pipe& err, ToolAnswer& answer, int seconds) {
    const auto end = std::chrono::steady_clock::now() + std::chrono::seconds(seconds);
    while (out.read >= 0 || err.read >= 0) {
        std::array<pollfd, 2> ends{pollfd{out.read, POLLIN, 0}, pollfd{err.read, POLLIN, 0}};
        poll(ends.data(), ends.size(), 100);
        breathe();
        if ((ends[0].revents & (POLLIN | POLLHUP)) && !take(out.read, answer.out)) Pipe::closeEnd(out.read);
        if ((ends[1].revents & (POLLIN | POLLHUP)) && !take(err.read, answer.err)) Pipe::closeEnd(err.read);
        if (std::chrono::steady_clock::now() > end || answer.out.size() > mostOutput ||
            answer.err.size() > mostOutput)
            return false;
    }
    return true;
}

} // namespace

ToolAnswer runTool(const std::vector<std::string>& command, ToolLimits limits) {
    ToolAnswer answer;
    // The shell sets the limits and then becomes the program.
    std::vector<std::string> words{"/bin/sh", "-c",
                                   "ulimit -v " + std::to_string(limits.megabytes * 1024) + "; ulimit -t " +
                                       std::to_string(limits.seconds) + "; exec \"$@\"",
                                   "sh"};
    words.insert(words.end(), command.begin(), command.end());
    Pipe out, err;
    const pid_t child = start(words, out, err);
    if (child < 0) {
        answer.end = ToolAnswer::End::missing;
        return answer;
    }
    Pipe::closeEnd(out.write);
    Pipe::closeEnd(err.write);
    Child running{child};
    const bool inTime = listen(out, err, answer, limits.seconds * 2);
    if (!inTime) kill(child, SIGKILL);
    const int status = running.await();
    answer.err = answer.err.substr(0, answer.err.find('\n'));
    if (!inTime || (WIFSIGNALED(status) && (WTERMSIG(status) == SIGXCPU || WTERMSIG(status) == SIGKILL)))
        answer.end = ToolAnswer::End::stopped;
    else if (WIFEXITED(status) && WEXITSTATUS(status) == 0)
        answer.end = ToolAnswer::End::good;
    else if (WIFEXITED(status) && WEXITSTATUS(status) == notFound)
        answer.end = ToolAnswer::End::missing;
    return answer;
}

} // namespace up::intake
