// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawn/lines.hpp"

#include "core/quilt/laying.hpp"
#include "core/sheet/figures.hpp"
#include "drawn/laid.hpp"

#include <algorithm>
#include <cmath>

namespace up::drawn {
namespace {

using namespace sheet::palette;
using quilt::Line;
using shape::Point;
using sheet::Pen;

Colour flossColour(const quilt::Quilt& quilt, ThreadId id) {
    const auto* thread = find(quilt.threads, id);
    return thread ? thread->colour : ink;
}

/// Darker or lighter than the floss, so that a stitch is seen on cloth of its own colour.
Colour rimOf(Colour colour) {
    return luminance(colour) > 0.25 ? mixed(colour, ink, 0.55) : mixed(colour, panel, 0.55);
}

/// As broad as it lies there, mm.
double widthOf(const Line& line) {
    constexpr double thread = 0.5; // mm: of a straight seam, as it is seen
    if (quilt::isByHand(line.stitch)) return flossWidth(line.strands);
    return line.stitch == quilt::LineStitch::machineSatin ? line.width.mm() : thread;
}

void addWhole(std::vector<sheet::Item>& items, const quilt::Quilt& quilt, const Line& line, For whom) {
    const auto strokes = placed(line);
    const auto colour = flossColour(quilt, line.thread);
    const double wide = widthOf(line) * (whom == For::small ? 1.6 : 1);
    if (whom == For::screen)
        items.push_back(sheet::Shape{strokes, std::nullopt, Pen{rimOf(colour), wide + 0.35}});
    items.push_back(sheet::Shape{strokes, std::nullopt, Pen{colour, wide}});
}

} // namespace

double flossWidth(int strands) {
    return 0.4 * std::sqrt(static_cast<double>(strands));
}

sheet::Layer lines(const quilt::Quilt& quilt, const quilt::Block& block, For whom) {
    sheet::Layer layer{"lines", {}, {}, {}};
    for (const auto& line : block.lines)
        if (line.laid)
            addLaid(layer.items, quilt, line, whom);
        else if (whom == For::paper)
            layer.items.push_back(sheet::Shape{placed(line), std::nullopt, Pen{ink, 0.5}});
        else
            addWhole(layer.items, quilt, line, whom);
    return layer;
}

sheet::Layer handStitches(const quilt::Quilt& quilt, const quilt::Block& block, const plan::LinesPlan& plan) {
    sheet::Layer layer{"stitches", {}, {}, {}};
    for (const auto& line : block.lines)
        if (line.laid)
            addLaid(layer.items, quilt, line, For::screen);
        else if (quilt::isOfMachine(line))
            addWhole(layer.items, quilt, line, For::screen);
    constexpr double gap = 0.25; // mm that a stitch is drawn short of its holes
    for (const auto& part : plan.parts) {
        const auto& line = the(block.lines, part.line);
        const auto colour = flossColour(quilt, line.thread);
        const double wide = flossWidth(line.strands);
        std::vector<shape::Polyline> stitches;
        for (const auto& made : part.stitches) {
            const auto way = made.to - made.from;
            const double length = std::max(std::hypot(way.x, way.y), 1e-6);
            const auto in = way * (std::min(gap, length / 4) / length);
            stitches.push_back({made.from + in, made.to - in});
        }
        const auto contours = sheet::contoursOf(stitches);
        if (!part.sewn) {
            sheet::addHaloed(layer.items, contours, Pen{panel, 0.7}, Pen{ink, 0.35});
            continue;
        }
        layer.items.push_back(sheet::Shape{contours, std::nullopt, Pen{rimOf(colour), wide + 0.4}});
        layer.items.push_back(sheet::Shape{contours, std::nullopt, Pen{colour, wide}});
    }
    return layer;
}

sheet::Layer lineTargets(const quilt::Block& block) {
    sheet::Layer layer{"targets", {}, {}, {}};
    constexpr double near = 2.5, each = 6; // mm
    const auto add = [&](const Line& line, const shape::Ring& ring) {
        layer.items.push_back(
            sheet::Shape{sheet::contoursOf(shape::Region{{ring}}), std::nullopt, std::nullopt, line.id});
    };
    for (const auto& line : block.lines) {
        if (line.laid && quilt::isThing(line.laid->trim)) {
            for (const auto p : thingsAt(line))
                add(line, flattened(sheet::disc(p, std::max(near, line.laid->width.mm() / 2))));
            continue;
        }
        if (line.written) {
            shape::Box box;
            for (const auto& stroke : *line.strokes)
                box.take(boundsOf(stroke));
            const auto grown = box.grownBy(near);
            shape::Ring ring{{grown.left, grown.top},
                             {grown.right, grown.top},
                             {grown.right, grown.bottom},
                             {grown.left, grown.bottom}};
            for (auto& p : ring)
                p = placing(line)(p);
            add(line, ring);
            continue;
        }
        for (const auto& stroke : placed(line)) {
            const auto points = flattened(stroke);
            const double length = shape::lengthOf(points);
            const int parts = std::max(1, static_cast<int>(length / each));
            for (int i = 0; i < parts; ++i) {
                const auto from = shape::pointAlong(points, length * i / parts),
                           to = shape::pointAlong(points, length * (i + 1) / parts);
                const auto way = to - from;
                const double far = std::max(std::hypot(way.x, way.y), 1e-6);
                const Point side = Point{-way.y, way.x} * (near / far), on = way * (near / far);
                add(line, {from - on - side, to + on - side, to + on + side, from - on + side});
            }
        }
    }
    return layer;
}

} // namespace up::drawn
