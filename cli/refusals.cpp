// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/refusals.hpp"

#include "core/base/text.hpp"
#include "core/store/file.hpp"

#include <CLI/CLI.hpp>
#include <charconv>

namespace up::cli {

Result<void> refuseOverInput(const Words& words) {
    auto inputs = words.files;
    inputs.push_back(words.file);
    inputs.push_back(words.stash);
    for (const auto& input : inputs)
        if (store::isSameFile(input, words.out))
            return failure(Code::badUse, {"the result would be written over " + input +
                                          ", which it is made from; give another "
                                          "file with -o"});
    return {};
}

CLI::Validator number(double least, double most) {
    const auto range = "a number from " + plainNumber(least, 2) + " to " + plainNumber(most, 2);
    return {[=](std::string& text) -> std::string {
                const auto value = numberIn(text);
                return value && *value >= least && *value <= most ? "" : "“" + text + "” is not " + range;
            },
            range, "number"};
}

CLI::Validator wholeNumber() {
    return {[](std::string& text) -> std::string {
                std::uint64_t value = 0;
                const auto [end, wrong] = std::from_chars(text.data(), text.data() + text.size(), value);
                const bool whole = wrong == std::errc() && end == text.data() + text.size();
                return whole ? "" : "“" + text + "” is not a whole number from 0";
            },
            "a whole number", "whole number"};
}

} // namespace up::cli
