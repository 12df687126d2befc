// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/recovery.hpp"

#include "core/store/json.hpp"

#include <algorithm>
#include <fcntl.h>
#include <filesystem>
#include <map>
#include <sys/file.h>
#include <unistd.h>

namespace up::store {
namespace fs = std::filesystem;

namespace {

constexpr std::string_view prefix = "recovery-";

std::string lockOf(const std::string& copy) {
    return copy + ".lock";
}

/// Locks the file without waiting; the descriptor, or -1 when another holds it.
int locked(const std::string& path, int flags) {
    const int descriptor = ::open(path.c_str(), flags | O_RDWR | O_CLOEXEC, 0600);
    if (descriptor >= 0 && ::flock(descriptor, LOCK_EX | LOCK_NB) == 0) return descriptor;
    if (descriptor >= 0) ::close(descriptor);
    return -1;
}

/// A program holds its lock as long as it lives, however it ends; process numbers come again, locks do not.
bool stillRuns(const fs::path& copy) {
    const auto lock = lockOf(copy.string());
    if (!fs::exists(lock)) return false;
    const int descriptor = locked(lock, 0);
    if (descriptor < 0) return true;
    ::unlink(lock.c_str());
    ::close(descriptor);
    return false;
}

} // namespace

std::string recoveryPath(const std::string& folder) {
    static std::map<std::string, int> held; // until the program ends
    std::error_code ignored;
    fs::create_directories(folder, ignored);
    const auto copy = folder + "/" + std::string(prefix) + std::to_string(::getpid()) + ".json";
    if (auto& descriptor = held[copy]; descriptor <= 0) descriptor = locked(lockOf(copy), O_CREAT);
    return copy;
}

Result<void> keepRecovery(const std::string& copy, const std::string& file, const quilt::Quilt& quilt) {
    const Json out{
        {"format", "upstairs-recovery"}, {"version", 1}, {"file", file}, {"quilt", writeQuilt(quilt)}};
    return writeFile(copy, out.dump());
}

void dropRecovery(const std::string& copy) {
    std::error_code ignored;
    fs::remove(copy, ignored);
}

std::vector<Recovery> leftRecoveries(const std::string& folder) {
    std::vector<std::pair<fs::file_time_type, fs::path>> copies;
    std::error_code wrong;
    for (const auto& entry : fs::directory_iterator(folder, wrong)) {
        const auto name = entry.path().filename().string();
        if (name.starts_with(prefix) && name.ends_with(".json") && !stillRuns(entry.path()))
            copies.emplace_back(entry.last_write_time(wrong), entry.path());
    }
    std::sort(copies.rbegin(), copies.rend());
    std::vector<Recovery> out;
    for (const auto& [time, path] : copies) {
        const auto text = readFile(path.string());
        const auto json = text ? parseJson(*text, path.string()) : Result<Json>(failure(Code::cannotOpen));
        if (!json || !expectFormat(*json, path.string(), "upstairs-recovery", 1)) continue;
        const auto quiltText = json->value("quilt", std::string());
        if (auto quilt = readQuilt(quiltText, path.string()))
            out.push_back({path.string(), json->value("file", std::string()), std::move(*quilt)});
    }
    return out;
}

} // namespace up::store
