// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/laid_out.hpp"

#include "core/plan/trace/lay_out.hpp"
#include "core/plan/trace/trace_plan.hpp"

namespace up::cli {

Result<quilt::Block> laidOut(const Opened& opened, const Words& words) {
    auto block = opened.chosen();
    std::optional<quilt::School> school;
    if (!words.school.empty()) {
        school = fromKey<quilt::School>(words.school);
        if (!school)
            return failure(Code::badUse,
                           {"--school is " + keysInWords<quilt::School>() + ", not “" + words.school + "”"});
    }
    const bool asked = school || words.seconds || words.rounds > 0 || words.noOffCuts;
    if (!asked && block.layout && block.layout->unplaced.empty() &&
        !plan::planTrace(opened.quilt, block).stale)
        return block;
    constexpr int usual = 60; // rounds: about a second for a block of the sample quilt
    plan::TraceOptions options{words.seconds.value_or(0), words.rounds, words.seed, school, !words.noOffCuts};
    if (!words.seconds && words.rounds == 0) options.rounds = usual;
    Job control;
    auto found = plan::layOut(opened.quilt, block, options, control);
    if (!found) return tl::unexpected(found.error());
    if (school) block.school = *school;
    block.layout = std::move(*found);
    return block;
}

} // namespace up::cli
