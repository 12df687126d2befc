// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/block/judge_plan.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>
#include <tuple>

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

/// Which pieces are and lie as they did before, and what is known of them.
class Known {
public:
    Known(const BlockPlan& plan, const EdgeStitch& edge, const JudgedBefore* before)
        : m_before(before), m_then(plan.from.size()) {
        if (!before) return;
        std::map<PieceId, std::size_t> then;
        for (std::size_t i = 0; i < before->plan.from.size(); ++i)
            then[before->plan.from[i].piece] = i;
        for (std::size_t i = 0; i < plan.from.size(); ++i)
            if (const auto it = then.find(plan.from[i].piece);
                it != then.end() && before->plan.from[it->second] == plan.from[i])
                m_then[i] = it->second;
        m_sameEdge = before->edge == edge;
    }
    /// Null when it has to be looked at anew.
    [[nodiscard]] const PieceJudgement* judgement(std::size_t piece) const {
        return m_then[piece] && m_sameEdge ? &m_before->judged.pieces[*m_then[piece]] : nullptr;
    }
    /// How `piece` matched `first`, the first of a group; nothing when it was not compared with it.
    struct Compared {
        bool alike, mirrored;
    };
    [[nodiscard]] std::optional<Compared> compared(std::size_t first, std::size_t piece) const {
        if (!m_then[first] || !m_then[piece]) return std::nullopt;
        const auto& judged = m_before->judged;
        const auto& a = judged.pieces[*m_then[first]];
        const auto& b = judged.pieces[*m_then[piece]];
        // Each piece is compared with the first of one group after the other until it finds its own.
        if (judged.groups[a.alike].pieces.front() != *m_then[first] || b.alike < a.alike) return std::nullopt;
        return Compared{a.alike == b.alike, b.otherHand};
    }

private:
    const JudgedBefore* m_before;
    std::vector<std::optional<std::size_t>> m_then; ///< where it stood
    bool m_sameEdge = false;
};

/// Whether they match, and whether mirrored.
std::optional<bool> matches(const std::vector<shape::Profile>& profiles, const Known& known,
                            std::size_t first, std::size_t piece) {
    if (const auto before = known.compared(first, piece))
        return before->alike ? std::optional(before->mirrored) : std::nullopt;
    const auto& [a, b] = std::tie(profiles[first], profiles[piece]);
    const auto found = match(a, b, std::min(likenessTolerance(a), likenessTolerance(b)));
    return found ? std::optional(found->mirrored) : std::nullopt;
}

std::vector<Alike> groupsOf(const std::vector<shape::Profile>& profiles, const Known& known,
                            std::vector<PieceJudgement>& pieces) {
    std::vector<Alike> groups;
    for (std::size_t i = 0; i < profiles.size(); ++i) {
        std::optional<bool> mirrored;
        std::size_t group = 0;
        for (; group < groups.size() && !mirrored; ++group)
            mirrored = matches(profiles, known, groups[group].pieces.front(), i);
        if (mirrored)
            --group;
        else
            groups.push_back({});
        groups[group].pieces.push_back(i);
        pieces[i].alike = group;
        pieces[i].otherHand = mirrored.value_or(false);
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

/// mm of cloth that both edges of a piece take up.
double acrossAll(const EdgeStitch& stitch) {
    using enum quilt::StitchKind;
    switch (stitch.kind) {
    case straight:
    case frayed:
    case sketched: return stitch.width.mm() * 2;
    case blind:
    case allOver: return 0;
    case satin:
    case zigzag:
    case blanket:
    case decorative:
    case scribble:
    case whip:
    case handBlanket: return stitch.width.mm();
    }
    return 0;
}

} // namespace

Length leastWidth(const EdgeStitch& stitch) {
    return Length::ofMm(std::max(acrossAll(stitch), leastCut.mm()));
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

std::optional<double> smallestScale(const std::vector<PieceJudgement>& pieces, const EdgeStitch& stitch) {
    double smallest = 0;
    for (const auto& piece : pieces) {
        if (smallest > 0 && !piece.widths.across.empty() && thinAt(piece, stitch, smallest).empty())
            continue; // its own is smaller
        const auto own = smallestScale(piece, stitch);
        if (!own) return std::nullopt;
        smallest = std::max(smallest, *own);
    }
    return smallest;
}

Judgement judge(const Block& block, const BlockPlan& plan, const JudgedBefore* before) {
    Judgement out;
    const Known known(plan, block.edge, before);
    std::vector<shape::Profile> profiles;
    for (std::size_t i = 0; i < plan.regions.size(); ++i) {
        profiles.emplace_back(plan.regions[i]);
        const auto* judged = known.judgement(i);
        out.pieces.push_back(judged ? *judged : judgePiece(plan.regions[i], profiles.back(), block.edge));
    }
    out.smallestScale = smallestScale(out.pieces, block.edge);
    out.groups = groupsOf(profiles, known, out.pieces);
    findOneHand(block, plan, out);
    return out;
}

} // namespace up::plan
