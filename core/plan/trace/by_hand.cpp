// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/trace/by_hand.hpp"

#include "core/plan/trace/trace_plan.hpp"
#include "core/plan/trace/windows.hpp"
#include "core/shape/nearness.hpp"

#include <algorithm>
#include <map>
#include <numeric>

namespace up::plan {
namespace {

using quilt::Block;
using quilt::Layout;
using quilt::Traced;
using shape::Region;

constexpr double hair = 0.1; // mm

/// A piece of the layout with its shape on the sheet.
struct Lying {
    const Traced* traced;
    const quilt::Piece* piece;
    Region region;
    shape::Box box;
    Region window; ///< where it has one, less the margin of what lies in it
};

std::vector<Lying> lyingOf(const Block& block, const Layout& layout) {
    std::vector<Lying> out;
    for (const auto& traced : layout.traced) {
        const auto* piece = find(block.pieces, traced.piece);
        if (!piece) continue;
        auto region = shape::regionOf(transformed(quilt::reversed(*piece), quilt::onSheet(traced)));
        const auto box = region.bounds();
        Region window;
        if (traced.window) window = shape::offset(windowIn(region), hair - roughCutMargin.mm());
        out.push_back({&traced, piece, std::move(region), box, std::move(window)});
    }
    return out;
}

bool nearer(const Lying& a, const Lying& b, double distance) {
    if (a.traced->sheet != b.traced->sheet || !a.box.grownBy(distance).meets(b.box)) return false;
    return shape::areNearer(a.region, b.region, distance);
}

bool liesInWindow(const Lying& inner, const Lying& outer) {
    return !outer.window.isEmpty() && shape::subtract(inner.region, outer.window).isEmpty();
}

bool holds(const std::vector<PieceId>& pieces, PieceId piece) {
    return std::find(pieces.begin(), pieces.end(), piece) != pieces.end();
}

/// Pieces of one fabric that lie near each other become one chunk, under a number that one of them had; of those that
/// have not moved only what was one before, for a chunk may have been parted.
void tellChunks(const Block& block, Layout& layout, const std::vector<PieceId>& moved) {
    const auto lying = lyingOf(block, layout);
    const auto mayJoin = [&](const Lying& a, const Lying& b) {
        return a.piece->fabric == b.piece->fabric &&
               (a.traced->chunk == b.traced->chunk || holds(moved, a.piece->id) || holds(moved, b.piece->id));
    };
    std::vector<std::size_t> head(lying.size());
    std::iota(head.begin(), head.end(), std::size_t{0});
    const auto top = [&](std::size_t i) {
        while (head[i] != i)
            i = head[i];
        return i;
    };
    for (std::size_t i = 0; i < lying.size(); ++i)
        for (std::size_t j = 0; j < i; ++j)
            if (mayJoin(lying[i], lying[j]) && nearer(lying[i], lying[j], 2 * roughCutMargin.mm() - hair) &&
                !liesInWindow(lying[i], lying[j]) && !liesInWindow(lying[j], lying[i]))
                head[top(i)] = top(j);
    std::map<std::size_t, int> numbers;
    std::vector<bool> taken;
    const auto isTaken = [&](int number) {
        const auto n = static_cast<std::size_t>(number);
        if (n >= taken.size()) taken.resize(n + 1, false);
        const bool before = taken[n];
        taken[n] = true;
        return before;
    };
    int next = 0;
    for (const auto& traced : layout.traced)
        next = std::max(next, traced.chunk + 1);
    for (std::size_t i = 0; i < lying.size(); ++i)
        if (!numbers.contains(top(i)))
            numbers[top(i)] = isTaken(lying[i].traced->chunk) ? next++ : lying[i].traced->chunk;
    std::vector<int> told;
    for (std::size_t i = 0; i < lying.size(); ++i)
        told.push_back(numbers[top(i)]);
    for (std::size_t i = 0; i < lying.size(); ++i)
        layout.traced[static_cast<std::size_t>(lying[i].traced - layout.traced.data())].chunk = told[i];
}

/// Whether a piece comes over the edge of its sheet.
bool isOver(const Lying& piece, const quilt::WebSheet& sheet, const quilt::Web* web) {
    const shape::Box whole{0, 0, web ? web->width.mm() : 0, web ? web->length().mm() : 0};
    const auto inner = piece.box.grownBy(-hair);
    if (sheet.outline.empty())
        return inner.left < whole.left || inner.right > whole.right || inner.top < whole.top ||
               inner.bottom > whole.bottom;
    return !shape::subtract(shape::offset(piece.region, -hair), Region{sheet.outline}).isEmpty();
}

} // namespace

std::vector<PieceId> chunkAround(const Layout& layout, PieceId piece) {
    std::vector<PieceId> out;
    for (const auto& own : layout.traced)
        if (own.piece == piece)
            for (const auto& traced : layout.traced)
                if (traced.chunk == own.chunk) out.push_back(traced.piece);
    return out;
}

Layout movedByHand(const Block& block, const Layout& layout, const std::vector<PieceId>& pieces, double right,
                   double down, measure::Angle turn) {
    Layout out = layout;
    std::vector<Traced*> moving;
    shape::Box box;
    for (auto& traced : out.traced) {
        const auto* piece = find(block.pieces, traced.piece);
        if (!piece || piece->work.step != quilt::Step::toTrace || !holds(pieces, traced.piece)) continue;
        moving.push_back(&traced);
        box.take(boundsOf(transformed(quilt::reversed(*piece), quilt::onSheet(traced))));
    }
    if (moving.empty()) return out;
    const auto map = shape::Transform::moveBy(right, down) * shape::Transform::turnAbout(box.centre(), turn);
    std::vector<int> chunks;
    for (auto* traced : moving) {
        const auto at = map({traced->x, traced->y});
        traced->x = at.x, traced->y = at.y;
        traced->turn = (traced->turn + turn).normal();
        traced->pinned = true;
        chunks.push_back(traced->chunk);
    }
    // A strip of which single pieces are taken is none any more.
    std::erase_if(out.strips, [&](const quilt::Strip& strip) {
        return std::find(chunks.begin(), chunks.end(), strip.chunk) != chunks.end() &&
               std::any_of(out.traced.begin(), out.traced.end(), [&](const Traced& t) {
                   return t.chunk == strip.chunk && !holds(pieces, t.piece);
               });
    });
    tellChunks(block, out, pieces);
    return out;
}

std::vector<TooClose> tooClose(const quilt::Quilt& quilt, const Block& block, const Layout& layout) {
    std::vector<TooClose> out;
    const auto* web = find(quilt.webs, layout.web);
    const auto lying = lyingOf(block, layout);
    const auto inStrip = [&](int chunk) {
        return std::any_of(layout.strips.begin(), layout.strips.end(),
                           [&](const auto& strip) { return strip.chunk == chunk; });
    };
    for (const auto& a : lying) {
        const auto sheet = sheetOf(layout, a.traced->sheet);
        if (sheet.putAway) continue;
        if (isOver(a, sheet, web)) out.push_back({a.piece->id, {}});
        for (const auto& b : lying) {
            if (&b == &a) break; // every pair once
            const bool together = a.traced->chunk == b.traced->chunk;
            if (together && inStrip(a.traced->chunk)) continue;
            const bool cutHalfway =
                together || a.piece->fabric == b.piece->fabric; // a chunk may have been parted
            const double asked = cutHalfway ? scissorsWidth.mm() : 2 * roughCutMargin.mm();
            if (!nearer(a, b, asked - hair)) continue;
            if (liesInWindow(a, b) || liesInWindow(b, a)) continue;
            out.push_back({a.piece->id, b.piece->id});
        }
    }
    return out;
}

} // namespace up::plan
