// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/recovery.hpp"

#include "core/store/json.hpp"

#include <algorithm>
#include <filesystem>
#include <random>

namespace up::store {
namespace fs = std::filesystem;

namespace {

constexpr std::string_view prefix = "recovery-", ending = ".json";

/// Process numbers come again, on the same disk even at the same time; these do not.
std::string freshName() {
    constexpr std::string_view digits = "0123456789abcdef";
    std::random_device source;
    std::string out(16, ' ');
    for (char& c : out)
        c = digits[source() % digits.size()];
    return std::string(prefix) + out + std::string(ending);
}

Result<LeftWork> read(RecoveryCopy copy) {
    const auto path = copy.path();
    auto json = readFile(path).and_then([&](const std::string& text) { return parseJson(text, path); });
    if (!json) return tl::unexpected(json.error());
    if (auto ok = expectFormat(*json, path, "upstairs-recovery", 1); !ok) return tl::unexpected(ok.error());
    try {
        const Node node(*json, "");
        auto file = node.at("file").text();
        return readQuilt(node.at("quilt").text(), path).map([&](quilt::Quilt&& quilt) {
            return LeftWork{std::move(copy), std::move(file), std::move(quilt)};
        });
    } catch (const Damaged& damage) {
        return failure(Code::damaged, {path, damage.place, damage.expected});
    }
}

} // namespace

RecoveryCopy::RecoveryCopy(const std::string& folder) {
    std::error_code ignored;
    fs::create_directories(folder, ignored);
    m_path = folder + "/" + freshName();
    m_lock = FileLock(m_path);
}

std::optional<RecoveryCopy> RecoveryCopy::takenOver(const std::string& path) {
    FileLock lock(path, true); // the home of one user, wherever it was used last
    if (!lock.isHeld()) return std::nullopt;
    return RecoveryCopy(path, std::move(lock));
}

Result<void> RecoveryCopy::keep(const std::string& file, const quilt::Quilt& quilt) const {
    const Json out{
        {"format", "upstairs-recovery"}, {"version", 1}, {"file", file}, {"quilt", writeQuilt(quilt)}};
    Writing how;
    how.forOwnerOnly = true, how.synced = false; // what outlives the program is what matters
    return writeFile(m_path, out.dump(-1, ' ', false, Json::error_handler_t::replace), how);
}

void RecoveryCopy::drop() const {
    std::error_code ignored;
    fs::remove(m_path, ignored);
}

LeftWorks leftWorks(const std::string& folder) {
    std::vector<std::pair<fs::file_time_type, fs::path>> found;
    std::error_code wrong;
    for (const auto& entry : fs::directory_iterator(folder, wrong)) {
        const auto name = entry.path().filename().string();
        if (name.starts_with(prefix) && name.ends_with(".lock")) // a window that ended with nothing to keep
            if (const auto copy = entry.path().parent_path() / entry.path().stem(); !fs::exists(copy))
                (void)RecoveryCopy::takenOver(copy.string()); // and let go of: nothing of it is left
        if (name.starts_with(prefix) && name.ends_with(ending))
            found.emplace_back(entry.last_write_time(wrong), entry.path());
    }
    std::sort(found.rbegin(), found.rend());
    LeftWorks out;
    for (const auto& [time, path] : found) {
        auto copy = RecoveryCopy::takenOver(path.string());
        if (!copy) continue;
        if (auto work = read(std::move(*copy))) {
            out.works.push_back(std::move(*work));
        } else if (work.error().code != Code::newerVersion) {
            const auto aside = folder + "/damaged-" + path.filename().string();
            fs::rename(path, aside, wrong);
            if (!wrong) out.damaged.push_back(aside);
        }
    }
    return out;
}

} // namespace up::store
