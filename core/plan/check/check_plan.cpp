// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/check/check_plan.hpp"

#include "core/plan/check/looking.hpp"

#include <algorithm>
#include <cmath>
#include <iterator>

namespace up::plan {

using check::Arg;
using check::Finding;
using check::Fix;
using check::Kind;

Finding& Looking::add(Kind kind, std::size_t i, std::vector<Arg> more, std::vector<Fix> fixes) {
    more.insert(more.begin(), piece(i).id);
    auto& finding = addOfBlock(kind, std::move(more), std::move(fixes));
    finding.piece = piece(i).id;
    finding.spot = plan.regions[i].bounds().centre();
    return finding;
}

Finding& Looking::addPair(Kind kind, std::size_t i, std::size_t other, std::vector<Arg> more,
                          std::vector<Fix> fixes) {
    more.insert(more.begin(), piece(other).id);
    auto& finding = add(kind, i, std::move(more), std::move(fixes));
    finding.other = piece(other).id;
    return finding;
}

Finding& Looking::addOfBlock(Kind kind, std::vector<Arg> args, std::vector<Fix> fixes) {
    auto& finding = out.emplace_back();
    finding.kind = kind;
    finding.block = block.id;
    finding.args = std::move(args);
    finding.fixes = std::move(fixes);
    if (finding.severity() == check::Severity::doubtful) finding.fixes.push_back(Fix::leaveSo);
    return finding;
}

namespace {

/// What was measured, as a number that can be kept.
struct Number {
    std::optional<double> operator()(measure::Length length) const { return length.mm(); }
    std::optional<double> operator()(check::Fine fine) const { return fine.length.mm(); }
    std::optional<double> operator()(check::Yarn yarn) const { return yarn.length.mm(); }
    std::optional<double> operator()(check::Area area) const { return area.mm2; }
    std::optional<double> operator()(check::Share share) const { return share.part; }
    std::optional<double> operator()(check::Count count) const { return static_cast<double>(count.number); }
    std::optional<double> operator()(const auto&) const { return std::nullopt; }
};

bool isAsBefore(double now, double before) {
    constexpr double little = 0.1, share = 0.02;
    return std::abs(now - before) <= std::max(little, share * std::abs(before));
}

} // namespace

quilt::LeftSo leftSo(const Finding& finding) {
    quilt::LeftSo out{std::string(keyOf(finding.kind)), finding.piece, finding.other, {finding.weight}};
    for (const auto& arg : finding.args)
        if (const auto number = std::visit(Number{}, arg)) out.measures.push_back(*number);
    return out;
}

bool isLeft(const quilt::Block& block, const Finding& finding) {
    if (block.leftSo.empty()) return false;
    const auto now = leftSo(finding);
    return std::any_of(block.leftSo.begin(), block.leftSo.end(), [&](const quilt::LeftSo& before) {
        return before.doubt == now.doubt && before.piece == now.piece && before.other == now.other &&
               std::equal(now.measures.begin(), now.measures.end(), before.measures.begin(),
                          before.measures.end(), isAsBefore);
    });
}

Found checkBlock(const quilt::Quilt& quilt, const quilt::Block& block, const BlockPlan& plan,
                 const Judgement& judged, const Doubts& doubts, const StitchPlan* stitching) {
    Looking look{quilt, block, plan, judged, doubts, stitching};
    for (const auto family : {checkEdges, checkHands, checkShapes, checkWork, checkWeb, checkStack,
                              checkCloth, checkSewing, checkFit, checkLaid, checkJoining})
        family(look);
    std::stable_sort(look.out.begin(), look.out.end(), [](const Finding& a, const Finding& b) {
        return a.kind != b.kind ? a.kind < b.kind : a.weight > b.weight;
    });
    Found out;
    for (auto& finding : look.out)
        (isLeft(block, finding) ? out.left : out.open).push_back(std::move(finding));
    return out;
}

Found checkQuilt(const quilt::Quilt& quilt) {
    Found out;
    for (const auto& block : quilt.blocks) {
        const auto plan = planBlock(block);
        const auto stitching = planStitching(block, plan, {nullptr, {}, true});
        auto found = checkBlock(quilt, block, plan, judge(block, plan), doubtsOf(block, plan), &stitching);
        std::move(found.open.begin(), found.open.end(), std::back_inserter(out.open));
        std::move(found.left.begin(), found.left.end(), std::back_inserter(out.left));
    }
    return out;
}

std::vector<Finding> stackFindings(const quilt::Quilt& quilt, const quilt::Block& block,
                                   const BlockPlan& plan, const Doubts& doubts) {
    static const Judgement none; // shapes are not asked about
    Looking look{quilt, block, plan, none, doubts};
    checkStack(look);
    checkCloth(look);
    return std::move(look.out);
}

} // namespace up::plan
