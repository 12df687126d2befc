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
    case Step::cleanCut: return Tread::cut;
    case Step::laid: return Tread::lay;
    case Step::fused:
    case Step::tested: return Tread::fuse;
    case Step::stitched: return Tread::stitch;
    }
    return Tread::draw;
}

std::optional<Step> lastStepOf(Tread tread) {
    switch (tread) {
    case Tread::trace: return Step::traced;
    case Tread::bond: return Step::bonded;
    case Tread::cut: return Step::cleanCut;
    case Tread::lay: return Step::laid;
    case Tread::fuse: return Step::tested;
    case Tread::stitch: return Step::stitched;
    case Tread::draw:
    case Tread::finish: return std::nullopt;
    }
    return std::nullopt;
}

std::optional<Step> nextStep(const Work& work, bool hasMarks) {
    if (work.step == Step::stitched) return std::nullopt;
    if (work.step == Step::bonded && (!hasMarks || work.marksDrawn)) return Step::cleanCut;
    return static_cast<Step>(static_cast<int>(work.step) + 1);
}

Result<Work> advanced(const Work& work, Step step, bool hasMarks) {
    Work out = work;
    if (step == Step::marked && hasMarks && !work.marksDrawn && work.step >= Step::bonded &&
        work.step < Step::laid) {
        out.marksDrawn = true;
        if (work.step == Step::bonded) out.step = Step::marked;
        return out;
    }
    const auto next = nextStep(work, hasMarks);
    const bool cutWithoutMarks = work.step == Step::bonded && step == Step::cleanCut;
    if (next != step && !cutWithoutMarks) {
        const auto first = next ? keyOf(*next) : std::string_view("stitched");
        return failure(Code::notYet, {"", std::string(keyOf(step)), std::string(first)});
    }
    out.step = step;
    return out;
}

bool losesMarks(const Work& work, Step step, bool hasMarks) {
    return hasMarks && !work.marksDrawn && step == Step::laid;
}

} // namespace up::quilt
