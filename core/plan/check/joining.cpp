// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces that are joined otherwise than with web: whether their shape, their cloth and the block allow it.
#include "core/base/lab.hpp"
#include "core/plan/check/looking.hpp"
#include "core/plan/cut/by_template.hpp"

namespace up::plan {
namespace {

using check::Fine;
using check::Fix;
using check::Kind;
using measure::Length;
using quilt::Join;

constexpr double hair = 25.4 / 64; // mm

/// Where the allowances of both sides would lie on each other.
void tooThinToTurn(Looking& look, std::size_t i) {
    const auto needed = turnedAllowance * 2;
    constexpr double tip = 12.7; // mm: so far a point may taper, its allowance trimmed
    const auto narrow = shape::narrowParts(look.judged.pieces[i].widths, needed.mm() - hair, tip);
    if (narrow.empty()) return;
    const auto& worst = narrow.front().narrowest;
    auto& finding =
        look.add(Kind::tooThinToTurn, i, {Fine{Length::ofMm(worst.width)}, Fine{needed}}, {Fix::fuseIt});
    finding.spot = worst.middle;
    finding.weight = needed.mm() - worst.width;
}

/// A line that the block's edge cuts off is not closed.
void holeRunsOff(Looking& look, std::size_t i) {
    const auto box = look.plan.regions[i].bounds(), block = quilt::finishedBox(look.block);
    const double over = std::max(std::max(block.left - box.left, box.right - block.right),
                                 std::max(block.top - box.top, box.bottom - block.bottom));
    if (over > hair) look.add(Kind::holeRunsOff, i, {Fine{Length::ofMm(over)}}, {Fix::fuseIt}).weight = over;
}

/// Round the hole the patch lies beneath the cloth that is cut: if it is the darker, it shows through.
void holeLight(Looking& look, std::size_t i) {
    auto upper = look.block.background;
    auto other = PieceId{};
    for (const auto lower : look.plan.beneath(i))
        upper = look.piece(lower).fabric, other = look.piece(lower).id;
    const auto* over = find(look.quilt.fabrics, upper);
    const auto* own = find(look.quilt.fabrics, look.piece(i).fabric);
    if (!over || !own) return;
    const double darker = labOf(over->colour).lightness - labOf(own->colour).lightness;
    constexpr double seen = 15; // of 100. Invented: hold the cloths against each other
    if (darker <= seen) return;
    auto& finding = look.add(Kind::holeLight, i, {other}, {Fix::fuseIt});
    finding.other = other, finding.weight = darker;
}

void check(Looking& look, std::size_t i) {
    const auto& piece = look.piece(i);
    const bool isHole = piece.join == Join::reverse;
    if (look.block.quilting != quilt::Quilting::after && goesThrough(quilt::Step::cutAway, piece.way()) &&
        piece.next())
        look.add(Kind::throughBacking, i, {}, {Fix::fuseIt});
    if (piece.work.step >= quilt::Step::stitched) return;
    if (piece.join == Join::turned && piece.work.step < quilt::Step::turned) tooThinToTurn(look, i);
    if (isHole) holeRunsOff(look, i), holeLight(look, i);
}

} // namespace

void checkJoining(Looking& look) {
    for (std::size_t i = 0; i < look.block.pieces.size(); ++i)
        check(look, i);
}

} // namespace up::plan
