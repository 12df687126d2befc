// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/stitch_lines.hpp"

#include "core/plan/stitch/stitch_kind.hpp"
#include "core/stitch/stitches.hpp"

namespace up::plan {

std::vector<shape::Polyline> stitchLines(const quilt::Block& block, const BlockPlan& plan,
                                         const StitchRun& run) {
    const auto piece = run.isEdge
                           ? plan.regions[static_cast<std::size_t>(quilt::numberOf(block, run.piece)) - 1]
                           : shape::Region();
    std::vector<shape::Polyline> out;
    auto repeat = repeatOf(run.edge);
    for (int pass = 0; pass < (run.edge.apart ? std::max(1, run.allowed.front()) : 1); ++pass) {
        out.push_back(stitch::stitchesAlong(run.line, repeat, piece));
        if (!run.edge.apart) break;
        for (auto& hole : repeat.holes)
            hole.y += run.edge.apart->mm();
    }
    return out;
}

std::vector<Shaded> shaded(const std::vector<shape::Polyline>& lines, const std::vector<Colour>& shades,
                           measure::Length each) {
    std::vector<Shaded> out;
    double used = 0; // of the shade, mm
    std::size_t shade = 0;
    for (const auto& line : lines)
        for (std::size_t i = 0; i < line.size(); ++i) {
            if (i == 0) out.push_back({shades[shade], {line[0]}});
            if (i == 0) continue;
            out.back().line.push_back(line[i]);
            used += shape::distance(line[i - 1], line[i]);
            if (shades.size() < 2 || used < each.mm()) continue;
            used = 0, shade = (shade + 1) % shades.size();
            if (i + 1 < line.size()) out.push_back({shades[shade], {line[i]}});
        }
    return out;
}

std::vector<Colour> shadesOf(const quilt::Thread& thread) {
    std::vector<Colour> out{thread.colour};
    out.insert(out.end(), thread.shades.begin(), thread.shades.end());
    return out;
}

} // namespace up::plan
