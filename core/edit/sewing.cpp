// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/sewing.hpp"

#include "core/base/spoken.hpp"
#include "core/edit/change.hpp"
#include "core/edit/lines.hpp"
#include "core/measure/say.hpp"
#include "core/shape/stretches.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Block;
using quilt::Piece;

namespace {

/// A stretch that lies on the block, as the piece's outline is drawn.
shape::Contour asDrawn(const Piece& piece, const shape::Polyline& line) {
    auto out = transformed(shape::contourThrough(line), placing(piece).inverse());
    out.closed = false;
    return out;
}

void take(std::optional<quilt::Length>& left, quilt::Length length) {
    if (left) left = std::max(*left - length, quilt::Length());
}

} // namespace

namespace {

/// Its stretch of the piece or the line counts as stitched; with which thread.
Edited stitched(const Quilt& quilt, BlockId block, const Seam& seam, ThreadId& with) {
    if (!seam.of)
        return changePiece(quilt, block, seam.piece, [&](Block&, Piece& piece) {
            auto sewn = *piece.sewn;
            sewn.insert(sewn.end(), static_cast<std::size_t>(seam.times), asDrawn(piece, seam.line));
            piece.sewn = std::move(sewn);
            with = piece.thread;
        });
    const auto* owner = find(quilt.blocks, block);
    if (owner && !find(owner->lines, seam.of))
        return failure(Code::noSuchLine, {std::to_string(seam.of.value)});
    return changeBlock(quilt, block, [&](Quilt&, Block& b) {
        auto& line = *find(b.lines, seam.of);
        auto all = *line.stitched;
        all.push_back(transformed(shape::contourThrough(seam.line), placing(line).inverse()));
        all.back().closed = false;
        line.stitched = std::move(all);
        with = line.thread;
    });
}

} // namespace

Edited sew(const Quilt& quilt, BlockId block, const Seam& seam, std::int64_t time) {
    ThreadId with;
    auto out = stitched(quilt, block, seam, with);
    if (!out) return out;
    if (auto* thread = find(out->threads, with)) {
        out->machine.thread = with;
        take(thread->spool, seam.needle);
        take(thread->bobbin, seam.bobbin);
    }
    out->machine.needleMinutes += seam.needleMinutes;
    if (!seam.finishes) return out;
    if (!seam.of) return record(*out, block, {seam.piece}, quilt::Step::stitched, time);
    return lineSewn(*out, block, seam.of, time).map([&](Quilt&& done) {
        find(the(done.blocks, block).lines, seam.of)->stitched = {};
        return std::move(done);
    });
}

Edited setStretch(const Quilt& quilt, BlockId block, PieceId id, const shape::Polyline& line,
                  const std::optional<quilt::EdgeStitch>& edge) {
    constexpr double same = 0.6; // mm
    return changePiece(quilt, block, id, [&](Block&, Piece& piece) {
        const auto own = asDrawn(piece, line);
        for (auto& stretch : piece.stretches) {
            auto along = *stretch.along;
            std::erase_if(along, [&](const shape::Contour& c) {
                return shape::liesAlong(c, {own}, same) && shape::liesAlong(own, {c}, same);
            });
            stretch.along = std::move(along);
        }
        std::erase_if(piece.stretches,
                      [](const quilt::StretchStitch& stretch) { return stretch.along->empty(); });
        if (edge) piece.stretches.push_back({std::vector{own}, *edge});
    });
}

Edited setBeneath(const Quilt& quilt, BlockId block, quilt::Beneath beneath, quilt::Length battingHolds) {
    const auto leastHeld = quilt::Length::ofMm(10), mostHeld = quilt::Length::ofMm(1000);
    if (battingHolds < leastHeld || battingHolds > mostHeld)
        return failure(Code::absurdSize,
                       {spoken("batting"), measure::say(battingHolds, quilt.units),
                        measure::say(leastHeld, quilt.units), measure::say(mostHeld, quilt.units)});
    return changeBlock(quilt, block,
                       [&](Quilt&, Block& b) { b.beneath = beneath, b.battingHolds = battingHolds; });
}

Quilt withNewNeedle(const Quilt& quilt) {
    Quilt out = quilt;
    out.machine.needleMinutes = 0;
    return out;
}

Edited windBobbin(const Quilt& quilt, ThreadId id, quilt::Length length) {
    Quilt out = quilt;
    auto* thread = find(out.threads, id);
    if (!thread) return failure(Code::noSuchSupply, {std::to_string(id.value)});
    thread->bobbin = thread->bobbin.value_or(quilt::Length()) + length;
    take(thread->spool, length);
    return out;
}

Edited setOwnEdge(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                  const std::optional<quilt::EdgeStitch>& edge) {
    return changePieces(quilt, block, pieces, [&](Block&, Piece& piece) { piece.edge = edge; });
}

Edited setJump(const Quilt& quilt, BlockId block, quilt::Length jump) {
    return changeBlock(quilt, block, [&](Quilt&, Block& b) { b.jump = jump; });
}

} // namespace up::edit
