// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/stitch_amounts.hpp"

#include "core/plan/stitch/stitch_kind.hpp"

#include <algorithm>
#include <cmath>

namespace up::plan {

using measure::Length;

int layersUnder(const quilt::Block& block, const BlockPlan& plan, const StitchRun& run) {
    const auto middle = shape::pointAlong(run.line, run.length().mm() / 2);
    if (run.of)
        return 1 +
               static_cast<int>(std::count_if(plan.regions.begin(), plan.regions.end(),
                                              [&](const auto& region) { return region.contains(middle); }));
    const auto own = static_cast<std::size_t>(quilt::numberOf(block, run.piece)) - 1;
    int out = 2; // the background and the piece
    for (const auto lower : plan.beneath(own))
        out += plan.regions[lower].contains(middle);
    return out;
}

std::size_t bobbinsToWind(const ThreadUse& use, const quilt::Thread* thread) {
    const double there = thread && thread->bobbin ? thread->bobbin->mm() : 0;
    return static_cast<std::size_t>(std::ceil(std::max(0.0, use.bobbin.mm() - there) / bobbinHolds));
}

LegUse useOfLeg(const quilt::Block& block, const BlockPlan& plan, const StitchPlan& stitching,
                const Leg& leg) {
    LegUse out;
    for (const auto& travel : leg.before) {
        const auto mm = Length::ofMm(shape::lengthOf(travel.points));
        out.needle = out.needle + mm, out.bobbin = out.bobbin + mm;
    }
    const auto& run = stitching.runs[leg.run];
    const auto each = useOf(run.edge, layersUnder(block, plan, run));
    const double mm = run.length().mm() * leg.times;
    out.needle = out.needle + Length::ofMm(mm * each.needle);
    out.bobbin = out.bobbin + Length::ofMm(mm * each.bobbin);
    out.stitches = mm * stitch::stitchesPerMm(repeatOf(run.edge));
    const bool byHand = quilt::isByHand(run.edge.kind);
    out.minutes = out.stitches / (byHand ? handStitches : machineStitches);
    if (!byHand) out.needleMinutes = out.minutes;
    return out;
}

namespace {

class Counting {
public:
    Counting(const quilt::Block& block, const BlockPlan& plan, const StitchPlan& stitching,
             const std::vector<quilt::Thread>& threads)
        : m_block(block), m_plan(plan), m_stitching(stitching), m_threads(threads) {}

    StitchAmounts count() {
        ThreadId on;
        for (std::size_t t = 0; t < m_stitching.trails.size(); ++t) {
            const auto legs = legsOf(m_stitching, m_stitching.trails[t]);
            if (std::all_of(legs.begin(), legs.end(), [](const Leg& leg) { return leg.done; })) continue;
            const ThreadId thread{static_cast<std::uint32_t>(m_stitching.trails[t].thread)};
            auto& use = useOfThread(thread);
            take(use, Length::ofMm(knotThread), Length::ofMm(knotThread));
            for (const auto& leg : legs)
                if (!leg.done) stitch(use, leg, t);
            m_out.minutes += knotMinutes;
            if (on && on != thread) m_out.minutes += changeMinutes;
            on = thread;
        }
        m_out.stitches = static_cast<int>(std::lround(m_stitches));
        return std::move(m_out);
    }

private:
    ThreadUse& useOfThread(ThreadId thread) {
        for (auto& known : m_out.threads)
            if (known.thread == thread) return known;
        return m_out.threads.emplace_back(ThreadUse{thread, {}, {}});
    }
    static void take(ThreadUse& use, Length needle, Length bobbin) {
        use.needle = use.needle + needle;
        use.bobbin = use.bobbin + bobbin;
    }
    /// Its piece, or the topmost beneath it.
    static PieceId placeOf(const StitchRun& run) {
        return run.of ? run.on.empty() ? PieceId{} : run.on.back() : run.piece;
    }
    void stitch(ThreadUse& use, const Leg& leg, std::size_t trail) {
        const auto took = useOfLeg(m_block, m_plan, m_stitching, leg);
        take(use, took.needle, took.bobbin);
        m_stitches += took.stitches;
        m_out.minutes += took.minutes;
        const auto* thread = find(m_threads, use.thread);
        if (!use.bobbinEnds && thread && thread->bobbin && use.bobbin > *thread->bobbin)
            use.bobbinEnds = BobbinEnd{trail, placeOf(m_stitching.runs[leg.run])};
    }

    const quilt::Block& m_block;
    const BlockPlan& m_plan;
    const StitchPlan& m_stitching;
    const std::vector<quilt::Thread>& m_threads;
    double m_stitches = 0;
    StitchAmounts m_out;
};

} // namespace

StitchAmounts amountsOf(const quilt::Block& block, const BlockPlan& plan, const StitchPlan& stitching,
                        const std::vector<quilt::Thread>& threads) {
    return Counting(block, plan, stitching, threads).count();
}

} // namespace up::plan
