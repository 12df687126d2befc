// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/finish/bias_plan.hpp"

#include "core/plan/finish/laid_plan.hpp"

namespace up::plan {
namespace {

/// Of every line that is not laid yet.
std::vector<BiasPlan> asked(const quilt::Quilt& quilt) {
    std::vector<BiasPlan> out;
    for (const auto& block : quilt.blocks) {
        if (block.lines.empty()) continue;
        for (const auto& strip : planLaid(block).strips) {
            const auto& line = the(block.lines, strip.line);
            if (!quilt::isBias(line.laid->trim) || static_cast<int>(strip.stroke) < line.laid->done) continue;
            auto& cut = ofFabric(out, line.laid->fabric);
            cut.lines.push_back(strip.line);
            cut.strips.push_back({cutWide(*line.laid).mm(), strip.cutLong.mm()});
        }
    }
    return out;
}

} // namespace

std::vector<BiasPlan> planBias(const quilt::Quilt& quilt) {
    auto out = asked(quilt);
    for (auto& plan : out)
        cutFrom(quilt, plan, false);
    return out;
}

} // namespace up::plan
