// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/fuse/press_plan.hpp"

#include "core/press/heat.hpp"
#include "core/shape/widths.hpp"

#include <algorithm>
#include <map>
#include <numbers>

namespace up::plan {
namespace {

using quilt::Block;
using quilt::Piece;
using quilt::Step;
using shape::Point;
using shape::Region;

constexpr double sharp =
    std::numbers::pi / 3;              // a corner that opens less is a tip: common practice, no source
constexpr std::size_t layersThick = 3; // so many pieces beneath one are thick: common practice, no source

class Planner {
public:
    Planner(const quilt::Quilt& quilt, const Block& block, const BlockPlan& plan, PressPlan& out)
        : m_block(block), m_plan(plan), m_web(find(quilt.webs, block.web)), m_out(out),
          m_heatings(block.pieces.size()), m_before(block.pieces.size(), 0) {
        for (std::size_t i = 0; i < block.pieces.size(); ++i) {
            const auto step = block.pieces[i].work.step;
            if (step >= Step::fused || block.pieces[i].melts) m_onBlock.push_back(i);
            if (step < Step::fused && !block.pieces[i].melts) m_open.push_back(i);
            if (block.pieces[i].melts) out.noIron.push_back(block.pieces[i].id);
            if (m_web && step >= Step::bonded) m_before[i] += m_web->first.seconds;
            if (m_web && step >= Step::fused) m_before[i] += m_web->final.seconds;
        }
    }

    Result<void> run() {
        if (m_block.pieces.empty()) return failure(Code::nothingToDo, {m_block.name});
        if (m_open.empty()) return {};
        std::map<int, std::vector<std::size_t>> units;
        for (const auto i : m_open)
            if (const int unit = m_block.pieces[i].unit; unit != 0) units[unit].push_back(i);
        for (const auto& [unit, pieces] : units)
            if (auto made = add(pieces, unit, false); !made) return made;
        m_onBlock.insert(m_onBlock.end(), m_open.begin(), m_open.end());
        for (const bool back : {false, true})
            if (auto made = add(m_open, 0, back); !made) return made;
        tallyHeat();
        findTests();
        return {};
    }

private:
    Result<void> add(const std::vector<std::size_t>& pieces, int unit, bool back) {
        PressStage stage{unit, back, {}, m_web ? m_web->final.seconds : quilt::Pressing().seconds, {}};
        for (const auto i : pieces)
            stage.pieces.push_back(m_block.pieces[i].id);
        auto presses = pressesOver(pieces);
        if (!presses) return tl::unexpected(presses.error());
        for (const auto& press : *presses) {
            PlannedPress planned{press, {}};
            const auto under = shape::regionOf(shape::Rings{setDown(m_out.iron.outline, press)});
            const auto& heated = unit ? pieces : m_onBlock;
            for (const auto i : heated)
                if (!shape::intersect(under, m_plan.regions[i]).isEmpty()) {
                    m_heatings[i].push_back({under, stage.seconds});
                    if (std::find(pieces.begin(), pieces.end(), i) != pieces.end())
                        planned.pieces.push_back(m_block.pieces[i].id);
                }
            stage.presses.push_back(std::move(planned));
        }
        m_out.stages.push_back(std::move(stage));
        return {};
    }

    /// The back is pressed where the front was.
    Result<std::vector<press::Press>> pressesOver(const std::vector<std::size_t>& pieces) {
        if (const auto known = m_known.find(pieces); known != m_known.end()) return known->second;
        press::CoverJob job{{}, {}, m_out.iron, m_out.overlap, {}};
        std::vector<Region> regions;
        for (const auto i : pieces) {
            regions.push_back(m_plan.regions[i]);
            for (const auto& corner : shape::cornersOf(m_plan.regions[i]))
                if (corner.opening < sharp) job.tips.push_back(corner.at);
        }
        std::vector<Region> melting;
        for (std::size_t i = 0; i < m_block.pieces.size(); ++i)
            if (m_block.pieces[i].melts) melting.push_back(m_plan.regions[i]);
        job.spared = shape::unite(melting);
        job.area = shape::unite(regions);
        return press::coverWith(job).map(
            [&](const press::Cover& cover) { return m_known[pieces] = cover.presses; });
    }

    void tallyHeat() {
        for (const auto i : m_onBlock) {
            if (m_heatings[i].empty()) continue;
            const auto heat = press::heatOf(m_plan.regions[i], m_heatings[i]);
            m_out.heat.push_back(
                {m_block.pieces[i].id, m_before[i], m_before[i] + heat.least, m_before[i] + heat.most});
        }
    }

    [[nodiscard]] double heatAt(std::size_t i, Point at) const {
        double out = 0;
        for (const auto& heating : m_heatings[i])
            if (heating.where.contains(at)) out += heating.seconds;
        return out;
    }

    /// Of each piece its sharpest tip that shows; then by the heat there, the least first, and by what lies beneath.
    void findTests() {
        struct Place {
            EdgeTest test;
            double heat, opening;
            std::size_t beneath;
        };
        std::vector<Place> places;
        for (const auto i : m_open) {
            const auto beneath = m_plan.beneath(i).size();
            std::optional<shape::Corner> sharpest;
            for (const auto& corner : shape::cornersOf(m_plan.visible[i]))
                if (corner.opening < sharp && m_plan.regions[i].contains(corner.at + corner.inwards * 0.05) &&
                    (!sharpest || corner.opening < sharpest->opening))
                    sharpest = corner;
            if (!sharpest && beneath < layersThick) continue;
            const auto at = sharpest ? sharpest->at + sharpest->inwards * 0.05 : edgeOf(i);
            places.push_back({{m_block.pieces[i].id, at, sharpest ? WhyTest::tip : WhyTest::thick},
                              heatAt(i, at),
                              sharpest ? sharpest->opening : std::numbers::pi,
                              beneath});
        }
        std::stable_sort(places.begin(), places.end(), [](const Place& a, const Place& b) {
            return std::tuple(a.heat, a.opening, b.beneath) < std::tuple(b.heat, b.opening, a.beneath);
        });
        for (auto& place : places)
            m_out.tests.push_back(place.test);
    }
    [[nodiscard]] Point edgeOf(std::size_t i) const {
        const auto& edges = m_plan.visibleEdges[i];
        return edges.empty() ? m_plan.regions[i].rings.front().front()
                             : shape::pointAlong(edges.front(), shape::lengthOf(edges.front()) / 2);
    }

    const Block& m_block;
    const BlockPlan& m_plan;
    const quilt::Web* m_web;
    PressPlan& m_out;
    std::vector<std::size_t> m_open, m_onBlock;
    std::vector<std::vector<press::Heating>> m_heatings;
    std::vector<double> m_before;
    std::map<std::vector<std::size_t>, std::vector<press::Press>> m_known;
};

} // namespace

Result<PressPlan> planPressing(const quilt::Quilt& quilt, const Block& block, const BlockPlan& plan,
                               const press::Iron& iron, measure::Length overlap) {
    PressPlan out{iron, overlap, {}, {}, {}, {}};
    return Planner(quilt, block, plan, out).run().map([&] { return out; });
}

} // namespace up::plan
