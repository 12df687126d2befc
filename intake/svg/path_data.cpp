// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/path_data.hpp"

#include "core/shape/arc.hpp"
#include "intake/svg/values.hpp"

#include <cctype>
#include <utility>

namespace up::intake {
namespace {

using shape::Contour;
using shape::Point;

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
        shape::arcTo(open(), *rx, *ry, measure::Angle::ofDegrees(*turn), *large, *sweep, to);
        m_at = to;
        return true;
    }

    Scanner m_in;
    std::vector<Contour> m_out;
    Point m_at, m_control;
    char m_command = '\0', m_previous = '\0';
    bool m_closed = false;
};

} // namespace

std::vector<Contour> contoursIn(std::string_view pathData) {
    return PathReader(pathData).run();
}

} // namespace up::intake
