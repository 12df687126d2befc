// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/judge_plan.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::plan {

using measure::Length;
using quilt::Block;
using quilt::EdgeStitch;

namespace {

constexpr double pi = std::numbers::pi;
constexpr double pairTolerance = 25.4 / 4; // mm: how exactly the two of a pair lie opposite each other

PieceJudgement judgePiece(const shape::Region& region, const shape::Profile& profile,
                          const EdgeStitch& stitch) {
    PieceJudgement out;
    if (region.isEmpty()) return out;
    out.axis = shape::mirrorAxis(profile, shape::likenessTolerance(profile));
    out.widths = shape::widthsOf(region);
    out.narrowest = shape::narrowest(out.widths, longestPoint.mm());
    out.thin = thinAt(out, stitch, 1);
    for (const auto& corner : out.widths.corners) {
        if (corner.opening * 180 / pi < sharpestPoint) out.sharp.push_back(corner);
        // One stitch width out of an inner corner, the gap between its sides is less than a stitch wide.
        if (corner.opening > pi && std::tan((2 * pi - corner.opening) / 2) < 0.5) out.tight.push_back(corner);
    }
    return out;
}

std::vector<Alike> groupsOf(const std::vector<shape::Profile>& profiles,
                            std::vector<PieceJudgement>& pieces) {
    std::vector<Alike> groups;
    for (std::size_t i = 0; i < profiles.size(); ++i) {
        std::optional<shape::Match> found;
        std::size_t group = 0;
        for (; group < groups.size() && !found; ++group) {
            const auto& first = profiles[groups[group].pieces.front()];
            found =
                match(first, profiles[i], std::min(likenessTolerance(first), likenessTolerance(profiles[i])));
        }
        if (found)
            --group;
        else
            groups.push_back({});
        groups[group].pieces.push_back(i);
        pieces[i].alike = group;
        pieces[i].otherHand = found && found->mirrored;
        groups[group].otherHand += pieces[i].otherHand ? 1 : 0;
    }
    return groups;
}

std::string lower(std::string text) {
    for (char& c : text)
        if (c >= 'A' && c <= 'Z') c = static_cast<char>(c - 'A' + 'a');
    return text;
}

/// The name with "left" or "right" replaced by "*"; nothing when it holds neither as a word of its own.
std::optional<std::string> sided(const std::string& name, const std::string& side) {
    auto text = lower(name);
    const auto at = text.find(side);
    const auto isLetter = [](char c) { return c >= 'a' && c <= 'z'; };
    if (at == std::string::npos || (at > 0 && isLetter(text[at - 1])) ||
        (at + side.size() < text.size() && isLetter(text[at + side.size()])))
        return std::nullopt;
    return text.replace(at, side.size(), "*");
}

bool areLeftAndRight(const std::string& a, const std::string& b) {
    for (const auto& [x, y] : {std::pair(&a, &b), std::pair(&b, &a)}) {
        const auto left = sided(*x, "left"), right = sided(*y, "right");
        if (left && right && *left == *right) return true;
    }
    return false;
}

/// Side by side at one height, as far from an upright middle line on one side as on the other: that of the
/// block, or of a piece that both lie on or beneath.
bool liePaired(const Block& block, const BlockPlan& plan, const Judgement& judged, std::size_t i,
               std::size_t j) {
    const auto a = plan.regions[i].bounds(), b = plan.regions[j].bounds();
    if (std::abs(a.top - b.top) > pairTolerance || std::abs(a.bottom - b.bottom) > pairTolerance)
        return false;
    if (a.meets(b) && std::abs(a.centre().x - b.centre().x) < a.width() / 2) return false;
    const double middle = (a.centre().x + b.centre().x) / 2;
    if (std::abs(middle - block.width.mm() / 2) < pairTolerance) return true;
    for (std::size_t k = 0; k < plan.regions.size(); ++k) {
        const auto& axis = judged.pieces[k].axis;
        if (k == i || k == j || !axis || std::abs(axis->direction - pi / 2) > 0.1) continue;
        if (std::abs(axis->through.x - middle) > pairTolerance) continue;
        const auto box = plan.regions[k].bounds();
        if (box.meets(a) && box.meets(b)) return true;
    }
    return false;
}

/// Two of one hand, as alike as a left and a right would be but for the mirroring.
void findOneHand(const Block& block, const BlockPlan& plan, Judgement& out) {
    for (const auto& group : out.groups) {
        if (group.pieces.size() < 2 || out.pieces[group.pieces.front()].axis) continue;
        for (std::size_t x = 0; x < group.pieces.size(); ++x)
            for (std::size_t y = x + 1; y < group.pieces.size(); ++y) {
                const auto i = group.pieces[x], j = group.pieces[y];
                if (out.pieces[i].otherHand != out.pieces[j].otherHand) continue;
                const bool byName = areLeftAndRight(block.pieces[i].name, block.pieces[j].name);
                if (byName || (group.pieces.size() == 2 && liePaired(block, plan, out, i, j)))
                    out.oneHand.push_back({i, j, byName});
            }
    }
}

} // namespace

Length leastWidth(const EdgeStitch& stitch) {
    const double needed =
        stitch.kind == quilt::StitchKind::straight ? stitch.width.mm() * 2 : stitch.width.mm();
    return Length::ofMm(std::max(needed, leastCut.mm()));
}

std::vector<shape::Narrow> thinAt(const PieceJudgement& piece, const EdgeStitch& stitch, double scale) {
    return shape::narrowParts(piece.widths, (leastWidth(stitch) - pencilLine).mm(), longestPoint.mm(), scale);
}

std::optional<double> smallestScale(const PieceJudgement& piece, const EdgeStitch& stitch) {
    if (piece.widths.across.empty())
        return leastWidth(stitch).mm() / std::max(piece.widths.widest.width, 1e-3);
    double low = 0, high = 1;
    while (!thinAt(piece, stitch, high).empty()) {
        low = high, high *= 2;
        if (high > 64) return std::nullopt;
    }
    for (int i = 0; i < 14; ++i) { // to 1/16,384
        const double middle = (low + high) / 2;
        (thinAt(piece, stitch, middle).empty() ? high : low) = middle;
    }
    return high;
}

Judgement judge(const Block& block, const BlockPlan& plan) {
    Judgement out;
    std::vector<shape::Profile> profiles;
    std::optional<double> smallest = 0;
    for (const auto& region : plan.regions) {
        profiles.emplace_back(region);
        out.pieces.push_back(judgePiece(region, profiles.back(), block.edge));
        const auto own = smallestScale(out.pieces.back(), block.edge);
        smallest = own && smallest ? std::optional(std::max(*smallest, *own)) : std::nullopt;
    }
    out.smallestScale = smallest;
    out.groups = groupsOf(profiles, out.pieces);
    findOneHand(block, plan, out);
    return out;
}

} // namespace up::plan
