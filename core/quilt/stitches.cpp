// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/stitches.hpp"

namespace up::quilt {

using measure::Length;

Length usualLength(StitchKind kind) {
    switch (kind) {
    case StitchKind::satin: return Length::ofMm(0.4);
    case StitchKind::zigzag: return Length::ofMm(1);
    case StitchKind::blanket: return Length::ofMm(2.5);
    case StitchKind::straight:
    case StitchKind::frayed:
    case StitchKind::sketched:
    case StitchKind::allOver:
    case StitchKind::scribble: return Length::ofMm(25.4 / 11); // eleven to the inch
    case StitchKind::decorative: return Length::ofMm(2);
    case StitchKind::whip: return Length::ofMm(2);
    case StitchKind::blind: return Length::ofMm(3);
    case StitchKind::handBlanket: return Length::ofMm(4);
    }
    return {};
}

EdgeStitch usualStitch(StitchKind kind) {
    const auto of = [&](int thirtySeconds, int passes = 1, std::optional<int> mayBe = {}) {
        return EdgeStitch{kind, Length::ofInches(thirtySeconds, 32), {}, passes, mayBe};
    };
    switch (kind) {
    case StitchKind::satin:
    case StitchKind::zigzag: return of(3);
    case StitchKind::blanket: return of(3);
    case StitchKind::straight: return of(2);
    case StitchKind::frayed: return of(6);
    case StitchKind::sketched: {
        auto out = of(2, 3, 4);
        out.apart = Length::ofInches(1, 32);
        return out;
    }
    case StitchKind::decorative: return of(5);
    case StitchKind::scribble: return of(4, 2, 3);
    case StitchKind::whip:
    case StitchKind::blind: return of(2);
    case StitchKind::handBlanket: return of(4);
    case StitchKind::allOver: return of(1);
    }
    return {};
}

bool isByHand(StitchKind kind) {
    return kind == StitchKind::whip || kind == StitchKind::blind || kind == StitchKind::handBlanket;
}

} // namespace up::quilt
