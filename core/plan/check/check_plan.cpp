// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/check/check_plan.hpp"

#include "core/plan/check/stack_checks.hpp"
#include "core/plan/trace/trace_plan.hpp"

#include <algorithm>
#include <array>
#include <map>

namespace up::plan {
namespace {

using check::Finding;
using check::Fix;
using check::Kind;
using check::Severity;
using measure::Length;
using quilt::Block;
using quilt::Piece;
using quilt::Step;

constexpr double leastDotted = 5; // mm: the ends of a dotted line lie on edges that show
constexpr double tolerated = 0.1; // mm: flattening and drawing noise

class Checker {
public:
    Checker(const quilt::Quilt& quilt, const Block& block, const BlockPlan& plan, const Judgement& judged)
        : m_quilt(quilt), m_block(block), m_plan(plan), m_judged(judged) {}

    std::vector<Finding> run() {
        if (m_block.pieces.empty())
            m_out.push_back({Kind::noPieces, Severity::doubtful, m_block.id, {}, {m_block.name}, {}});
        for (std::size_t i = 0; i < m_block.pieces.size(); ++i) {
            checkEdges(i);
            checkVisible(i);
            checkDotted(i);
            checkThin(i);
            checkMarks(i);
        }
        checkHands();
        checkReading();
        checkWeb();
        checkSheets();
        checkOrder();
        return std::move(m_out);
    }

private:
    void add(Kind kind, Severity severity, std::size_t i, std::vector<std::string> more,
             std::optional<shape::Point> spot, std::vector<Fix> fixes = {}) {
        const Piece& piece = m_block.pieces[i];
        std::vector<std::string> args{calledOf(m_block, piece)};
        args.insert(args.end(), more.begin(), more.end());
        m_out.push_back({kind, severity, m_block.id, piece.id, std::move(args), spot, std::move(fixes)});
    }
    [[nodiscard]] std::string say(double mm) const { return measure::say(Length::ofMm(mm), m_quilt.units); }

    void checkEdges(std::size_t i) {
        const auto box = m_plan.regions[i].bounds();
        if (box.isEmpty()) return;
        const double width = m_block.width.mm(), height = m_block.height.mm(),
                     seam = quilt::seamAllowance.mm();
        const std::array over{-box.left, -box.top, box.right - width, box.bottom - height};
        const double most = *std::max_element(over.begin(), over.end());
        const auto& piece = m_block.pieces[i];
        if (!piece.runsOff && most > tolerated) {
            std::vector<Fix> fixes{Fix::markRunsOff};
            if (moveInside(m_block, m_plan.regions[i])) fixes.insert(fixes.begin(), Fix::moveInside);
            add(Kind::outsideFinished, Severity::doubtful, i, {say(most)}, box.centre(), fixes);
        }
        if (!piece.runsOff) return;
        for (const double by : over)
            if (by > tolerated && by < seam - tolerated)
                return add(Kind::runsOffTooShort, Severity::doubtful, i, {say(seam - by)}, box.centre(),
                           {Fix::carryOn});
    }

    void checkVisible(std::size_t i) {
        if (!m_block.pieces[i].liningOf && m_plan.visible[i].area() < stack::leastOverlap)
            add(Kind::hiddenWholly, Severity::doubtful, i, {}, m_plan.regions[i].bounds().centre(),
                {Fix::leaveOut, Fix::bringUp});
    }

    /// Within the finished block; what runs off lies in the seam.
    void checkDotted(std::size_t i) {
        if (m_block.pieces[i].dotted->empty()) return;
        const auto dotted = shape::intersect(
            alongDotted(m_block.pieces[i]),
            shape::rectangle(shape::Box{0, 0, m_block.width.mm(), m_block.height.mm()}.grownBy(-tolerated)));
        double shows = 0;
        std::optional<shape::Point> spot;
        for (const auto& edge : m_plan.visibleEdges[i])
            for (const auto& part : shape::inside(edge, dotted)) {
                shows += shape::lengthOf(part);
                if (!spot) spot = shape::pointAlong(part, shape::lengthOf(part) / 2);
            }
        if (shows > leastDotted) add(Kind::dottedShows, Severity::doubtful, i, {say(shows)}, spot);
    }

    void checkThin(std::size_t i) {
        const auto& thin = m_judged.pieces[i].thin;
        if (thin.empty()) return;
        const auto& worst = thin.front().narrowest;
        add(Kind::thin, Severity::doubtful, i, {finely(worst.width), finely(leastWidth(m_block.edge).mm())},
            worst.middle);
    }

    /// To 1/32 in: what is thin is told apart by less than a sixteenth.
    [[nodiscard]] std::string finely(double mm) const {
        const auto length = Length::ofMm(mm);
        return m_quilt.units == measure::System::inches ? measure::sayInches(length, 32)
                                                        : measure::sayMetric(length);
    }

    /// The upper one is offered to be mirrored, unless it is being worked on and the lower one is not.
    void checkHands() {
        for (const auto& pair : m_judged.oneHand) {
            const bool lowerIsFree =
                m_block.pieces[pair.first].work.step < m_block.pieces[pair.second].work.step;
            const auto change = lowerIsFree ? pair.first : pair.second,
                       keep = lowerIsFree ? pair.second : pair.first;
            add(Kind::oneHand, Severity::doubtful, change, {calledOf(m_block, m_block.pieces[keep])},
                m_plan.regions[change].bounds().centre(), {Fix::mirror});
        }
    }

    /// Letters say which side is seen: of built-in ones each for itself, of a drawing all together.
    void checkReading() {
        for (std::size_t i = 0; i < m_block.pieces.size(); ++i) {
            const auto& recipe = m_block.pieces[i].recipe;
            if (recipe && recipe->kind == quilt::RecipeKind::letter && recipe->at.determinant() < 0 &&
                m_judged.pieces[i].mustBeReversed())
                add(Kind::readsBackwards, Severity::doubtful, i, {}, m_plan.regions[i].bounds().centre(),
                    {Fix::mirror});
        }
        const bool mirrored = m_block.letters == quilt::Reading::mirrored;
        if (m_block.letters == quilt::Reading::unknown || mirrored == m_block.givenReversed) return;
        m_out.push_back({mirrored ? Kind::cameReversed : Kind::reversedTwice,
                         Severity::doubtful,
                         m_block.id,
                         {},
                         {m_block.name},
                         {},
                         {Fix::otherSide}});
    }

    void checkMarks(std::size_t i) {
        const auto& piece = m_block.pieces[i];
        if (!piece.hasMarks() || piece.work.marksDrawn) return;
        if (piece.work.step == Step::cleanCut)
            add(Kind::marksToDraw, Severity::doubtful, i, {}, m_plan.regions[i].bounds().centre());
        if (piece.work.step >= Step::laid)
            add(Kind::marksLost, Severity::doubtful, i, {}, m_plan.regions[i].bounds().centre());
    }

    void checkWeb() {
        if (!m_block.layout) return;
        const auto* web = find(m_quilt.webs, m_block.layout->web);
        for (const auto& unplaced : m_block.layout->unplaced) {
            const int number = numberOf(m_block, unplaced.piece);
            const auto kind =
                unplaced.reason == quilt::WhyNot::largerThanSheet ? Kind::larger : Kind::webUsedUp;
            if (number > 0)
                add(kind, Severity::blocked, static_cast<std::size_t>(number) - 1, {web ? web->name : ""},
                    {});
        }
    }

    /// What lies there was there when the block was laid out.
    void checkSheets() {
        if (!m_block.layout) return;
        const auto& layout = *m_block.layout;
        std::size_t strangers = 0;
        std::map<int, std::vector<PieceId>> lost; // by sheet
        for (const auto& traced : layout.traced) {
            const auto* piece = find(m_block.pieces, traced.piece);
            const auto sheet = sheetOf(layout, traced.sheet);
            if (!piece)
                ++strangers;
            else if (sheet.offCut && !sheet.putAway && piece->work.step == Step::toTrace &&
                     !find(m_quilt.offCuts, sheet.offCut))
                lost[traced.sheet].push_back(traced.piece);
        }
        if (strangers > 0)
            m_out.push_back({Kind::othersLaidOut,
                             Severity::blocked,
                             m_block.id,
                             {},
                             {m_block.name, std::to_string(strangers)},
                             {}});
        for (const auto& [sheet, pieces] : lost) {
            std::string names;
            for (const auto id : pieces)
                names += (names.empty() ? "" : ", ") + calledOf(m_block, the(m_block.pieces, id));
            m_out.push_back({Kind::offCutGone, Severity::blocked, m_block.id, pieces.front(), {names}, {}});
        }
    }

    void checkOrder() {
        for (const auto& overlap : m_plan.stack.overlaps) {
            const auto& lower = m_block.pieces[overlap.lower];
            const auto& upper = m_block.pieces[overlap.upper];
            for (const Step step : {Step::stitched, Step::fused}) {
                if (upper.work.step < step || lower.work.step >= step) continue;
                add(Kind::laidOutOfOrder, Severity::blocked, overlap.upper,
                    {calledOf(m_block, lower), std::string(keyOf(step))},
                    m_plan.regions[overlap.upper].bounds().centre());
                break;
            }
        }
    }

    const quilt::Quilt& m_quilt;
    const Block& m_block;
    const BlockPlan& m_plan;
    const Judgement& m_judged;
    std::vector<Finding> m_out;
};

} // namespace

std::vector<Finding> checkBlock(const quilt::Quilt& quilt, const Block& block, const BlockPlan& plan,
                                const Judgement& judged, const Doubts& doubts) {
    auto out = Checker(quilt, block, plan, judged).run();
    for (auto& finding : stackFindings(quilt, block, plan, doubts))
        out.push_back(std::move(finding));
    std::stable_sort(out.begin(), out.end(),
                     [](const auto& a, const auto& b) { return a.severity < b.severity; });
    return out;
}

std::vector<Finding> checkQuilt(const quilt::Quilt& quilt) {
    std::vector<Finding> out;
    for (const auto& block : quilt.blocks) {
        const auto plan = planBlock(block);
        for (auto& finding : checkBlock(quilt, block, plan, judge(block, plan), doubtsOf(block, plan)))
            out.push_back(std::move(finding));
    }
    return out;
}

std::optional<shape::Point> moveInside(const Block& block, const shape::Region& piece) {
    const auto box = piece.bounds();
    if (box.width() > block.width.mm() || box.height() > block.height.mm()) return std::nullopt;
    const auto shift = [](double low, double high, double room) {
        return low < 0 ? -low : high > room ? room - high : 0;
    };
    return shape::Point{shift(box.left, box.right, block.width.mm()),
                        shift(box.top, box.bottom, block.height.mm())};
}

} // namespace up::plan
