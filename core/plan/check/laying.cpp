// SPDX-License-Identifier: GPL-3.0-or-later
// What is laid along lines or set at places: how tightly it bends, what covers its ends, heat, and how many there are.
#include "core/quilt/laying.hpp"
#include "core/plan/check/looking.hpp"
#include "core/plan/finish/laid_plan.hpp"

#include <algorithm>

namespace up::plan {
namespace {

using check::Count;
using check::Fine;
using check::Fix;
using check::Kind;

void checkBends(Looking& look, const LaidPlan& plan) {
    for (const auto& strip : plan.strips) {
        const auto& line = the(look.block.lines, strip.line);
        if (!strip.tooTight || static_cast<int>(strip.stroke) < line.laid->done) continue;
        const auto least = leastRadius(line.laid->trim, line.laid->width);
        auto& finding = look.addOfBlock(Kind::bendsTightly,
                                        {line.id, Fine{Length::ofMm(strip.tooTight->radius)}, Fine{least}},
                                        {Fix::narrower});
        finding.weight = least.mm() - strip.tooTight->radius;
        finding.spot = strip.tooTight->at;
    }
}

void checkEnds(Looking& look, const LaidPlan& plan) {
    for (const auto& bare : plan.bare) {
        if (static_cast<int>(bare.stroke) < the(look.block.lines, bare.line).laid->done) continue;
        std::vector<Fix> fixes{Fix::turnIn};
        if (bare.earlier) fixes.insert(fixes.begin(), Fix::layBefore);
        look.addOfBlock(Kind::endBare, {bare.line}, std::move(fixes)).spot = bare.at;
    }
}

} // namespace

void checkLaid(Looking& look) {
    const auto& block = look.block;
    if (std::none_of(block.lines.begin(), block.lines.end(),
                     [](const auto& line) { return line.laid.has_value(); }))
        return;
    const auto plan = planLaid(block);
    checkBends(look, plan);
    checkEnds(look, plan);
    const bool ironToCome = std::any_of(block.pieces.begin(), block.pieces.end(),
                                        [](const auto& piece) { return !piece.isPast(quilt::Step::tested); });
    for (const auto& line : block.lines) {
        if (!line.laid) continue;
        if (line.laid->melts && line.laid->done > 0 && ironToCome)
            look.addOfBlock(Kind::trimPressed, {line.id}, {Fix::takeOff});
        const auto places = static_cast<int>(thingsAt(line).size());
        if (quilt::isThing(line.laid->trim) && line.laid->called > 0 && places != line.laid->called)
            look.addOfBlock(Kind::miscounted,
                            {line.id, Count{static_cast<std::size_t>(line.laid->called)},
                             Count{static_cast<std::size_t>(places)}},
                            {Fix::countIsRight})
                .weight = std::abs(places - line.laid->called);
    }
}

} // namespace up::plan
