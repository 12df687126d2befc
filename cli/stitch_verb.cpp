// SPDX-License-Identifier: GPL-3.0-or-later
// The verb `stitch`: the way of the needle on a block.
#include "cli/open.hpp"
#include "cli/parts.hpp"
#include "core/plan/stitch/stitch_amounts.hpp"
#include "core/plan/stitch/stitch_plan.hpp"

namespace up::cli {
namespace {

class StitchWriter {
public:
    StitchWriter(const quilt::Quilt& quilt, const quilt::Block& block, const plan::StitchPlan& plan)
        : m_quilt(quilt), m_block(block), m_plan(plan) {}

    [[nodiscard]] static Json stitchJson(const quilt::EdgeStitch& edge) {
        Json out{{"kind", keyOf(edge.kind)},
                 {"width", edge.width.mm()},
                 {"length", lengthOf(edge).mm()},
                 {"passes", edge.passes},
                 {"mayBe", nullptr}};
        if (edge.mayBe) out["mayBe"] = *edge.mayBe;
        if (edge.apart) out["apart"] = edge.apart->mm();
        return out;
    }
    [[nodiscard]] Json runs() const {
        Json out = Json::array();
        for (std::size_t i = 0; i < m_plan.runs.size(); ++i) {
            const auto& run = m_plan.runs[i];
            out.push_back({{"run", i},
                           {"what", run.of       ? "line"
                                    : run.isEdge ? "edge"
                                                 : "mark"},
                           {"thread", nameOf(run.thread)},
                           {"points", pointsOf(run.line)},
                           {"closed", run.closed},
                           {"passes", run.isDone() ? run.allowed.front() : run.passes},
                           {"done", run.isDone()}});
            if (run.of)
                out.back()["line"] = the(m_block.lines, run.of).name;
            else
                out.back()["piece"] = quilt::numberOf(m_block, run.piece);
            if (!(run.edge == m_block.edge)) out.back()["stitch"] = stitchJson(run.edge);
        }
        return out;
    }
    [[nodiscard]] Json before() const {
        Json out = Json::array();
        for (const auto& b : m_plan.before)
            if (!m_plan.runs[b.first].isDone() && !m_plan.runs[b.then].isDone())
                out.push_back({{"first", b.first}, {"then", b.then}, {"at", {b.at.x, b.at.y}}});
        return out;
    }
    [[nodiscard]] Json trails() const {
        Json out = Json::array();
        for (const auto& trail : m_plan.trails) {
            Json steps = Json::array();
            for (const auto& step : trail.steps)
                steps.push_back(std::visit([&](const auto& s) { return stepJson(s); }, step));
            out.push_back({{"thread", nameOf(ThreadId{static_cast<std::uint32_t>(trail.thread)})},
                           {"steps", std::move(steps)},
                           {"hiddenStart", trail.hiddenStart},
                           {"hiddenEnd", trail.hiddenEnd}});
        }
        return out;
    }
    [[nodiscard]] Json use(const plan::StitchAmounts& amounts) const {
        Json out = Json::array();
        for (const auto& use : amounts.threads)
            out.push_back(
                {{"thread", nameOf(use.thread)}, {"needle", use.needle.mm()}, {"bobbin", use.bobbin.mm()}});
        return out;
    }

private:
    [[nodiscard]] std::string nameOf(ThreadId id) const {
        const auto* thread = find(m_quilt.threads, id);
        return thread ? thread->name : "";
    }
    [[nodiscard]] Json stepJson(const stitch::Stitched& step) const {
        const double length = m_plan.runs[step.run].length().mm();
        return {{"run", step.run}, {"from", step.back ? length : 0}, {"to", step.back ? 0 : length}};
    }
    [[nodiscard]] static Json stepJson(const stitch::Travel& travel) {
        return {{"travel", travel.throughSeam ? "seam" : "jump"}, {"points", pointsOf(travel.points)}};
    }

    const quilt::Quilt& m_quilt;
    const quilt::Block& m_block;
    const plan::StitchPlan& m_plan;
};

} // namespace

Bytes stitch(const Words& words) {
    const auto opened = openBlock(words);
    if (!opened) return tl::unexpected(opened.error());
    const auto& block = opened->chosen();
    const auto blockPlan = plan::planBlock(block);
    const auto plan = plan::planStitching(block, blockPlan);
    const auto amounts = plan::amountsOf(block, blockPlan, plan, opened->quilt.threads);
    const StitchWriter writer(opened->quilt, block, plan);
    const Json out{{"format", "upstairs-stitching"},
                   {"version", 2},
                   {"block", block.name},
                   {"stitch", writer.stitchJson(block.edge)},
                   {"jump", block.jump.mm()},
                   {"runs", writer.runs()},
                   {"before", writer.before()},
                   {"trails", writer.trails()},
                   {"threadChanges", plan.threadChanges},
                   {"ties", plan.trails.size()},
                   {"leastTies", plan.leastTies},
                   {"proved", {{"threadChanges", plan.fewest}, {"ties", plan.fewestTies}}},
                   {"use", writer.use(amounts)},
                   {"minutes", amounts.minutes}};
    return out.dump(1) + "\n";
}

} // namespace up::cli
