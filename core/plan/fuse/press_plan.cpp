// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/fuse/press_plan.hpp"

#include "core/plan/fuse/done_presses.hpp"
#include "core/plan/fuse/edge_tests.hpp"
#include "core/quilt/holes.hpp"
#include "core/shape/widths.hpp"

#include <algorithm>
#include <map>

namespace up::plan {
namespace {

using quilt::Block;
using quilt::Piece;
using quilt::Step;
using shape::Region;

using Positions = std::vector<std::size_t>;

/// So far round the place where it lifted it is pressed again, mm. Source: common practice.
constexpr double roundLifted = 12;

Region discAt(shape::Point at) {
    constexpr double dot = 0.1;
    return shape::offset(shape::rectangle({at.x - dot, at.y - dot, at.x + dot, at.y + dot}),
                         roundLifted - dot);
}

class Planner {
public:
    Planner(const quilt::Quilt& quilt, const Block& block, const BlockPlan& plan, const PressOptions& options,
            const PressPlan* before, PressPlan& out)
        : m_block(block), m_plan(plan), m_web(find(quilt.webs, block.web)), m_before(before), m_out(out),
          m_heat(block, plan, m_web) {
        if (m_web) out.limit = m_web->longest;
        std::vector<Region> melting;
        for (std::size_t i = 0; i < block.pieces.size(); ++i) {
            sort(i, options.onlyLaid);
            if (!block.pieces[i].melts) continue;
            out.noIron.push_back(block.pieces[i].id);
            melting.push_back(plan.regions[i]);
        }
        m_spared = shape::unite(melting);
    }

    Result<void> run() {
        if (m_block.pieces.empty()) return failure(Code::nothingToDo, {m_block.name});
        addUnits();
        if (m_block.fusing == quilt::Fusing::byLayers)
            addLayers();
        else
            addOnBlock(m_open, -1);
        if ((!m_web || m_web->fromBack) && m_block.quilting == quilt::Quilting::after)
            add({StageKind::block, 0, -1, true, {}, 0, {}, {}}, m_toTurn);
        addAgain();
        if (m_trouble) return tl::unexpected(*m_trouble);
        tallyHeat();
        m_out.tests = edgeTests(m_block, m_plan, m_heat, m_toTest);
        return {};
    }

private:
    void sort(std::size_t i, bool onlyLaid) {
        const auto& piece = m_block.pieces[i];
        const auto step = piece.work.step;
        if (piece.isOffWeb()) {
            if (piece.join != quilt::Join::reverse) m_onBlock.push_back(i); // from behind it is covered
            return;
        }
        if (step >= Step::fused || piece.melts) m_onBlock.push_back(i);
        if (piece.melts || (onlyLaid && step < Step::laid) || (step < Step::laid && holeBefore(m_block, i)))
            return;
        if (step < Step::fused) m_open.push_back(i);
        if (step < Step::fused || (step == Step::fused && isRecorded(piece.id))) m_toTurn.push_back(i);
        if (step == Step::fused && piece.lifts) m_lifting.push_back(i);
        if (step <= Step::fused) m_toTest.push_back(i);
    }
    /// It was fused press by press: so is known whether from the back too.
    [[nodiscard]] bool isRecorded(PieceId id) const {
        return std::any_of(m_block.pressed.begin(), m_block.pressed.end(), [&](const quilt::Pressed& press) {
            return press.fuses() &&
                   std::find(press.pieces.begin(), press.pieces.end(), id) != press.pieces.end();
        });
    }

    void addUnits() {
        std::map<int, Positions> units;
        for (const auto i : m_open)
            if (const int unit = m_block.pieces[i].unit; unit != 0) units[unit].push_back(i);
        for (const auto& [unit, pieces] : units)
            add({StageKind::unit, unit, -1, false, {}, 0, {}, {}}, pieces);
    }
    void addOnBlock(const Positions& pieces, int layer) {
        m_onBlock.insert(m_onBlock.end(), pieces.begin(), pieces.end());
        std::sort(m_onBlock.begin(), m_onBlock.end());
        add({StageKind::block, 0, layer, false, {}, 0, {}, {}}, pieces);
    }
    void addLayers() {
        std::map<int, Positions> layers;
        for (const auto i : m_open)
            layers[m_plan.stack.step[i]].push_back(i);
        for (const auto& [layer, pieces] : layers)
            addOnBlock(pieces, layer);
    }
    /// Each by itself: where it is tested, or all of it.
    void addAgain() {
        if (m_lifting.empty()) return;
        std::vector<Region> areas;
        const auto tests = edgeTests(m_block, m_plan, m_heat, m_lifting);
        for (const auto i : m_lifting) {
            const auto at = std::find_if(tests.begin(), tests.end(), [&](const EdgeTest& test) {
                return test.piece == m_block.pieces[i].id;
            });
            areas.push_back(at == tests.end() ? m_plan.regions[i]
                                              : shape::intersect(m_plan.regions[i], discAt(at->at)));
        }
        add({StageKind::again, 0, -1, false, {}, 0, {}, {}}, m_lifting, shape::unite(areas));
    }

    void add(PressStage stage, const Positions& pieces, const std::optional<Region>& only = {}) {
        if (pieces.empty() || m_trouble) return;
        for (const auto i : pieces)
            stage.pieces.push_back(m_block.pieces[i].id);
        stage.seconds = m_web ? m_web->final.seconds : quilt::Pressing().seconds;
        const auto& heated = stage.kind == StageKind::unit ? pieces : m_onBlock;
        const DonePresses done(m_block, stage, m_out.overlap);
        const auto cover = coverOf(only ? *only : united(pieces), tipsOf(pieces));
        auto presses = plannedFrom(cover.presses, pieces, heated, stage.seconds);
        stage.unreached = cover.unreached;
        if (done.areAmong(presses)) {
            for (auto& press : presses)
                press.left = std::max(0.0, stage.seconds - done.secondsOf(press.under));
        } else { // something has moved, or another iron was taken: what is not covered yet
            std::vector<Region> open;
            for (const auto i : pieces)
                open.push_back(done.openOf(m_block.pieces[i].id, m_plan.regions[i]));
            const auto rest = coverOf(shape::unite(open), tipsOf(pieces));
            stage.unreached = rest.unreached;
            presses = done.asPlanned(stage.pieces);
            for (auto& press : plannedFrom(rest.presses, pieces, heated, stage.seconds))
                presses.push_back(std::move(press));
        }
        stage.presses = std::move(presses);
        heat(stage);
        m_out.stages.push_back(std::move(stage));
    }

    [[nodiscard]] Region united(const Positions& pieces) const {
        std::vector<Region> regions;
        for (const auto i : pieces)
            regions.push_back(m_plan.regions[i]);
        return shape::unite(regions);
    }
    [[nodiscard]] std::vector<shape::Point> tipsOf(const Positions& pieces) const {
        std::vector<shape::Point> out;
        for (const auto i : pieces)
            for (const auto& corner : shape::cornersOf(m_plan.regions[i]))
                if (corner.opening < sharpCorner) out.push_back(corner.at);
        return out;
    }

    /// The back is pressed where the front was; and what has not changed since the plan before is taken from it.
    press::Cover coverOf(Region area, std::vector<shape::Point> tips) {
        if (area.isEmpty()) return {};
        press::CoverJob job{std::move(area), m_spared, m_out.iron, m_out.overlap, std::move(tips)};
        const auto isIt = [&](const KnownCover& known) { return known.job == job; };
        auto& known = m_out.known;
        if (const auto at = std::find_if(known.begin(), known.end(), isIt); at != known.end())
            return at->cover;
        if (m_before) {
            const auto& then = m_before->known;
            if (const auto at = std::find_if(then.begin(), then.end(), isIt); at != then.end())
                return known.push_back(*at), known.back().cover;
        }
        const auto* then = likeBefore(job);
        auto found = then ? keptFrom(*then, job) : std::nullopt;
        if (!found) {
            press::CoverOptions options;
            if (then) {
                options.enough = then->cover.presses.size();
                options.start = then->cover.presses;
            }
            auto fresh = press::coverWith(job, options);
            if (!fresh) return m_trouble = fresh.error(), press::Cover{};
            found = std::move(*fresh);
        }
        return known.push_back({std::move(job), std::move(*found)}), known.back().cover;
    }
    /// What was planned before for nearly the same area; none.
    [[nodiscard]] const KnownCover* likeBefore(const press::CoverJob& job) const {
        if (!m_before) return nullptr;
        for (const auto& then : m_before->known) {
            if (!(then.job.iron == job.iron) || then.job.overlap != job.overlap) continue;
            const auto both = shape::intersect(then.job.area, job.area).area();
            if (both >= 0.8 * std::max(then.job.area.area(), job.area.area())) return &then;
        }
        return nullptr;
    }
    /// A little aside, the pieces lie under the same presses still, or all but one: those that are shown stay where they
    /// are.
    [[nodiscard]] static std::optional<press::Cover> keptFrom(const KnownCover& then,
                                                              const press::CoverJob& job) {
        if (auto still = press::stillCovering(job, then.cover); still && *still) return *still;
        if (auto moved = press::withFewMoved(job, then.cover); moved && *moved) return *moved;
        return std::nullopt;
    }

    [[nodiscard]] std::vector<PlannedPress> plannedFrom(const std::vector<press::Press>& presses,
                                                        const Positions& pieces, const Positions& heated,
                                                        double seconds) const {
        std::vector<PlannedPress> out;
        for (const auto& press : presses) {
            PlannedPress planned{press, setDown(m_out.iron.outline, press), {}, {}, seconds};
            const auto under = shape::regionOf(shape::Rings{planned.under});
            const auto box = under.bounds();
            for (const auto i : heated) {
                if (!m_plan.regions[i].bounds().meets(box) ||
                    shape::intersect(under, m_plan.regions[i]).isEmpty())
                    continue;
                const auto id = m_block.pieces[i].id;
                planned.heated.push_back(id);
                if (std::find(pieces.begin(), pieces.end(), i) != pieces.end()) planned.pieces.push_back(id);
            }
            out.push_back(std::move(planned));
        }
        return out;
    }

    void heat(const PressStage& stage) {
        for (const auto& press : stage.presses)
            if (press.left > 0)
                m_heat.add(shape::regionOf(shape::Rings{press.under}), press.left, positions(press.heated));
    }
    [[nodiscard]] Positions positions(const std::vector<PieceId>& ids) const {
        Positions out;
        for (const auto id : ids)
            out.push_back(static_cast<std::size_t>(quilt::numberOf(m_block, id)) - 1);
        return out;
    }

    void tallyHeat() {
        for (const auto i : m_onBlock) {
            auto heat = m_heat.of(i);
            const bool gets = heat.most > heat.before;
            if (gets && m_out.limit && heat.most > *m_out.limit) warn(i, *m_out.limit);
            if (gets) m_out.heat.push_back(std::move(heat));
        }
    }
    /// At each press from the one on that is too much for the piece.
    void warn(std::size_t piece, double limit) {
        const auto id = m_block.pieces[piece].id;
        auto bearable = m_heat.bearable(piece, limit);
        for (auto& stage : m_out.stages)
            for (auto& press : stage.presses) {
                if (press.left <= 0 ||
                    std::find(press.heated.begin(), press.heated.end(), id) == press.heated.end())
                    continue;
                if (bearable == 0)
                    press.tooMuch.push_back(id);
                else
                    --bearable;
            }
    }

    const Block& m_block;
    const BlockPlan& m_plan;
    const quilt::Web* m_web;
    const PressPlan* m_before;
    PressPlan& m_out;
    BlockHeat m_heat;
    Region m_spared;
    Positions m_open, m_onBlock, m_toTurn, m_lifting, m_toTest; ///< bottom first
    std::optional<Error> m_trouble;
};

} // namespace

bool PressStage::isDone() const {
    return std::all_of(presses.begin(), presses.end(), [](const auto& press) { return press.left <= 0; });
}

std::optional<std::pair<std::size_t, std::size_t>> PressPlan::next() const {
    for (std::size_t s = 0; s < stages.size(); ++s)
        for (std::size_t p = 0; p < stages[s].presses.size(); ++p)
            if (stages[s].presses[p].left > 0) return std::pair(s, p);
    return std::nullopt;
}

press::Iron ironOf(const quilt::Quilt& quilt) {
    auto out = press::ironOf(press::Soleplate::household);
    if (const auto* own = find(quilt.irons, quilt.iron)) out.outline = own->outline.front();
    return out;
}

Result<PressPlan> planPressing(const quilt::Quilt& quilt, const Block& block, const BlockPlan& plan,
                               const PressOptions& options, const PressPlan* before) {
    PressPlan out{options.iron, options.overlap, {}, {}, {}, {}, {}, {}};
    return Planner(quilt, block, plan, options, before, out).run().map([&] { return std::move(out); });
}

} // namespace up::plan
