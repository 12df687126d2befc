// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/hints.hpp"

#include "core/base/lab.hpp"
#include "core/plan/stitch/stitch_amounts.hpp"
#include "core/plan/stitch/stitch_kind.hpp"
#include "core/stitch/turns.hpp"

#include <algorithm>
#include <set>
#include <tuple>

namespace up::plan {
namespace {

/// The block's turns with one piece in another thread.
class Otherwise {
public:
    explicit Otherwise(const StitchPlan& plan) {
        std::vector<std::size_t> at(plan.runs.size(), none);
        for (std::size_t i = 0; i < plan.runs.size(); ++i) {
            if (plan.runs[i].isDone()) continue;
            at[i] = m_job.thread.size();
            m_job.thread.push_back(static_cast<int>(plan.runs[i].thread.value));
            m_pieces.push_back(plan.runs[i].piece);
        }
        for (const auto& b : plan.before)
            if (at[b.first] != none && at[b.then] != none) m_job.before.emplace_back(at[b.first], at[b.then]);
    }
    [[nodiscard]] stitch::TurnsJob with(PieceId piece, ThreadId thread) const {
        auto out = m_job;
        for (std::size_t i = 0; i < m_pieces.size(); ++i)
            if (m_pieces[i] == piece) out.thread[i] = static_cast<int>(thread.value);
        return out;
    }
    /// Each piece once, with its thread.
    [[nodiscard]] std::vector<std::pair<PieceId, ThreadId>> pieces() const {
        std::vector<std::pair<PieceId, ThreadId>> out;
        for (std::size_t i = 0; i < m_pieces.size(); ++i) {
            if (!m_pieces[i]) continue; // a line of the block
            const std::pair own(m_pieces[i], ThreadId{static_cast<std::uint32_t>(m_job.thread[i])});
            if (std::find(out.begin(), out.end(), own) == out.end()) out.push_back(own);
        }
        return out;
    }

private:
    static constexpr auto none = static_cast<std::size_t>(-1);
    stitch::TurnsJob m_job;
    std::vector<PieceId> m_pieces; ///< by thing
};

/// Changes of thread that are saved at most, and how far the colours are apart.
struct Candidate {
    PieceId piece;
    ThreadId thread;
    int most;
    double apart;
};

std::vector<Candidate> candidates(const Otherwise& otherwise, const std::vector<quilt::Thread>& threads,
                                  int changes) {
    const auto pieces = otherwise.pieces();
    std::set<std::uint32_t> used;
    for (const auto& [piece, thread] : pieces)
        used.insert(thread.value);
    std::vector<Candidate> out;
    for (const auto& [piece, own] : pieces)
        for (const auto value : used) {
            const ThreadId other{value};
            const auto *from = find(threads, own), *to = find(threads, other);
            if (other == own || !from || !to) continue;
            const auto least = stitch::leastTurnsOf(otherwise.with(piece, other));
            const int most = changes + 1 - static_cast<int>(least);
            if (most > 0)
                out.push_back({piece, other, most, difference(labOf(from->colour), labOf(to->colour))});
        }
    std::stable_sort(out.begin(), out.end(), [](const Candidate& a, const Candidate& b) {
        return std::pair(-a.most, a.apart) < std::pair(-b.most, b.apart);
    });
    return out;
}

} // namespace

std::vector<Saving> savingsOf(const StitchPlan& plan, const std::vector<quilt::Thread>& threads) {
    constexpr std::size_t mostTried = 36;
    const Otherwise otherwise(plan);
    std::vector<std::pair<Candidate, int>> found; // with what it saves
    auto tried = candidates(otherwise, threads, plan.threadChanges);
    if (tried.size() > mostTried) tried.erase(tried.begin() + mostTried, tried.end());
    for (const auto& candidate : tried) {
        const auto turns = stitch::turnsOf(otherwise.with(candidate.piece, candidate.thread)).turns.size();
        const int saved = plan.threadChanges + 1 - static_cast<int>(turns);
        if (saved > 0) found.emplace_back(candidate, saved);
    }
    std::stable_sort(found.begin(), found.end(), [](const auto& a, const auto& b) {
        return std::pair(-a.second, a.first.apart) < std::pair(-b.second, b.first.apart);
    });
    std::vector<Saving> out;
    for (const auto& [candidate, saved] : found) {
        const auto isOf = [piece = candidate.piece](const Saving& known) { return known.piece == piece; };
        if (out.size() < mostSavings && std::none_of(out.begin(), out.end(), isOf))
            out.push_back({candidate.piece, candidate.thread, saved, saved * changeMinutes});
    }
    return out;
}

std::vector<Elsewhere> elsewhereWith(const quilt::Quilt& quilt, ThreadId thread, BlockId except) {
    std::vector<Elsewhere> out;
    for (const auto& block : quilt.blocks) {
        const bool any = std::any_of(block.pieces.begin(), block.pieces.end(), [&](const auto& piece) {
            return piece.thread == thread && isReady(block, piece.id);
        });
        if (block.id == except || !any) continue;
        const auto plan = planBlock(block);
        const auto stitching = planStitching(block, plan, {nullptr, {}, false, thread});
        if (stitching.trails.empty()) continue;
        Elsewhere here{block.id, stitching.order(), stitching.trails.size(), {}, 0};
        for (const auto& run : stitching.runs)
            if (run.passes > 0) here.length = here.length + run.length();
        here.minutes = amountsOf(block, plan, stitching, quilt.threads).minutes;
        out.push_back(std::move(here));
    }
    return out;
}

StitchHints hintsFor(const quilt::Quilt& quilt, const quilt::Block& block, const BlockPlan& plan,
                     const StitchPlan& stitching) {
    StitchHints out;
    if (const auto open = openStretches(block, plan, stitching); !open.empty()) out.widest = open.front();
    out.savings = savingsOf(stitching, quilt.threads);
    out.thread = quilt.machine.thread;
    for (const auto& trail : stitching.trails) {
        const auto legs = legsOf(stitching, trail);
        if (std::all_of(legs.begin(), legs.end(), [](const Leg& leg) { return leg.done; })) continue;
        out.thread = ThreadId{static_cast<std::uint32_t>(trail.thread)};
        break;
    }
    if (out.thread) out.elsewhere = elsewhereWith(quilt, out.thread, block.id);
    return out;
}

} // namespace up::plan
