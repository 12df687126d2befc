// SPDX-License-Identifier: GPL-3.0-or-later
// Remedies for lines of a block, and for what is laid along them.
#include "core/edit/lines.hpp"
#include "core/mend/reshaping.hpp"
#include "core/plan/finish/laid_plan.hpp"
#include "core/quilt/laying.hpp"

#include <algorithm>
#include <cmath>

namespace up::mend {

using check::Finding;
using check::Fix;
using measure::Length;

/// What reaches over the edge is moved so far inside it as a seam's width, if there is room.
Edited linesMovedIn(const Quilt& quilt, BlockId id) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    const auto free = quilt::finishedBox(*block).grownBy(-quilt::seamAllowance.mm());
    Edited out = quilt;
    for (const auto& line : block->lines) {
        if (!isUntouched(line) || runsOff(line)) continue;
        shape::Box box;
        for (const auto& stroke : placed(line))
            box.take(boundsOf(stroke));
        const auto by = [](double low, double high, double least, double most) {
            if (high - low > most - least) return (least + most - low - high) / 2;
            return low < least ? least - low : high > most ? most - high : 0.0;
        };
        const double right = by(box.left, box.right, free.left, free.right),
                     down = by(box.top, box.bottom, free.top, free.bottom);
        if (right != 0 || down != 0)
            out = out.and_then([&](const Quilt& next) {
                return edit::moveLine(next, id, line.id, Length::ofMm(right), Length::ofMm(down));
            });
    }
    return out;
}

Edited linesTracedAgain(const Quilt& quilt, BlockId id) {
    const auto* block = find(quilt.blocks, id);
    if (!block) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    Edited out = quilt;
    for (auto line : block->lines) {
        if (line.sewn > 0 || line.pen != quilt::LinePen::goesWithHeat) continue;
        line.pen = quilt::LinePen::washesOut;
        out = out.and_then([&](const Quilt& next) { return edit::putLine(next, id, line); })
                  .and_then([&](const Quilt& next) { return edit::lineNotDrawn(next, id, line.id); });
    }
    return out;
}

namespace {

/// To the sixteenth of an inch that its tightest bend allows; nothing is laid so narrow: as it is.
Length narrowed(const quilt::Block& block, const quilt::Line& line) {
    const double each = line.laid->width.mm() / plan::leastRadius(line.laid->trim, line.laid->width).mm();
    double radius = -1;
    for (const auto& strip : plan::planLaid(block).strips)
        if (strip.line == line.id && strip.tooTight)
            radius = radius < 0 ? strip.tooTight->radius : std::min(radius, strip.tooTight->radius);
    if (radius < 0) return line.laid->width;
    constexpr double sixteenth = 25.4 / 16; // mm
    const double width = std::floor(radius * each / sixteenth) * sixteenth;
    return width > 0 ? Length::ofMm(width) : line.laid->width;
}

/// Ends that nothing covers; the others stay.
void turnEndsIn(quilt::Line& line) {
    for (auto* end : {&line.laid->begin, &line.laid->end})
        if (*end == quilt::LaidEnd::covered) *end = quilt::LaidEnd::turnedIn;
}

} // namespace

Edited laidOtherwise(const Quilt& quilt, const Finding& finding, Fix fix) {
    const auto* id = finding.args.empty() ? nullptr : std::get_if<LineId>(&finding.args[0]);
    const auto* block = find(quilt.blocks, finding.block);
    const auto* known = id && block ? find(block->lines, *id) : nullptr;
    if (!known || !known->laid) return failure(Code::noSuchLine, {id ? std::to_string(id->value) : ""});
    if (fix == Fix::takeOff) return edit::lineTakenOff(quilt, finding.block, *id);
    if (fix == Fix::layBefore) {
        for (const auto& bare : plan::planLaid(*block).bare)
            if (bare.line == *id && bare.earlier)
                return edit::moveLineInOrder(quilt, finding.block, *id, bare.earlier);
        return quilt;
    }
    auto line = *known;
    if (fix == Fix::narrower) line.laid->width = narrowed(*block, line);
    if (fix == Fix::turnIn) turnEndsIn(line);
    if (fix == Fix::countIsRight) line.laid->called = static_cast<int>(thingsAt(line).size());
    return edit::putLine(quilt, finding.block, std::move(line));
}

} // namespace up::mend
