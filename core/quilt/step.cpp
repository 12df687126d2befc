// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/step.hpp"

namespace up::quilt {

Tread treadOf(Step step) {
    switch (step) {
    case Step::toTrace: return Tread::draw;
    case Step::traced: return Tread::trace;
    case Step::roughCut:
    case Step::bonded: return Tread::bond;
    case Step::marked:
    case Step::cleanCut:
    case Step::turned: return Tread::cut;
    case Step::laid: return Tread::lay;
    case Step::fused:
    case Step::tested: return Tread::fuse;
    case Step::stitched:
    case Step::cutAway: return Tread::stitch;
    }
    return Tread::draw;
}

bool goesThrough(Step step, const Way& way) {
    switch (step) {
    case Step::roughCut:
    case Step::bonded:
    case Step::fused:
    case Step::tested: return way.join == Join::fused;
    case Step::marked: return way.hasMarks;
    case Step::turned: return way.join == Join::turned;
    case Step::cutAway: return way.cutsBehind || way.join == Join::reverse;
    case Step::toTrace:
    case Step::traced:
    case Step::cleanCut:
    case Step::laid:
    case Step::stitched: return true;
    }
    return true;
}

namespace {

/// Marks that are drawn need no step.
Way withoutMarks(Way way) {
    way.hasMarks = false;
    return way;
}

} // namespace

std::optional<Step> nextStep(const Work& work, const Way& way) {
    const auto left = work.marksDrawn ? withoutMarks(way) : way;
    for (const Step step : every<Step>())
        if (step > work.step && goesThrough(step, left)) return step;
    return std::nullopt;
}

bool isPast(const Work& work, const Way& way, Step step) {
    const auto next = nextStep(work, way);
    return !next || *next > step;
}

bool isPast(const Work& work, const Way& way, Tread tread) {
    const auto next = nextStep(work, way);
    return !next || treadOf(*next) > tread;
}

Result<Work> advanced(const Work& work, Step step, const Way& way) {
    Work out = work;
    const Step markable = way.join == Join::fused ? Step::bonded : Step::traced;
    const auto next = nextStep(work, way);
    if (step == Step::marked && way.hasMarks && !work.marksDrawn && work.step >= markable &&
        work.step < Step::laid) {
        out.marksDrawn = true;
        if (next == Step::marked) out.step = Step::marked;
        return out;
    }
    const bool cutWithoutMarks = next == Step::marked && step == Step::cleanCut;
    if (next != step && !cutWithoutMarks) {
        const auto first = next ? keyOf(*next) : keyOf(work.step);
        return failure(Code::notYet, {"", std::string(keyOf(step)), std::string(first)});
    }
    out.step = step;
    return out;
}

bool losesMarks(const Work& work, Step step, const Way& way) {
    return way.hasMarks && way.join == Join::fused && !work.marksDrawn && step == Step::laid;
}

} // namespace up::quilt
