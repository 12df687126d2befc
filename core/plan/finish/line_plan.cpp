// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/finish/line_plan.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using hand::Made;
using quilt::Line;

hand::Kind kindOf(quilt::LineStitch stitch) {
    switch (stitch) {
    case quilt::LineStitch::back: return hand::Kind::back;
    case quilt::LineStitch::stem: return hand::Kind::stem;
    case quilt::LineStitch::running: return hand::Kind::running;
    case quilt::LineStitch::machineStraight:
    case quilt::LineStitch::machineSatin: break;
    }
    return hand::Kind::back;
}

/// All strokes, each from the end that is nearer to where the needle is.
std::vector<Made> stitchesOf(const Line& line) {
    std::vector<Made> out;
    const hand::Stitch stitch{kindOf(line.stitch), lengthOf(line).mm()};
    std::optional<shape::Point> needle;
    for (const auto& stroke : placed(line)) {
        auto points = flattened(stroke);
        if (points.size() < 2) continue;
        if (needle && shape::distance(*needle, points.back()) < shape::distance(*needle, points.front()))
            std::reverse(points.begin(), points.end());
        auto made = hand::sewn(hand::holesAlong(points, stitch), stitch.kind);
        if (made.empty()) continue;
        if (needle) {
            const double way = shape::distance(*needle, made.front().from);
            made.front().floss += way <= mostCarried ? way : hand::Habits{}.again;
        }
        needle = made.back().to;
        out.insert(out.end(), made.begin(), made.end());
    }
    return out;
}

void addParts(std::vector<LinePart>& to, const Line& line) {
    const auto stitches = stitchesOf(line);
    double floss = 0;
    for (const auto& made : stitches)
        floss += made.floss;
    const auto count = hand::partsOf(floss);
    double so = 0;
    const auto first = to.size();
    for (std::size_t i = 0; i < count; ++i)
        to.push_back({line.id, i, count, {}, {}, i < static_cast<std::size_t>(line.sewn)});
    std::vector<double> lengths(count);
    for (const auto& made : stitches) {
        const auto part = std::min(
            count - 1, static_cast<std::size_t>(so / std::max(floss, 1e-9) * static_cast<double>(count)));
        to[first + part].stitches.push_back(made);
        lengths[part] += made.floss, so += made.floss;
    }
    for (std::size_t i = 0; i < count; ++i)
        to[first + i].floss = quilt::Length::ofMm(lengths[i]);
}

} // namespace

LinesPlan planLines(const quilt::Block& block) {
    LinesPlan out;
    std::vector<std::vector<hand::Demand>> demands; // by floss
    for (const auto& line : block.lines) {
        if (!isOfMachine(line) && !isTraced(line) && isUntouched(line)) out.toDraw.push_back(line.id);
        if (!takesFloss(line)) continue;
        const auto first = out.parts.size();
        addParts(out.parts, line);
        auto at = std::find_if(out.floss.begin(), out.floss.end(),
                               [&](const FlossUse& use) { return use.thread == line.thread; });
        if (at == out.floss.end()) {
            out.floss.push_back({line.thread, {}, {}});
            demands.emplace_back();
            at = std::prev(out.floss.end());
        }
        for (auto part = first; part < out.parts.size(); ++part) {
            at->parts.push_back(part);
            demands[static_cast<std::size_t>(at - out.floss.begin())].push_back(
                {out.parts[part].floss.mm(), line.strands});
        }
    }
    for (std::size_t i = 0; i < out.floss.size(); ++i)
        out.floss[i].plan = hand::flossFor(demands[i]);
    return out;
}

std::optional<AtPart> LinesPlan::next() const {
    const auto isNext = [&](std::size_t part) {
        return !parts[part].sewn && (parts[part].part == 0 || parts[part - 1].sewn);
    };
    for (std::size_t f = 0; f < floss.size(); ++f)
        for (std::size_t n = 0; n < floss[f].plan.needlefuls.size(); ++n) {
            const auto& demands = floss[f].plan.needlefuls[n].demands;
            for (const auto demand : demands)
                if (const auto part = floss[f].parts[demand]; isNext(part))
                    return AtPart{f, n, part, std::none_of(demands.begin(), demands.end(), [&](auto d) {
                                      return parts[floss[f].parts[d]].sewn;
                                  })};
        }
    return {};
}

bool LinesPlan::isSewn(LineId line) const {
    return std::all_of(parts.begin(), parts.end(),
                       [&](const LinePart& part) { return part.line != line || part.sewn; });
}

} // namespace up::plan
