// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/fuse/done_presses.hpp"

#include <algorithm>

namespace up::plan {
namespace {

constexpr double aside = 0.5;    // mm: two outlines so near are the same place
constexpr double short_ = 0.051; // seconds: so little is not pressed for again
constexpr double crack = 0.1;    // mm: half the width of what is left open between two presses

bool isSame(const shape::Ring& a, const shape::Ring& b) {
    return a.size() == b.size() && std::equal(a.begin(), a.end(), b.begin(),
                                              [](auto p, auto q) { return shape::distance(p, q) < aside; });
}

bool has(const std::vector<PieceId>& pieces, PieceId piece) {
    return std::find(pieces.begin(), pieces.end(), piece) != pieces.end();
}

} // namespace

DonePresses::DonePresses(const quilt::Block& block, const PressStage& stage, measure::Length overlap)
    : m_seconds(stage.seconds - short_), m_overlap(overlap) {
    if (stage.kind == StageKind::again) return; // it has lifted since
    for (const auto& press : block.pressed) {
        if (press.again || press.unit != stage.unit || press.fromBack != stage.fromBack ||
            press.under.size() != 1)
            continue;
        if (std::none_of(press.pieces.begin(), press.pieces.end(),
                         [&](PieceId id) { return has(stage.pieces, id); }))
            continue;
        const auto& under = press.under.front();
        auto at = std::find_if(m_stands.begin(), m_stands.end(),
                               [&](const Stand& stand) { return isSame(stand.under, under); });
        if (at == m_stands.end()) at = m_stands.insert(at, {under, press.pieces, 0});
        std::erase_if(at->heated, [&](PieceId id) { return !has(press.pieces, id); });
        at->seconds += press.seconds;
    }
}

bool DonePresses::areAmong(const std::vector<PlannedPress>& presses) const {
    return std::all_of(m_stands.begin(), m_stands.end(), [&](const Stand& stand) {
        return std::any_of(presses.begin(), presses.end(), [&](const PlannedPress& press) {
            return isSame(press.under, stand.under) &&
                   std::all_of(press.pieces.begin(), press.pieces.end(),
                               [&](PieceId id) { return has(stand.heated, id); });
        });
    });
}

double DonePresses::secondsOf(const shape::Ring& under) const {
    for (const auto& stand : m_stands)
        if (isSame(stand.under, under))
            return stand.seconds >= m_seconds ? m_seconds + short_ : stand.seconds;
    return 0;
}

shape::Region DonePresses::openOf(PieceId piece, const shape::Region& region) const {
    std::vector<shape::Region> covered;
    for (const auto& stand : m_stands)
        if (stand.seconds >= m_seconds && has(stand.heated, piece))
            covered.push_back(shape::offset(shape::regionOf(shape::Rings{stand.under}), -m_overlap.mm() / 2));
    if (covered.empty()) return region;
    const auto open = shape::subtract(region, shape::unite(covered));
    return shape::offset(shape::offset(open, -crack), crack);
}

std::vector<PlannedPress> DonePresses::asPlanned(const std::vector<PieceId>& pieces) const {
    std::vector<PlannedPress> out;
    for (const auto& stand : m_stands) {
        if (stand.seconds < m_seconds) continue;
        PlannedPress done{{}, stand.under, {}, stand.heated, 0};
        for (const auto id : stand.heated)
            if (has(pieces, id)) done.pieces.push_back(id);
        out.push_back(std::move(done));
    }
    return out;
}

} // namespace up::plan
