// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/path_data.hpp"

#include "core/base/text.hpp"

#include <array>
#include <charconv>
#include <cmath>
#include <numbers>
#include <utility>

namespace up::intake {
namespace {

using shape::Contour;
using shape::Point;
using shape::Transform;

class Scanner {
public:
    explicit Scanner(std::string_view text) : m_rest(text) {}

    void skip(bool commas = true) {
        while (!m_rest.empty() &&
               (std::string_view(" \t\r\n\f").find(m_rest.front()) != std::string_view::npos ||
                (commas && m_rest.front() == ',')))
            m_rest.remove_prefix(1);
    }
    [[nodiscard]] bool atEnd() {
        skip();
        return m_rest.empty();
    }
    [[nodiscard]] char peek() {
        skip();
        return m_rest.empty() ? '\0' : m_rest.front();
    }
    char take() {
        const char c = peek();
        if (c) m_rest.remove_prefix(1);
        return c;
    }
    [[nodiscard]] std::optional<double> number() {
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
    [[nodiscard]] std::optional<bool> flag() {
        const char c = peek();
        if (c != '0' && c != '1') return std::nullopt;
        m_rest.remove_prefix(1);
        return c == '1';
    }
    [[nodiscard]] std::optional<Point> point() {
        const auto x = number();
        const auto y = x ? number() : std::nullopt;
        return y ? std::optional(Point{*x, *y}) : std::nullopt;
    }

private:
    std::string_view m_rest;
};

/// Source: SVG 2, appendix B.2.4 (endpoint to centre), then a cubic for each quarter turn or less.
void arcTo(Contour& to, Point from, double rx, double ry, double turn, bool large, bool sweep, Point end) {
    rx = std::abs(rx), ry = std::abs(ry);
    if (rx < 1e-12 || ry < 1e-12) return to.lineTo(end);
    if (shape::distance(from, end) < 1e-12) return;
    const auto frame = Transform::turn(measure::Angle::ofDegrees(turn));
    const auto back = Transform::turn(measure::Angle::ofDegrees(-turn));
    const Point half = back((from - end) * 0.5);
    const double wide = half.x * half.x / (rx * rx) + half.y * half.y / (ry * ry);
    if (wide > 1) rx *= std::sqrt(wide), ry *= std::sqrt(wide);
    const double below = rx * rx * half.y * half.y + ry * ry * half.x * half.x;
    const double root = std::sqrt(std::max(0.0, rx * rx * ry * ry / below - 1)) * (large == sweep ? -1 : 1);
    const Point c{root * rx * half.y / ry, -root * ry * half.x / rx};
    const Point centre = frame(c) + (from + end) * 0.5;
    const double start = std::atan2((half.y - c.y) / ry, (half.x - c.x) / rx);
    double span = std::atan2((-half.y - c.y) / ry, (-half.x - c.x) / rx) - start;
    if (sweep && span < 0) span += 2 * std::numbers::pi;
    if (!sweep && span > 0) span -= 2 * std::numbers::pi;
    const int parts =
        std::max(1, static_cast<int>(std::ceil(std::abs(span) / (std::numbers::pi / 2) - 1e-9)));
    const double step = span / parts, k = 4.0 / 3 * std::tan(step / 4);
    const auto on = [&](double t, double along) {
        const Point p{rx * (std::cos(t) - along * std::sin(t)), ry * (std::sin(t) + along * std::cos(t))};
        return frame(p) + centre;
    };
    for (int i = 0; i < parts; ++i) {
        const double a = start + step * i, b = a + step;
        to.curveTo(on(a, k), on(b, -k), i + 1 == parts ? end : on(b, 0));
    }
}

class PathReader {
public:
    explicit PathReader(std::string_view data) : m_in(data) {}

    std::vector<Contour> run() {
        while (!m_in.atEnd()) {
            const char c = m_in.peek();
            if (std::isalpha(static_cast<unsigned char>(c)))
                m_command = m_in.take();
            else if (m_command == 'Z' || m_command == 'z' || m_command == '\0')
                break;
            if (m_out.empty() && m_command != 'M' && m_command != 'm') break;
            if (!step()) break;
        }
        std::erase_if(m_out, [](const Contour& contour) { return contour.curves.empty(); });
        return std::move(m_out);
    }

private:
    Contour& open() {
        if (m_closed) { // drawing on after Z starts a new contour where the last one began
            m_out.push_back({m_at, {}, false});
            m_closed = false;
        }
        return m_out.back();
    }
    Point absolute(Point p, bool relative) const { return relative ? p + m_at : p; }

    bool step() {
        const char upper = static_cast<char>(std::toupper(static_cast<unsigned char>(m_command)));
        const bool relative = m_command != upper;
        const char previous = std::exchange(m_previous, upper);
        switch (upper) {
        case 'M': return move(relative);
        case 'Z': return close();
        case 'L':
            if (const auto p = m_in.point()) return line(absolute(*p, relative));
            return false;
        case 'H':
            if (const auto x = m_in.number()) return line({relative ? m_at.x + *x : *x, m_at.y});
            return false;
        case 'V':
            if (const auto y = m_in.number()) return line({m_at.x, relative ? m_at.y + *y : *y});
            return false;
        case 'C': return cubic(relative, false, previous);
        case 'S': return cubic(relative, true, previous);
        case 'Q': return quadratic(relative, false, previous);
        case 'T': return quadratic(relative, true, previous);
        case 'A': return arc(relative);
        default: return false;
        }
    }

    bool move(bool relative) {
        const auto p = m_in.point();
        if (!p) return false;
        m_at = m_out.empty() ? *p : absolute(*p, relative);
        m_out.push_back({m_at, {}, false});
        m_closed = false;
        m_command = relative ? 'l' : 'L';
        return true;
    }
    bool close() {
        if (m_closed) return true;
        m_out.back().closed = true;
        m_at = m_out.back().start;
        return m_closed = true;
    }
    bool line(Point p) {
        open().lineTo(p);
        m_at = p;
        return true;
    }
    bool cubic(bool relative, bool smooth, char previous) {
        std::optional<Point> first =
            smooth ? std::optional(m_at * 2 - (previous == 'C' || previous == 'S' ? m_control : m_at))
                   : m_in.point();
        if (first && !smooth) first = absolute(*first, relative);
        const auto second = m_in.point();
        const auto end = second ? m_in.point() : std::nullopt;
        if (!first || !end) return false;
        m_control = absolute(*second, relative);
        const Point to = absolute(*end, relative);
        open().curveTo(*first, m_control, to);
        m_at = to;
        return true;
    }
    bool quadratic(bool relative, bool smooth, char previous) {
        std::optional<Point> control =
            smooth ? std::optional(m_at * 2 - (previous == 'Q' || previous == 'T' ? m_control : m_at))
                   : m_in.point();
        if (control && !smooth) control = absolute(*control, relative);
        const auto end = m_in.point();
        if (!control || !end) return false;
        m_control = *control;
        const Point to = absolute(*end, relative);
        open().curveTo(m_at + (m_control - m_at) * (2.0 / 3), to + (m_control - to) * (2.0 / 3), to);
        m_at = to;
        return true;
    }
    bool arc(bool relative) {
        const auto rx = m_in.number();
        const auto ry = rx ? m_in.number() : std::nullopt;
        const auto turn = ry ? m_in.number() : std::nullopt;
        const auto large = turn ? m_in.flag() : std::nullopt;
        const auto sweep = large ? m_in.flag() : std::nullopt;
        const auto end = sweep ? m_in.point() : std::nullopt;
        if (!end) return false;
        const Point to = absolute(*end, relative);
        arcTo(open(), m_at, *rx, *ry, *turn, *large, *sweep, to);
        m_at = to;
        return true;
    }

    Scanner m_in;
    std::vector<Contour> m_out;
    Point m_at, m_control;
    char m_command = '\0', m_previous = '\0';
    bool m_closed = false;
};

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

struct ColourWord {
    std::string_view name;
    Colour colour;
};
/// Source: CSS Color Module Level 4, named colours (those met most in drawings).
constexpr std::array colourWords{ColourWord{"black", {0, 0, 0}},       ColourWord{"silver", {192, 192, 192}},
                                 ColourWord{"gray", {128, 128, 128}},  ColourWord{"grey", {128, 128, 128}},
                                 ColourWord{"white", {255, 255, 255}}, ColourWord{"maroon", {128, 0, 0}},
                                 ColourWord{"red", {255, 0, 0}},       ColourWord{"purple", {128, 0, 128}},
                                 ColourWord{"fuchsia", {255, 0, 255}}, ColourWord{"magenta", {255, 0, 255}},
                                 ColourWord{"green", {0, 128, 0}},     ColourWord{"lime", {0, 255, 0}},
                                 ColourWord{"olive", {128, 128, 0}},   ColourWord{"yellow", {255, 255, 0}},
                                 ColourWord{"navy", {0, 0, 128}},      ColourWord{"blue", {0, 0, 255}},
                                 ColourWord{"teal", {0, 128, 128}},    ColourWord{"aqua", {0, 255, 255}},
                                 ColourWord{"cyan", {0, 255, 255}},    ColourWord{"orange", {255, 165, 0}},
                                 ColourWord{"brown", {165, 42, 42}},   ColourWord{"pink", {255, 192, 203}},
                                 ColourWord{"gold", {255, 215, 0}},    ColourWord{"tan", {210, 180, 140}}};

} // namespace

std::vector<Contour> contoursIn(std::string_view pathData) {
    return PathReader(pathData).run();
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

std::optional<double> lengthIn(std::string_view text) {
    struct Unit {
        std::string_view name;
        double perUnit;
    };
    constexpr std::array units{Unit{"px", 1.0},       Unit{"in", 96.0},      Unit{"cm", 96 / 2.54},
                               Unit{"mm", 96 / 25.4}, Unit{"pt", 96.0 / 72}, Unit{"pc", 16.0}};
    text = trimmed(text);
    for (const auto& unit : units)
        if (text.ends_with(unit.name)) {
            const auto value = numberIn(trimmed(text.substr(0, text.size() - unit.name.size())));
            return value ? std::optional(*value * unit.perUnit) : std::nullopt;
        }
    return numberIn(text);
}

std::optional<Colour> colourIn(std::string_view text) {
    text = trimmed(text);
    if (text.starts_with('#')) return colourFromHex(text);
    if (text.starts_with("rgb")) {
        const auto open = text.find('(');
        if (open == std::string_view::npos) return std::nullopt;
        const bool percent = text.find('%') != std::string_view::npos;
        std::string plain(text.substr(open + 1));
        std::erase(plain, '%');
        const auto v = numbersIn(plain);
        if (v.size() < 3) return std::nullopt;
        const auto channel = [&](double x) {
            return static_cast<std::uint8_t>(std::clamp(std::lround(percent ? x * 2.55 : x), 0L, 255L));
        };
        return Colour{channel(v[0]), channel(v[1]), channel(v[2])};
    }
    for (const auto& word : colourWords)
        if (word.name == text) return word.colour;
    return std::nullopt;
}

Contour ellipse(Point centre, double rx, double ry) {
    Contour out{{centre.x + rx, centre.y}, {}, true};
    for (const double side : {1.0, -1.0})
        arcTo(out, out.end(), rx, ry, 0, false, true, {centre.x - side * rx, centre.y});
    return out;
}

} // namespace up::intake
