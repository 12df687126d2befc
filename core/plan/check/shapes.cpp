// SPDX-License-Identifier: GPL-3.0-or-later
// What is too thin to be cut and stitched.
#include "core/plan/check/looking.hpp"

namespace up::plan {

void checkShapes(Looking& look) {
    using measure::Length;
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i) {
        if (look.piece(i).join == quilt::Join::turned) continue; // it has a measure of its own
        const auto& stitch = quilt::stitchOf(look.block, look.piece(i));
        const auto needed = leastWidth(stitch);
        const auto& judged = look.judged.pieces[i];
        const auto thin = look.piece(i).edge ? thinAt(judged, stitch, 1) : judged.thin;
        if (thin.empty()) continue;
        const auto& worst = thin.front().narrowest;
        auto& finding =
            look.add(check::Kind::thin, i, {check::Fine{Length::ofMm(worst.width)}, check::Fine{needed}});
        finding.spot = worst.middle;
        finding.weight = needed.mm() - worst.width;
    }
}

} // namespace up::plan
