// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawn/laid.hpp"

#include "core/quilt/laying.hpp"
#include "core/shape/parallel.hpp"
#include "core/sheet/figures.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::drawn {
namespace {

using namespace sheet::palette;
using quilt::Line;
using quilt::Trim;
using shape::Point;
using shape::Polyline;
using sheet::Pen;
using sheet::Shape;

/// Of its cloth, or of what holds it.
Colour laidColour(const quilt::Quilt& quilt, const Line& line) {
    if (find(quilt.fabrics, line.laid->fabric)) return clothOf(quilt, line.laid->fabric);
    const auto* thread = find(quilt.threads, line.thread);
    return thread ? thread->colour : ink;
}

Colour edgeColour(Colour colour) {
    return mixed(colour, inkOn(colour), 0.45);
}

/// Points at equal distances along a line, with the way on at each.
template<class Each> void along(const Polyline& line, double apart, Each each) {
    const double length = shape::lengthOf(line);
    const int parts = std::max(1, static_cast<int>(std::lround(length / apart)));
    for (int i = 0; i <= parts; ++i) {
        const double at = length * i / parts, h = 0.1;
        const auto before = shape::pointAlong(line, std::max(0.0, at - h)),
                   after = shape::pointAlong(line, std::min(length, at + h));
        const auto way = after - before;
        const double far = std::max(std::hypot(way.x, way.y), 1e-9);
        each(i, shape::pointAlong(line, at), way * (1 / far));
    }
}

/// From side to side: rickrack, and the ragged edges of chenille.
Polyline waves(const Polyline& line, double wide, double apart, double off) {
    Polyline out;
    along(line, apart / 6, [&](int i, Point p, Point way) {
        const double side = off + wide * std::sin(i * std::numbers::pi / 3);
        out.push_back(p + Point{-way.y, way.x} * side);
    });
    return out;
}

/// Threads across it: twisted cord, yarn that is couched.
std::vector<Polyline> across(const Polyline& line, double wide, double apart, double slant) {
    std::vector<Polyline> out;
    along(line, apart, [&](int, Point p, Point way) {
        const auto side = Point{-way.y, way.x} * (wide / 2) + way * (slant * wide / 2);
        out.push_back({p - side, p + side});
    });
    return out;
}

class Painted {
public:
    Painted(std::vector<sheet::Item>& items, const quilt::Quilt& quilt, const Line& line, For whom)
        : m_items(items), m_line(line), m_laid(*line.laid), m_colour(laidColour(quilt, line)),
          m_all(whom == For::small), m_lies(m_laid.done > 0 || m_all),
          m_thread(find(quilt.threads, line.thread)) {}

    void strip(const Polyline& middle, int stroke) {
        m_lies = m_all || stroke < m_laid.done;
        const double wide = m_laid.width.mm();
        if (m_laid.trim == Trim::rickrack) return wave(middle, wide);
        const auto band = shape::band(middle, false, wide, shape::Cap::butt, shape::Join::mitre);
        fill(sheet::contoursOf(band));
        if (!m_lies) return;
        const Pen fine{edgeColour(m_colour), 0.3};
        if (m_laid.trim == Trim::stem) // where it was folded
            lines({shape::parallel(middle, -wide * 0.36)}, {mixed(m_colour, panel, 0.35), 0.35});
        if (m_laid.trim == Trim::chenille)
            lines({waves(middle, wide * 0.1, 1.6, wide * 0.5), waves(middle, wide * 0.1, 1.6, -wide * 0.5)},
                  fine);
        if (m_laid.trim == Trim::cord) lines(across(middle, wide, wide * 0.7, 0.8), fine);
        if (m_laid.trim == Trim::yarn)
            lines(across(middle, wide * 1.3, std::max(3.0, wide), 0),
                  {m_thread ? m_thread->colour : ink, 0.4});
    }
    void thing(Point p) {
        const double r = m_laid.width.mm() / 2;
        if (m_laid.trim != Trim::flower) {
            fill({sheet::disc(p, r)});
            if (m_lies && m_laid.trim == Trim::button)
                for (const auto hole : {Point{-1, -1}, Point{1, -1}, Point{-1, 1}, Point{1, 1}})
                    m_items.push_back(
                        Shape{{sheet::disc(p + hole * (r * 0.25), r * 0.12)}, ink, std::nullopt});
            return;
        }
        constexpr int petals = 8;
        for (const double share : {1.0, 2.0 / 3, 1.0 / 3}) {
            shape::Ring ring;
            for (int i = 0; i < petals * 6; ++i) {
                const double turn = 2 * std::numbers::pi * i / (petals * 6);
                const double far = r * share * (0.88 + 0.12 * std::cos(petals * turn));
                ring.push_back(p + Point{std::cos(turn), std::sin(turn)} * far);
            }
            fill(sheet::contoursOf(shape::Region{{ring}}));
        }
    }

private:
    void fill(std::vector<shape::Contour> contours) {
        constexpr double small = 6; // mm: dashes would hide it
        const bool isDashed = !m_lies && (!quilt::isThing(m_laid.trim) || m_laid.width.mm() > small);
        Shape shape{std::move(contours), m_colour,
                    Pen{edgeColour(m_colour), 0.35, isDashed ? sheet::Dash::dashed : sheet::Dash::solid},
                    m_line.id};
        constexpr double pale = 0.35;
        if (!m_lies) shape.opacity = pale;
        m_items.push_back(std::move(shape));
    }
    void lines(const std::vector<Polyline>& all, const Pen& pen) {
        m_items.push_back(Shape{sheet::contoursOf(all), std::nullopt, pen});
    }
    void wave(const Polyline& middle, double wide) {
        const auto line = waves(middle, wide * 0.3, wide * 1.2, 0);
        const double pen = wide * 0.4;
        lines({line}, {edgeColour(m_colour), m_lies ? pen + 0.4 : 0.4,
                       m_lies ? sheet::Dash::solid : sheet::Dash::dashed});
        if (m_lies) lines({line}, {m_colour, pen});
    }

    std::vector<sheet::Item>& m_items;
    const Line& m_line;
    const quilt::Laid& m_laid;
    Colour m_colour;
    bool m_all, m_lies;
    const quilt::Thread* m_thread;
};

void addOnPaper(std::vector<sheet::Item>& items, const Line& line) {
    const Pen pen{ink, 0.4};
    if (quilt::isThing(line.laid->trim)) {
        for (const auto p : thingsAt(line))
            items.push_back(Shape{{sheet::disc(p, line.laid->width.mm() / 2)}, std::nullopt, pen});
        return;
    }
    if (line.laid->trim == Trim::stem) {
        items.push_back(Shape{sheet::contoursOf(rawEdges(line)), std::nullopt, pen});
        items.push_back(
            Shape{sheet::contoursOf(laidArea(line)), std::nullopt, Pen{ink, 0.25, sheet::Dash::dotted}});
        return;
    }
    items.push_back(Shape{placed(line), std::nullopt, pen});
}

} // namespace

void addLaid(std::vector<sheet::Item>& items, const quilt::Quilt& quilt, const Line& line, For whom) {
    if (whom == For::paper) return addOnPaper(items, line);
    Painted painted(items, quilt, line, whom);
    if (quilt::isThing(line.laid->trim))
        for (const auto p : thingsAt(line))
            painted.thing(p);
    int stroke = 0;
    if (!quilt::isThing(line.laid->trim))
        for (const auto& one : placed(line)) {
            if (const auto middle = flattened(one); middle.size() > 1) painted.strip(middle, stroke);
            ++stroke;
        }
}

sheet::Layer biasCutting(const quilt::Quilt& quilt, const plan::BiasPlan& plan, std::size_t cloth) {
    sheet::Layer layer{"cutting", {}, {}, {}};
    const auto& size = plan.sizes[cloth];
    const auto colour = clothOf(quilt, plan.fabric);
    const auto onCloth = inkOn(colour);
    layer.items.push_back(sheet::box({0, 0, size.wide, size.high}, colour, Pen{edgeColour(colour), 0.6}));
    for (const auto& band : plan.cutting.bands) {
        if (band.cloth != cloth) continue;
        for (std::size_t i = 0; i < band.parts.size(); ++i) {
            const auto corners = strips::cornersOf(size, band, i);
            layer.items.push_back(Shape{sheet::contoursOf(shape::Region{{corners}}),
                                        mixed(colour, onCloth, 0.16), Pen{onCloth, 0.6},
                                        plan.lines[band.parts[i].strip]});
            const auto middle = (corners[0] + corners[2]) * 0.5;
            layer.items.push_back(sheet::Flag{std::to_string(band.parts[i].strip + 1), middle, false, panel,
                                              std::max(8.0, size.wide / 28),
                                              plan.lines[band.parts[i].strip]});
        }
    }
    return layer;
}

} // namespace up::drawn
