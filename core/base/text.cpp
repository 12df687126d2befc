// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/text.hpp"

#include <cctype>
#include <charconv>
#include <cmath>

namespace up {

std::string plainNumber(double value, int decimals) {
    if (!std::isfinite(value)) return "0";
    char buffer[400];
    const auto end =
        std::to_chars(buffer, buffer + sizeof buffer, value, std::chars_format::fixed, decimals).ptr;
    std::string text(buffer, end);
    if (text.find('.') != std::string::npos) {
        text.erase(text.find_last_not_of('0') + 1);
        if (text.back() == '.') text.pop_back();
    }
    return text == "-0" ? "0" : text;
}

std::optional<double> numberIn(std::string_view text) {
    if (!text.empty() && text.front() == '+') text.remove_prefix(1);
    double value = 0;
    const auto [end, wrong] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (wrong != std::errc() || end != text.data() + text.size() || !std::isfinite(value))
        return std::nullopt;
    return value;
}

std::string_view trimmed(std::string_view text) {
    constexpr std::string_view blanks = " \t\r\n\f\v";
    const auto first = text.find_first_not_of(blanks);
    if (first == std::string_view::npos) return {};
    return text.substr(first, text.find_last_not_of(blanks) - first + 1);
}

namespace {

/// Bytes of the character that begins there, 0 when it is none. Source: RFC 3629, section 4.
std::size_t characterAt(std::string_view text, std::size_t at) {
    const auto byte = [&](std::size_t i) {
        return at + i < text.size() ? static_cast<unsigned char>(text[at + i]) : 0U;
    };
    const auto goesOn = [&](std::size_t i) { return (byte(i) & 0xC0U) == 0x80U; };
    const unsigned first = byte(0), second = byte(1);
    if (first < 0x80) return 1;
    if (first >= 0xC2 && first <= 0xDF) return goesOn(1) ? 2 : 0;
    if (first >= 0xE0 && first <= 0xEF) {
        const bool fits = !(first == 0xE0 && second < 0xA0) && !(first == 0xED && second > 0x9F);
        return fits && goesOn(1) && goesOn(2) ? 3 : 0;
    }
    if (first >= 0xF0 && first <= 0xF4) {
        const bool fits = !(first == 0xF0 && second < 0x90) && !(first == 0xF4 && second > 0x8F);
        return fits && goesOn(1) && goesOn(2) && goesOn(3) ? 4 : 0;
    }
    return 0;
}

} // namespace

bool isUtf8(std::string_view text) {
    for (std::size_t i = 0; i < text.size();) {
        const auto length = characterAt(text, i);
        if (length == 0) return false;
        i += length;
    }
    return true;
}

std::string latinWhereNotUtf8(std::string_view text) {
    std::string out;
    out.reserve(text.size());
    for (std::size_t i = 0; i < text.size();) {
        const auto length = characterAt(text, i);
        const auto byte = static_cast<unsigned char>(text[i]);
        if (length > 0) {
            out += text.substr(i, length);
        } else {
            out += static_cast<char>(0xC0U | (byte >> 6U));
            out += static_cast<char>(0x80U | (byte & 0x3FU));
        }
        i += std::max<std::size_t>(length, 1);
    }
    return out;
}

std::string asUtf8(std::string_view text) {
    auto out = latinWhereNotUtf8(text);
    for (char& c : out)
        if (static_cast<unsigned char>(c) < 0x20 || c == 0x7F) c = ' ';
    return out;
}

bool sameName(const std::string& a, const std::string& b) {
    return std::equal(a.begin(), a.end(), b.begin(), b.end(),
                      [](unsigned char x, unsigned char y) { return std::tolower(x) == std::tolower(y); });
}

} // namespace up
