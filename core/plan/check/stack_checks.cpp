// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/check/stack_checks.hpp"

#include "core/plan/block/shine_plan.hpp"
#include "core/plan/trace/windows.hpp"
#include "core/stack/showing.hpp"

#include <algorithm>
#include <cmath>

namespace up::plan {
namespace {

using check::Finding;
using check::Fix;
using check::Kind;
using check::Severity;
using measure::Length;
using quilt::Piece;
using quilt::Step;

constexpr double coincides = 0.4; // mm: edges that near are one to the eye

class StackChecker {
public:
    StackChecker(const quilt::Quilt& quilt, const quilt::Block& block, const BlockPlan& plan,
                 const Doubts& doubts)
        : m_quilt(quilt), m_block(block), m_plan(plan), m_doubts(doubts) {}

    std::vector<Finding> run() {
        knots();
        units();
        for (std::size_t i = 0; i < m_block.pieces.size(); ++i) {
            peeks(i);
            seamLine(i);
        }
        borders();
        shine();
        stiffness();
        return std::move(m_out);
    }

private:
    [[nodiscard]] const Piece& piece(std::size_t i) const { return m_block.pieces[i]; }
    [[nodiscard]] std::string called(std::size_t i) const { return calledOf(m_block, piece(i)); }
    [[nodiscard]] bool isFused(std::size_t i) const { return piece(i).work.step >= Step::fused; }
    [[nodiscard]] bool settled(std::size_t i, std::size_t j) const { return isFused(i) && isFused(j); }
    [[nodiscard]] std::string say(double mm) const { return measure::say(Length::ofMm(mm), m_quilt.units); }
    /// To 1/32 in.
    [[nodiscard]] std::string finely(double mm) const {
        const auto length = Length::ofMm(mm);
        return m_quilt.units == measure::System::inches ? measure::sayInches(length, 32)
                                                        : measure::sayMetric(length);
    }
    [[nodiscard]] std::string area(double mm2) const {
        const bool inches = m_quilt.units == measure::System::inches;
        const double value = inches ? mm2 / (25.4 * 25.4) : mm2 / 100;
        const auto tenths = std::lround(value * 10);
        return std::to_string(tenths / 10) + (tenths % 10 ? "." + std::to_string(tenths % 10) : "") +
               (inches ? " sq in" : " cm²");
    }

    Finding& add(Kind kind, std::size_t i, std::vector<std::string> args, std::optional<shape::Point> spot,
                 std::vector<Fix> fixes) {
        m_out.push_back({kind,
                         Severity::doubtful,
                         m_block.id,
                         piece(i).id,
                         std::move(args),
                         spot,
                         std::move(fixes),
                         {},
                         {}});
        return m_out.back();
    }

    void knots() {
        for (const auto& knot : m_plan.stack.knots) {
            std::string names;
            for (const std::size_t i : knot)
                names += (names.empty() ? "" : ", ") + called(i);
            add(Kind::interwoven, knot.front(), {names}, m_plan.regions[knot.front()].bounds().centre(),
                {Fix::untie})
                .severity = Severity::blocked;
        }
    }

    /// Pieces of one unit that do not stand next to each other.
    void units() {
        std::vector<int> seen;
        for (std::size_t i = 0; i < m_block.pieces.size(); ++i) {
            const int unit = piece(i).unit;
            if (unit == 0 || (i > 0 && piece(i - 1).unit == unit)) continue;
            if (std::find(seen.begin(), seen.end(), unit) != seen.end())
                add(Kind::unitBroken, i, {called(i)}, {}, {Fix::noUnit});
            seen.push_back(unit);
        }
    }

    void peeks(std::size_t lower) {
        for (const auto& peek : m_doubts.peeks[lower]) {
            if (settled(lower, peek.upper) || piece(peek.upper).liningOf) continue;
            std::vector<Fix> fixes;
            if (!isFused(lower)) fixes.push_back(Fix::trimLower);
            if (!isFused(peek.upper)) {
                fixes.push_back(Fix::widenUpper);
                if (!piece(peek.upper).locked && stack::nudge(m_plan.regions[peek.upper], peek))
                    fixes.push_back(Fix::nudgeUpper);
            }
            auto& finding = add(peek.shows ? Kind::peeks : Kind::nearlyPeeks, lower,
                                {called(lower), called(peek.upper),
                                 peek.distance < coincides ? "" : finely(peek.distance), say(peek.length)},
                                peek.spot, std::move(fixes));
            finding.other = piece(peek.upper).id;
            finding.where = peek.where;
        }
    }

    /// An edge that stops in the finished line will show as a gap, or as a thread of the piece, once sewn.
    void seamLine(std::size_t i) {
        const auto& p = piece(i);
        if (p.runsOff || isFused(i) || p.liningOf || m_plan.visible[i].isEmpty()) return;
        const auto line = shape::offset(shape::rectangle(finishedBox(m_block)), -seamLineNear.mm());
        double along = 0;
        std::optional<shape::Point> spot;
        for (const auto& edge : m_plan.visibleEdges[i])
            for (const auto& part : shape::outside(edge, line)) {
                along += shape::lengthOf(part);
                if (!spot) spot = shape::pointAlong(part, shape::lengthOf(part) / 2);
            }
        const auto box = m_plan.regions[i].bounds();
        const auto all = finishedBox(m_block).grownBy(seamLineNear.mm());
        if (along < stack::leastPeek || !all.holds({box.left, box.top}) ||
            !all.holds({box.right, box.bottom}))
            return;
        add(Kind::inTheSeamLine, i, {called(i)}, spot, {Fix::carryOn});
    }

    void borders() {
        std::vector<stack::Short> found;
        for (const auto& ofOne : m_doubts.shorts)
            for (const auto& border : ofOne)
                if (!settled(border.lower, border.upper) && !piece(border.upper).liningOf)
                    found.push_back(border);
        const auto meets = [](const stack::Short& s) { return s.least <= 0; };
        const auto many = static_cast<std::size_t>(std::count_if(found.begin(), found.end(), meets));
        const bool together = many > manyBorders;
        const std::string wanted = say(m_block.underlap.mm());
        if (together)
            m_out.push_back({Kind::manyMeet,
                             Severity::doubtful,
                             m_block.id,
                             {},
                             {std::to_string(many), wanted},
                             {},
                             {Fix::tuckAll},
                             {},
                             {}});
        for (const auto& border : found) {
            if (together && meets(border)) continue;
            const std::vector<Fix> fixes =
                isFused(border.lower) ? std::vector<Fix>{} : std::vector<Fix>{Fix::tuck};
            auto& finding = meets(border)
                                ? add(Kind::merelyMeet, border.lower,
                                      {called(border.lower), called(border.upper), say(border.wanted)},
                                      border.spot, fixes)
                                : add(Kind::reachesTooShort, border.lower,
                                      {called(border.lower), called(border.upper), finely(border.least),
                                       say(border.wanted)},
                                      border.spot, fixes);
            finding.other = piece(border.upper).id;
        }
    }

    void shine() {
        for (const auto& shining : shiningIn(m_quilt, m_block, m_plan)) {
            const auto& p = piece(shining.piece);
            if (p.work.step >= Step::stitched || p.liningOf) continue;
            std::vector<Fix> fixes;
            if (!isFused(shining.piece)) fixes.push_back(Fix::line);
            fixes.push_back(Fix::cutAway);
            fixes.push_back(Fix::accept);
            const auto share = std::lround(100 * std::min(shining.share, 1.0));
            auto& finding =
                add(Kind::shinesThrough, shining.piece,
                    {called(shining.piece), shining.beneath ? called(*shining.beneath) : "the background",
                     share >= 95 ? "all" : std::to_string(std::max(share, 1L)) + " %"},
                    shining.where.bounds().centre(), std::move(fixes));
            if (shining.beneath) finding.other = piece(*shining.beneath).id;
            finding.where = shining.where;
        }
    }

    void stiffness() {
        const bool begun = std::any_of(m_block.pieces.begin(), m_block.pieces.end(),
                                       [](const Piece& p) { return p.work.step != Step::toTrace; });
        if (begun || m_block.school == quilt::School::windowed) return;
        const auto stiff = stiffnessOf(m_block, m_plan);
        if (stiff.where.area() < leastStiff || stiff.freed <= 0) return;
        m_out.push_back({Kind::stiff,
                         Severity::doubtful,
                         m_block.id,
                         {},
                         {std::to_string(stiff.layers), area(stiff.where.area()), area(stiff.freed)},
                         stiff.where.bounds().centre(),
                         {Fix::windows},
                         {},
                         stiff.where});
    }

    const quilt::Quilt& m_quilt;
    const quilt::Block& m_block;
    const BlockPlan& m_plan;
    const Doubts& m_doubts;
    std::vector<Finding> m_out;
};

} // namespace

Stiffness stiffnessOf(const quilt::Block& block, const BlockPlan& plan) {
    const auto layers = stack::layersOf(plan.regions);
    Stiffness out{layers.size() >= stiffLayers ? layers[stiffLayers - 1] : shape::Region{}, layers.size(), 0};
    if (out.where.isEmpty()) return out;
    for (std::size_t i = 0; i < plan.regions.size(); ++i) {
        const bool lies = plan.regions[i].bounds().meets(out.where.bounds()) &&
                          shape::intersect(plan.regions[i], out.where).area() > leastStiff / 4;
        if (lies && block.pieces[i].mayHaveWindow) out.freed += windowIn(plan.regions[i]).area();
    }
    return out;
}

std::vector<Finding> stackFindings(const quilt::Quilt& quilt, const quilt::Block& block,
                                   const BlockPlan& plan, const Doubts& doubts) {
    return StackChecker(quilt, block, plan, doubts).run();
}

} // namespace up::plan
