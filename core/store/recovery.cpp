// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/recovery.hpp"

#include "core/store/json.hpp"

#include <algorithm>
#include <charconv>
#include <csignal>
#include <filesystem>
#include <unistd.h>

namespace up::store {
namespace fs = std::filesystem;

namespace {

constexpr std::string_view prefix = "recovery-";

bool stillRuns(const fs::path& copy) {
    const auto name = copy.stem().string();
    int process = 0;
    std::from_chars(name.data() + prefix.size(), name.data() + name.size(), process);
    return process > 0 && (process == ::getpid() || ::kill(process, 0) == 0);
}

} // namespace

std::string recoveryPath(const std::string& folder) {
    std::error_code ignored;
    fs::create_directories(folder, ignored);
    return folder + "/" + std::string(prefix) + std::to_string(::getpid()) + ".json";
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
