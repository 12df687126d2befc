// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/change.hpp"
#include "core/edit/lines.hpp"
#include "core/edit/naming.hpp"
#include "core/shape/region.hpp"

#include <algorithm>
#include <cmath>

namespace up::edit {

using quilt::Block;
using quilt::Line;

namespace {

/// The topmost piece that all of it lies on.
PieceId pieceBeneath(const Block& block, const Line& line) {
    const auto strokes = placed(line);
    shape::Box box;
    for (const auto& stroke : strokes)
        box.take(boundsOf(stroke));
    for (auto piece = block.pieces.rbegin(); piece != block.pieces.rend(); ++piece) {
        if (!box.meets(boundsOf(quilt::placed(*piece)))) continue;
        const auto area = shape::regionOf(quilt::placed(*piece));
        if (std::all_of(strokes.begin(), strokes.end(), [&](const shape::Contour& stroke) {
                return shape::outside(flattened(stroke), area).empty();
            }))
            return piece->id;
    }
    return {};
}

bool liesAlike(const Line& a, const Line& b) {
    return a.strokes == b.strokes && a.place == b.place;
}

/// As it is stitched; its name and the thread's colour may still change.
bool isSewnAlike(const Line& a, const Line& b) {
    return liesAlike(a, b) && a.stitch == b.stitch && a.length == b.length && a.strands == b.strands &&
           a.width == b.width && a.laid.has_value() == b.laid.has_value();
}

template<class Change> Edited changeLine(const Quilt& quilt, BlockId block, LineId id, Change change) {
    if (const auto* owner = find(quilt.blocks, block); owner && !find(owner->lines, id))
        return failure(Code::noSuchLine, {std::to_string(id.value)});
    return changeBlock(quilt, block, [&](Quilt& out, Block& b) { change(out, b, *find(b.lines, id)); });
}

} // namespace

Edited putLine(const Quilt& quilt, BlockId id, Line line) {
    if (line.strokes->empty()) return failure(Code::emptyDrawing, {line.name});
    auto proper = properName(line.name);
    if (!proper) return tl::unexpected(proper.error());
    line.name = std::move(*proper);
    const auto* owner = find(quilt.blocks, id);
    if (!owner) return failure(Code::noSuchBlock, {std::to_string(id.value)});
    line.on = pieceBeneath(*owner, line);
    if (line.id) {
        const auto* known = find(owner->lines, line.id);
        if (!known) return failure(Code::noSuchLine, {std::to_string(line.id.value)});
        if (!isUntouched(*known) && !isSewnAlike(*known, line))
            return failure(Code::lineIsSewn, {known->name});
        line.drawn = known->drawn && liesAlike(*known, line), line.sewn = known->sewn;
        line.stitched = known->stitched;
        if (known->laid && line.laid) line.laid->done = known->laid->done;
    }
    return changeBlock(quilt, id, [&](Quilt& out, Block& block) {
        if (auto* known = find(block.lines, line.id)) {
            *known = line;
        } else {
            line.id = LineId{out.nextId++};
            block.lines.push_back(line);
        }
        notFinishedYet(block);
    });
}

Edited removeLine(const Quilt& quilt, BlockId block, LineId id) {
    return changeLine(quilt, block, id, [&](Quilt&, Block& owner, Line&) {
        std::erase_if(owner.lines, [&](const Line& line) { return line.id == id; });
    });
}

Edited moveLine(const Quilt& quilt, BlockId block, LineId id, Length right, Length down, measure::Angle by) {
    const auto* owner = find(quilt.blocks, block);
    const auto* known = owner ? find(owner->lines, id) : nullptr;
    if (!known)
        return owner ? Edited(failure(Code::noSuchLine, {std::to_string(id.value)}))
                     : Edited(failure(Code::noSuchBlock, {std::to_string(block.value)}));
    Line line = *known;
    line.place.right = line.place.right + right, line.place.down = line.place.down + down;
    line.place.turn = (line.place.turn + by).normal();
    return putLine(quilt, block, std::move(line));
}

Edited linesDrawn(const Quilt& quilt, BlockId block, const std::vector<LineId>& lines, std::int64_t time) {
    Edited out = quilt;
    for (const auto id : lines)
        out = out.and_then([&](const Quilt& before) {
            return changeLine(before, block, id, [&](Quilt& after, Block&, Line& line) {
                line.drawn = true;
                note(after, {time, block, {}, quilt::Event::lineDrawn, line.name});
            });
        });
    return out;
}

Edited lineNotDrawn(const Quilt& quilt, BlockId block, LineId id) {
    return changeLine(quilt, block, id, [](Quilt&, Block&, Line& line) { line.drawn = false; });
}

Edited lineLaid(const Quilt& quilt, BlockId block, LineId id, int done, std::int64_t time) {
    return changeLine(quilt, block, id, [&](Quilt& out, Block&, Line& line) {
        if (!line.laid) return;
        line.laid->done = done;
        // what is glued, or sewn on as it is set, has nothing more to come
        if (isAllLaid(line) && (line.laid->glued || quilt::isThing(line.laid->trim))) line.sewn = 1;
        note(out, {time, block, {}, quilt::Event::lineLaid, line.name});
    });
}

Edited lineTakenOff(const Quilt& quilt, BlockId block, LineId id) {
    return changeLine(quilt, block, id, [](Quilt&, Block& owner, Line& line) {
        if (line.laid) line.laid->done = 0;
        line.sewn = 0, line.stitched = {};
        notFinishedYet(owner);
    });
}

Edited moveLineInOrder(const Quilt& quilt, BlockId block, LineId id, LineId before) {
    return changeLine(quilt, block, id, [&](Quilt&, Block& owner, Line& line) {
        const Line moved = line;
        std::erase_if(owner.lines, [&](const Line& other) { return other.id == id; });
        const auto at = std::find_if(owner.lines.begin(), owner.lines.end(),
                                     [&](const Line& other) { return other.id == before; });
        owner.lines.insert(at, moved);
    });
}

Edited lineSewn(const Quilt& quilt, BlockId block, LineId id, std::int64_t time) {
    return changeLine(quilt, block, id, [&](Quilt& out, Block&, Line& line) {
        ++line.sewn;
        note(out, {time, block, {}, quilt::Event::lineSewn, line.name});
    });
}

namespace {

void moveTo(Line& line, shape::Point wanted) {
    const auto off = wanted - quilt::middleOf(line);
    line.place.right = line.place.right + Length::ofMm(off.x);
    line.place.down = line.place.down + Length::ofMm(off.y);
}

} // namespace

void carryLines(Block& block, const quilt::Piece& from, const quilt::Piece& to) {
    if (from.place == to.place) return;
    const auto map = placing(to) * placing(from).inverse();
    for (auto& line : block.lines) {
        if (line.on != to.id) continue;
        const auto wanted = map(quilt::middleOf(line));
        line.place.turn = (line.place.turn + to.place.turn + -from.place.turn).normal();
        moveTo(line, wanted);
        line.drawn = false;
    }
}

void remapLines(Block& block, const shape::Transform& by) {
    const bool mirrors = by.determinant() < 0;
    const double times = std::sqrt(std::abs(by.determinant()));
    for (auto& line : block.lines) {
        const auto wanted = by(quilt::middleOf(line));
        auto strokes = line.written ? *line.strokes : placed(line);
        for (auto& stroke : strokes)
            stroke = transformed(stroke, line.written ? shape::Transform::scale(times, times) : by);
        if (line.written) {
            line.written->height = Length::ofMm(line.written->height.mm() * times);
            line.written->off = Length::ofMm(line.written->off.mm() * times);
            auto all = *line.written->along;
            for (auto& one : all)
                one = transformed(one, shape::Transform::scale(times, times));
            line.written->along = std::move(all);
        } else {
            line.place.turn = {};
        }
        if (line.written && mirrors) line.place.turn = -line.place.turn;
        line.strokes = std::move(strokes), line.drawn = false;
        line.sewn = 0, line.stitched = {};
        if (line.laid) line.laid->done = 0; // it stays as wide as it is bought or cut
        moveTo(line, wanted);
    }
}

} // namespace up::edit
