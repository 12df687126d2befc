// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/finish/laid_plan.hpp"

#include "core/quilt/laying.hpp"

#include <algorithm>
#include <cmath>

namespace up::plan {

using quilt::LaidEnd;
using quilt::Line;
using quilt::Trim;

Length cutWide(const quilt::Laid& laid) {
    if (laid.trim == Trim::stem) return (laid.width + quilt::stemSeam) * 2;
    return laid.trim == Trim::tape ? laid.width * 2 : laid.width;
}

Length moreAtEnd(LaidEnd end) {
    switch (end) {
    case LaidEnd::turnedIn:
    case LaidEnd::covered: return Length::ofInches(1, 4);
    case LaidEnd::sealed: return {};
    case LaidEnd::runsOff: return Length::ofInches(1, 2); // the seam, and a little that is trimmed
    }
    return {};
}

Length leastRadius(Trim trim, Length width) {
    switch (trim) {
    case Trim::stem:
    case Trim::tape:
    case Trim::chenille: return width * 3;
    case Trim::ribbon: return width * 12;
    case Trim::rickrack: return width * 4;
    case Trim::cord:
    case Trim::yarn: return width;
    case Trim::button:
    case Trim::flower:
    case Trim::dot: break;
    }
    return {};
}

namespace {

bool isStrip(const Line& line) {
    return line.laid && !quilt::isThing(line.laid->trim);
}

/// Lines with something laid on them, in the order in which it is: what the machine holds comes first.
std::vector<const Line*> laidInOrder(const quilt::Block& block) {
    std::vector<const Line*> out;
    for (const auto& line : block.lines)
        if (line.laid) out.push_back(&line);
    std::stable_partition(out.begin(), out.end(), [](const Line* line) { return quilt::isOfMachine(*line); });
    return out;
}

/// From where it first comes into the block to where it last leaves it.
shape::Polyline withinBlock(const shape::Polyline& line, const shape::Region& finished) {
    const auto parts = shape::inside(line, finished);
    if (parts.empty()) return line;
    const double length = shape::lengthOf(line);
    const auto isIn = [&](double at) { return finished.contains(shape::pointAlong(line, at)); };
    if (isIn(0) && isIn(length)) return line;
    constexpr double step = 0.2; // mm
    double from = 0, to = length;
    while (from < length && !isIn(from))
        from += step;
    while (to > from && !isIn(to))
        to -= step;
    shape::Polyline out{shape::pointAlong(line, from)};
    double so = 0;
    for (std::size_t i = 1; i < line.size(); ++i) {
        so += shape::distance(line[i - 1], line[i]);
        if (so > from && so < to) out.push_back(line[i]);
    }
    out.push_back(shape::pointAlong(line, to));
    return out;
}

/// Within a hair of the block's edge, or over it.
bool isAtEdge(shape::Point p, const shape::Box& finished) {
    return !finished.grownBy(-0.5).holds(p); // mm
}

LaidStrip stripOf(const Line& line, std::size_t stroke, const shape::Polyline& middle,
                  const shape::Box& finished) {
    const auto& laid = *line.laid;
    LaidStrip out{line.id, stroke, middle, Length::ofMm(shape::lengthOf(middle)), laid.begin, laid.end, {}};
    constexpr double closed = 0.5; // mm
    if (shape::distance(middle.front(), middle.back()) < closed)
        out.begin = LaidEnd::covered, out.end = LaidEnd::turnedIn;
    if (isAtEdge(middle.front(), finished)) out.begin = LaidEnd::runsOff;
    if (isAtEdge(middle.back(), finished)) out.end = LaidEnd::runsOff;
    const auto bends = shape::bendsOf(middle, std::max(laid.width.mm() / 2, 1.0));
    out.corners = bends.corners;
    // the longer edge of a band along a line that turns by so much
    const auto edge = Length::ofMm(out.along.mm() + std::abs(bends.turned) * laid.width.mm() / 2);
    out.cutLong =
        edge + laid.width * static_cast<int>(bends.corners) + moreAtEnd(out.begin) + moreAtEnd(out.end);
    constexpr double slack = 0.99; // what is drawn is never quite round
    if (bends.tightest && bends.tightest->radius < leastRadius(laid.trim, laid.width).mm() * slack)
        out.tooTight = bends.tightest;
    return out;
}

/// What lies over places of the block: a strip, or the things of a line.
struct Lying {
    const Line* line;
    const LaidStrip* strip;
    shape::Region area;
    std::vector<shape::Point> things;
    [[nodiscard]] bool isOver(shape::Point p) const {
        const double reach = line->laid->width.mm() / 2;
        return area.contains(p) || std::any_of(things.begin(), things.end(), [&](shape::Point thing) {
                   return shape::distance(thing, p) <= reach;
               });
    }
};

std::vector<Lying> lyingOf(const std::vector<const Line*>& lines, const std::vector<LaidStrip>& strips) {
    constexpr double hair = 0.6; // mm: of what is drawn to end there
    std::vector<Lying> out;
    for (const auto* line : lines) {
        if (!isStrip(*line)) out.push_back({line, nullptr, {}, thingsAt(*line)});
        for (const auto& strip : strips)
            if (strip.line == line->id)
                out.push_back(
                    {line,
                     &strip,
                     shape::band(strip.middle, false, line->laid->width.mm() + hair, shape::Cap::round),
                     {}});
    }
    return out;
}

void addBare(LaidPlan& out, const std::vector<Lying>& all) {
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (!all[i].strip) continue;
        const auto& strip = *all[i].strip;
        const auto look = [&](shape::Point end) {
            LineId earlier;
            for (std::size_t j = 0; j < all.size(); ++j) {
                if (j == i || !all[j].isOver(end)) continue;
                if (j > i) return;
                earlier = all[j].line->id;
            }
            out.bare.push_back({strip.line, strip.stroke, end, earlier == strip.line ? LineId{} : earlier});
        };
        const bool closes = shape::distance(strip.middle.front(), strip.middle.back()) < 0.5; // mm
        if (strip.begin == LaidEnd::covered && !closes) look(strip.middle.front());
        if (strip.end == LaidEnd::covered) look(strip.middle.back());
    }
}

} // namespace

Length LaidPlan::lengthOf(LineId line) const {
    Length all;
    for (const auto& strip : strips)
        if (strip.line == line) all = all + strip.cutLong;
    return all;
}

const LaidStrip* LaidPlan::find(LineId line, std::size_t stroke) const {
    const auto at = std::find_if(strips.begin(), strips.end(), [&](const LaidStrip& strip) {
        return strip.line == line && strip.stroke == stroke;
    });
    return at == strips.end() ? nullptr : &*at;
}

LaidPlan planLaid(const quilt::Block& block) {
    LaidPlan out;
    const auto box = quilt::finishedBox(block);
    const auto finished = shape::rectangle(box);
    const auto lines = laidInOrder(block);
    for (const auto* line : lines) {
        if (!isStrip(*line)) continue;
        std::size_t stroke = 0;
        for (const auto& placedOne : placed(*line)) {
            const auto middle = withinBlock(flattened(placedOne), finished);
            if (middle.size() > 1) out.strips.push_back(stripOf(*line, stroke, middle, box));
            ++stroke;
        }
    }
    addBare(out, lyingOf(lines, out.strips));
    return out;
}

bool mayLay(const quilt::Block& block, const Line& line) {
    const auto isPressed = [](const quilt::Piece& piece) { return piece.isPast(quilt::Step::tested); };
    if (line.laid && line.laid->melts)
        return std::all_of(block.pieces.begin(), block.pieces.end(), isPressed);
    shape::Box box;
    for (const auto& stroke : placed(line))
        box.take(boundsOf(stroke));
    const auto area = line.laid && !isStrip(line) ? shape::Region() : laidArea(line);
    return std::all_of(block.pieces.begin(), block.pieces.end(), [&](const quilt::Piece& piece) {
        if (isPressed(piece)) return true;
        const auto outline = quilt::placed(piece);
        if (!box.grownBy(line.laid ? line.laid->width.mm() : 0).meets(boundsOf(outline))) return true;
        const auto region = shape::regionOf(outline);
        if (!area.isEmpty()) return shape::intersect(area, region).isEmpty();
        const auto things = thingsAt(line);
        return std::none_of(things.begin(), things.end(), [&](shape::Point p) { return region.contains(p); });
    });
}

const Line* nextLaid(const quilt::Block& block) {
    for (const auto& line : block.lines) {
        if (!line.laid || quilt::isOfMachine(line) || line.sewn > 0 || !isTraced(line)) continue;
        if (isAllLaid(line) || mayLay(block, line)) return &line;
    }
    return nullptr;
}

std::vector<TrimAmount> trimmingsToGet(const quilt::Quilt& quilt) {
    std::vector<TrimAmount> out;
    for (const auto& block : quilt.blocks) {
        if (block.lines.empty()) continue;
        const auto plan = planLaid(block);
        for (const auto& line : block.lines) {
            if (!line.laid || isAllLaid(line) || quilt::isBias(line.laid->trim)) continue;
            const auto& laid = *line.laid;
            auto at = std::find_if(out.begin(), out.end(), [&](const TrimAmount& amount) {
                return amount.trim == laid.trim && amount.width == laid.width && amount.fabric == laid.fabric;
            });
            if (at == out.end())
                at = out.insert(out.end(), TrimAmount{laid.trim, laid.width, laid.fabric, {}});
            if (quilt::isThing(laid.trim))
                at->things += std::max(thingsAt(line).size(), static_cast<std::size_t>(laid.called));
            for (const auto& strip : plan.strips)
                if (strip.line == line.id && static_cast<int>(strip.stroke) >= laid.done)
                    at->length = at->length + strip.cutLong;
        }
    }
    return out;
}

} // namespace up::plan
