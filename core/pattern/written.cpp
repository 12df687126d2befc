// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/pattern/written.hpp"

#include "core/pattern/hand.hpp"
#include "core/shape/arc.hpp"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <numbers>

namespace up::pattern {

using shape::Contour;
using shape::Point;
using shape::Transform;

namespace {

/// The characters of UTF-8 text, each as its bytes; what is none is left out.
std::vector<std::string_view> charactersOf(std::string_view text) {
    std::vector<std::string_view> out;
    for (std::size_t at = 0; at < text.size();) {
        const auto first = static_cast<unsigned char>(text[at]);
        const std::size_t bytes = first < 0x80   ? 1
                                  : first < 0xC0 ? 0
                                  : first < 0xE0 ? 2
                                  : first < 0xF0 ? 3
                                                 : 4;
        if (bytes > 0 && at + bytes <= text.size()) out.push_back(text.substr(at, bytes));
        at += std::max<std::size_t>(1, bytes);
    }
    return out;
}

/// Reads a letter as hand.hpp says how it is written down.
class Strokes {
public:
    Strokes(std::string_view drawn, std::vector<Contour>& to) : m_rest(drawn), m_to(to) {
        for (auto word = next(); !word.empty(); word = next())
            add(word.front());
    }

private:
    std::string_view next() {
        const auto begin = std::min(m_rest.find_first_not_of(' '), m_rest.size());
        const auto end = std::min(m_rest.find(' ', begin), m_rest.size());
        const auto word = m_rest.substr(begin, end - begin);
        m_rest.remove_prefix(end);
        return word;
    }
    double number() {
        const auto word = next();
        double out = 0;
        std::from_chars(word.data(), word.data() + word.size(), out);
        return out;
    }
    Point point() {
        const double x = number();
        return {x, number()};
    }
    void add(char what) {
        if (what == 'M') {
            Contour stroke;
            stroke.start = point(), stroke.closed = false;
            m_to.push_back(std::move(stroke));
        } else if (what == 'L') {
            m_to.back().lineTo(point());
        } else {
            arc();
        }
    }
    void arc() {
        constexpr double degree = std::numbers::pi / 180;
        const auto centre = point(), radii = point(), angles = point();
        const Point major{radii.x, 0}, minor{0, radii.y};
        const double start = angles.x * degree;
        m_to.back().lineTo(centre + major * std::cos(start) + minor * std::sin(start));
        arcAbout(m_to.back(), centre, major, minor, start, (angles.y - angles.x) * degree);
    }

    std::string_view m_rest;
    std::vector<Contour>& m_to;
};

void addStrokes(const HandPart& part, std::vector<Contour>& to) {
    std::vector<Contour> own;
    const Strokes read(part.strokes, own);
    for (const auto& stroke : own)
        to.push_back(transformed(stroke, Transform::moveBy(part.by.x, part.by.y)));
}

} // namespace

Result<std::vector<Glyph>> singleLines(std::string_view text, double height) {
    const double by = height / handHeight;
    std::vector<Glyph> out;
    double at = 0;
    for (const auto character : charactersOf(text)) {
        const auto letter = handLetter(character);
        if (!letter) return failure(Code::noSuchLetter, {std::string(character)});
        Glyph glyph;
        glyph.from = at, glyph.to = at + letter->width * by;
        for (const auto& part : letter->parts)
            addStrokes(part, glyph.strokes);
        for (auto& stroke : glyph.strokes)
            stroke = transformed(stroke, Transform::moveBy(at, 0) * Transform::scale(by, by));
        at = glyph.to + handGap * by;
        if (!glyph.strokes.empty()) out.push_back(std::move(glyph));
    }
    return out;
}

std::vector<Contour> along(const std::vector<Glyph>& glyphs, const shape::Polyline& line, double from,
                           double off) {
    std::vector<Contour> out;
    const double length = shape::lengthOf(line);
    if (glyphs.empty() || length < 1e-6) return out;
    const bool closed = shape::distance(line.front(), line.back()) < 1e-6;
    const double first = glyphs.front().from, half = (glyphs.back().to - first) / 2;
    double middle = from * length;
    if (!closed) middle = half * 2 > length ? length / 2 : std::clamp(middle, half, length - half);
    const auto at = [&](double along) {
        if (closed) return shape::pointAlong(line, along - std::floor(along / length) * length);
        if (along < 0 || along > length) { // on beyond its end, straight
            const auto end = along < 0 ? line.front() : line.back();
            const auto in = shape::pointAlong(line, along < 0 ? length * 0.01 : length * 0.99);
            const auto way = end - in;
            const double beyond = along < 0 ? -along : along - length;
            return end + way * (beyond / std::max(shape::distance(in, end), 1e-9));
        }
        return shape::pointAlong(line, along);
    };
    for (const auto& glyph : glyphs) {
        const double own = (glyph.from + glyph.to) / 2, wide = std::max((glyph.to - glyph.from) / 2, 0.5);
        const double there = middle - half + own - first;
        const auto way = at(there + wide) - at(there - wide);
        const auto feet = at(there);
        const auto place = Transform::moveBy(feet.x, feet.y) *
                           Transform::turn(measure::Angle::ofRadians(std::atan2(way.y, way.x))) *
                           Transform::moveBy(-own, -off);
        for (const auto& stroke : glyph.strokes)
            out.push_back(transformed(stroke, place));
    }
    return out;
}

std::vector<Contour> bent(const std::vector<Glyph>& glyphs, measure::Angle bend) {
    std::vector<Contour> out;
    if (glyphs.empty()) return out;
    const double from = glyphs.front().from, wide = glyphs.back().to - from, middle = from + wide / 2;
    const double radius = bend == measure::Angle() ? 0 : wide / bend.radians();
    shape::Box box;
    for (const auto& glyph : glyphs) {
        const double own = (glyph.from + glyph.to) / 2;
        auto place = Transform::moveBy(-middle, 0);
        if (radius != 0) {
            const auto turn = measure::Angle::ofRadians((own - middle) / radius);
            place = Transform::turnAbout({0, radius}, turn) * Transform::moveBy(-own, 0);
        }
        for (const auto& stroke : glyph.strokes) {
            out.push_back(transformed(stroke, place));
            box.take(boundsOf(out.back()));
        }
    }
    const auto home = Transform::moveBy(-box.centre().x, -box.centre().y);
    for (auto& stroke : out)
        stroke = transformed(stroke, home);
    return out;
}

} // namespace up::pattern
