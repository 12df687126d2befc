// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/values.hpp"

#include "core/base/text.hpp"
#include "intake/svg/colour_words.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <string>

namespace up::intake {
namespace {

using shape::Point;
using shape::Transform;

struct Unit {
    std::string_view name;
    double perUnit;
    bool physical;
};
constexpr std::array units{Unit{"px", 1.0, false},      Unit{"in", 96.0, true},
                           Unit{"cm", 96 / 2.54, true}, Unit{"mm", 96 / 25.4, true},
                           Unit{"pt", 96.0 / 72, true}, Unit{"pc", 16.0, true}};

std::optional<Transform> oneTransform(std::string_view name, const std::vector<double>& v) {
    using measure::Angle;
    const auto n = v.size();
    if (name == "matrix" && n == 6) return Transform{v[0], v[1], v[2], v[3], v[4], v[5]};
    if (name == "translate" && (n == 1 || n == 2)) return Transform::moveBy(v[0], n == 2 ? v[1] : 0);
    if (name == "scale" && (n == 1 || n == 2)) return Transform::scale(v[0], n == 2 ? v[1] : v[0]);
    if (name == "rotate" && n == 1) return Transform::turn(Angle::ofDegrees(v[0]));
    if (name == "rotate" && n == 3) return Transform::turnAbout({v[1], v[2]}, Angle::ofDegrees(v[0]));
    if (name == "skewX" && n == 1)
        return Transform{1, 0, std::tan(Angle::ofDegrees(v[0]).radians()), 1, 0, 0};
    if (name == "skewY" && n == 1)
        return Transform{1, std::tan(Angle::ofDegrees(v[0]).radians()), 0, 1, 0, 0};
    return std::nullopt;
}

std::uint8_t channel(double v) {
    return static_cast<std::uint8_t>(std::clamp(std::lround(v), 0L, 255L));
}

/// The words between the brackets of "rgb(…)": numbers, each with whether it was a percentage.
struct Argument {
    double value;
    bool percent;
};
std::vector<Argument> argumentsIn(std::string_view text) {
    const auto open = text.find('(');
    std::vector<Argument> out;
    if (open == std::string_view::npos) return out;
    Scanner in(text.substr(open + 1));
    while (!in.atEnd() && in.peek() != ')') {
        if (const auto v = in.number())
            out.push_back({*v, false});
        else if (const char c = in.take(); c == '%' && !out.empty())
            out.back().percent = true;
    }
    return out;
}

double alphaOf(const std::vector<Argument>& v) {
    return v.size() < 4 ? 1.0 : std::clamp(v[3].percent ? v[3].value / 100 : v[3].value, 0.0, 1.0);
}

std::optional<Tint> rgbIn(const std::vector<Argument>& v) {
    if (v.size() < 3) return std::nullopt;
    const auto part = [](const Argument& a) { return channel(a.percent ? a.value * 2.55 : a.value); };
    return Tint{{part(v[0]), part(v[1]), part(v[2])}, alphaOf(v)};
}

/// Source: CSS Color Module Level 4, 7.1.
std::optional<Tint> hslIn(const std::vector<Argument>& v) {
    if (v.size() < 3) return std::nullopt;
    const double hue = v[0].value, sat = std::clamp(v[1].value / 100, 0.0, 1.0),
                 light = std::clamp(v[2].value / 100, 0.0, 1.0);
    const double a = sat * std::min(light, 1 - light);
    const auto part = [&](double n) {
        double k = std::fmod(n + hue / 30, 12.0);
        if (k < 0) k += 12;
        return channel(255 * (light - a * std::clamp(std::min(k - 3, 9 - k), -1.0, 1.0)));
    };
    return Tint{{part(0), part(8), part(4)}, alphaOf(v)};
}

std::optional<Tint> hexIn(std::string_view text) {
    const auto isHex = [](char c) {
        return (c >= '0' && c <= '9') || (c >= 'a' && c <= 'f') || (c >= 'A' && c <= 'F');
    };
    std::string digits(text.substr(1));
    if (!std::all_of(digits.begin(), digits.end(), isHex)) return std::nullopt;
    if (digits.size() == 3 || digits.size() == 4) {
        std::string twice;
        for (const char c : digits)
            twice += {c, c};
        digits = twice;
    }
    if (digits.size() != 6 && digits.size() != 8) return std::nullopt;
    const auto colour = colourFromHex("#" + digits.substr(0, 6));
    if (!colour) return std::nullopt;
    return Tint{*colour, digits.size() == 8 ? std::stoi(digits.substr(6), nullptr, 16) / 255.0 : 1.0};
}

} // namespace

void Scanner::skip() {
    const auto end = m_rest.find_first_not_of(" \t\r\n\f,");
    m_rest.remove_prefix(end == std::string_view::npos ? m_rest.size() : end);
}

bool Scanner::atEnd() {
    skip();
    return m_rest.empty();
}

char Scanner::peek() {
    skip();
    return m_rest.empty() ? '\0' : m_rest.front();
}

char Scanner::take() {
    const char c = peek();
    if (!m_rest.empty()) m_rest.remove_prefix(1);
    return c;
}

std::optional<double> Scanner::number() {
    skip();
    std::size_t at = 0;
    const auto digits = [&] {
        const auto from = at;
        while (at < m_rest.size() && m_rest[at] >= '0' && m_rest[at] <= '9')
            ++at;
        return at - from;
    };
    if (at < m_rest.size() && (m_rest[at] == '+' || m_rest[at] == '-')) ++at;
    std::size_t count = digits();
    if (at < m_rest.size() && m_rest[at] == '.') {
        ++at;
        count += digits();
    }
    if (count == 0) return std::nullopt;
    if (at < m_rest.size() && (m_rest[at] == 'e' || m_rest[at] == 'E')) {
        const auto before = at++;
        if (at < m_rest.size() && (m_rest[at] == '+' || m_rest[at] == '-')) ++at;
        if (digits() == 0) at = before;
    }
    const auto value = numberIn(m_rest.substr(0, at));
    if (value) m_rest.remove_prefix(at);
    return value;
}

std::optional<bool> Scanner::flag() {
    const char c = peek();
    if (c != '0' && c != '1') return std::nullopt;
    m_rest.remove_prefix(1);
    return c == '1';
}

std::optional<Point> Scanner::point() {
    const auto x = number();
    const auto y = x ? number() : std::nullopt;
    return y ? std::optional(Point{*x, *y}) : std::nullopt;
}

std::vector<double> numbersIn(std::string_view text) {
    Scanner in(text);
    std::vector<double> out;
    while (const auto v = in.number())
        out.push_back(*v);
    return out;
}

std::optional<Transform> transformIn(std::string_view text) {
    Transform out;
    for (text = trimmed(text); !text.empty();) {
        const auto open = text.find('('), close = text.find(')');
        if (open == std::string_view::npos || close == std::string_view::npos || close < open)
            return std::nullopt;
        auto name = trimmed(text.substr(0, open));
        while (!name.empty() && (name.front() == ',' || name.front() == ' '))
            name.remove_prefix(1);
        const auto next = oneTransform(trimmed(name), numbersIn(text.substr(open + 1, close - open - 1)));
        if (!next) return std::nullopt;
        out = out * *next;
        text = trimmed(text.substr(close + 1));
    }
    return out;
}

bool isPhysical(std::string_view text) {
    text = trimmed(text);
    return std::any_of(units.begin(), units.end(),
                       [&](const Unit& unit) { return unit.physical && text.ends_with(unit.name); });
}

std::optional<double> lengthIn(std::string_view text, std::optional<double> whole, double em) {
    text = trimmed(text);
    const auto times = [&](std::size_t tail, double by) -> std::optional<double> {
        const auto value = numberIn(trimmed(text.substr(0, text.size() - tail)));
        return value ? std::optional(*value * by) : std::nullopt;
    };
    for (const auto& unit : units)
        if (text.ends_with(unit.name)) return times(unit.name.size(), unit.perUnit);
    if (text.ends_with('%')) return whole ? times(1, *whole / 100) : std::nullopt;
    if (text.ends_with("rem")) return times(3, 16);
    if (text.ends_with("em")) return times(2, em);
    if (text.ends_with("ex")) return times(2, em / 2);
    return times(0, 1);
}

std::optional<Tint> tintIn(std::string_view text) {
    text = trimmed(text);
    if (text.starts_with('#')) return hexIn(text);
    if (text.starts_with("rgb")) return rgbIn(argumentsIn(text));
    if (text.starts_with("hsl")) return hslIn(argumentsIn(text));
    if (text == "transparent") return Tint{{0, 0, 0}, 0};
    const auto word = colourWord(text);
    return word ? std::optional(Tint{*word, 1}) : std::nullopt;
}

std::optional<Colour> colourIn(std::string_view text) {
    const auto tint = tintIn(text);
    return tint && tint->alpha > 0 ? std::optional(tint->colour) : std::nullopt;
}

} // namespace up::intake
