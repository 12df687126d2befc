// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/translated.hpp"

#include "core/base/spoken.hpp"

#include <clocale>
#include <libintl.h>

namespace up::words {
namespace {
constexpr const char* catalogue = "upstairs";
}

void chooseLanguage(const std::string& folder) {
    std::setlocale(LC_MESSAGES, "");
    bindtextdomain(catalogue, folder.c_str());
    bind_textdomain_codeset(catalogue, "UTF-8");
    speakBy([](const char* english) { return tr(english); });
}

const char* tr(const char* text) {
    return *text ? dgettext(catalogue, text) : text; // of nothing gettext gives the catalogue's head
}

const char* tr(const Plural& text, std::size_t n) {
    return dngettext(catalogue, text.one, text.many, n);
}

std::string filled(std::string_view text, const std::vector<std::string>& args) {
    std::string out;
    for (std::size_t i = 0; i < text.size(); ++i) {
        if (text[i] != '{' || i + 2 >= text.size() || text[i + 2] != '}') {
            out += text[i];
            continue;
        }
        const auto n = static_cast<std::size_t>(text[i + 1] - '0');
        if (n < args.size()) out += args[n];
        i += 2;
    }
    return out;
}

std::string said(const char* text, const std::vector<std::string>& args) {
    return filled(tr(text), args);
}

std::string said(const Plural& text, std::size_t n, std::vector<std::string> args) {
    args.insert(args.begin(), std::to_string(n));
    return filled(tr(text, n), args);
}

std::string listed(const std::vector<std::string>& items) {
    if (items.empty()) return {};
    std::string out = items.front();
    for (std::size_t i = 1; i < items.size(); ++i)
        out = said(i + 1 == items.size() ? N_("{0} and {1}") : N_("{0}, {1}"), {out, items[i]});
    return out;
}

} // namespace up::words
