// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/stitch_kind.hpp"

namespace up::plan {

using quilt::EdgeStitch;
using quilt::StitchKind;

stitch::Repeat repeatOf(const EdgeStitch& stitch) {
    constexpr double over = 0.3; // mm beyond the edge, so that it is held
    const double length = quilt::lengthOf(stitch).mm(), width = stitch.width.mm();
    switch (stitch.kind) {
    case StitchKind::satin:
    case StitchKind::zigzag: return {{{0, -over}, {length / 2, width - over}}, length};
    case StitchKind::blanket:
    case StitchKind::handBlanket: return {{{0, -over}, {0, width - over}, {0, -over}}, length};
    case StitchKind::straight:
    case StitchKind::frayed:
    case StitchKind::sketched: return {{{0, width}}, length};
    case StitchKind::decorative:
        if (!stitch.unit.empty()) {
            std::vector<shape::Point> holes;
            for (const auto hole : stitch.unit)
                holes.push_back({hole.x * length, hole.y * width / 2});
            return {std::move(holes), length};
        }
        // a feather: along the edge, with a barb to each side
        return {
            {{0, 0}, {length / 2, width / 2}, {0, 0}, {length / 2, 0}, {length, -width / 2}, {length / 2, 0}},
            length};
    case StitchKind::scribble: return {{{0, -width / 2}, {length / 2, width / 2}}, length};
    case StitchKind::whip: return {{{0, -over}, {length / 2, width - over}}, length};
    case StitchKind::blind: return {{{0, over}, {length - over, 0}}, length};
    case StitchKind::allOver: return {{{0, 0}}, length};
    }
    return {{{0, 0}}, length};
}

bool wantsStabiliser(StitchKind kind) {
    return kind == StitchKind::satin || kind == StitchKind::zigzag || kind == StitchKind::decorative;
}

stitch::Use useOf(const EdgeStitch& stitch, int layers) {
    const double thick = layers * clothThickness;
    return quilt::isByHand(stitch.kind) ? stitch::handUse(repeatOf(stitch), thick)
                                        : stitch::lockstitchUse(repeatOf(stitch), thick);
}

} // namespace up::plan
