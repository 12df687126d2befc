// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/spoken.hpp"

namespace up {
namespace {
const char* (*g_translate)(const char*) = nullptr;
}

void speakBy(const char* (*translate)(const char* english)) {
    g_translate = translate;
}

std::string spoken(const char* english) {
    return g_translate ? g_translate(english) : english;
}

std::string spoken(const char* english, std::initializer_list<std::string> what) {
    auto out = spoken(english);
    int i = 0;
    for (const auto& word : what) {
        const auto place = "{" + std::to_string(i++) + "}";
        if (const auto at = out.find(place); at != std::string::npos) out.replace(at, place.size(), word);
    }
    return out;
}

} // namespace up
