// SPDX-License-Identifier: GPL-3.0-or-later
// From a drawing to pieces: size, side, fabrics, names.
#include "core/edit/change.hpp"

#include <algorithm>

namespace up::edit {
namespace {

using quilt::Block;

using quilt::Piece;
using shape::Transform;

constexpr double overEdge = 0.2; // mm

std::string freeName(const Quilt& quilt, const std::string& wanted) {
    const auto taken = [&](const std::string& name) {
        return std::any_of(quilt.fabrics.begin(), quilt.fabrics.end(),
                           [&](const auto& f) { return f.name == name; });
    };
    if (!taken(wanted)) return wanted;
    for (int i = 2;; ++i)
        if (const auto name = wanted + " " + std::to_string(i); !taken(name)) return name;
}

FabricId fabricOf(Quilt& quilt, Colour colour) {
    for (const auto& fabric : quilt.fabrics)
        if (fabric.colour == colour) return fabric.id;
    const auto name = freeName(quilt, nameFor(colour));
    const FabricId id{quilt.nextId++};
    quilt.fabrics.push_back({id, name, colour, ""});
    quilt.threads.push_back({ThreadId{quilt.nextId++}, name, colour, ""});
    return id;
}

Transform pageToBlock(const quilt::Drawing& drawing, const Block& block, const ImportOptions& options) {
    const double w = block.width.mm(), h = block.height.mm();
    const double by = options.fitToBlock ? std::min(w / drawing.width, h / drawing.height) : 1.0;
    const auto fit = Transform::moveBy((w - drawing.width * by) / 2, (h - drawing.height * by) / 2) *
                     Transform::scale(by, by);
    return options.givenReversed ? Transform::mirrorAcross(w / 2) * fit : fit;
}

Piece pieceFrom(Quilt& quilt, const Block& block, const quilt::DrawnShape& drawn, const Transform& map) {
    Piece piece{};
    piece.id = PieceId{quilt.nextId++};
    piece.name = drawn.name;
    piece.outline = transformed(drawn.outline, map);
    std::vector<shape::Contour> marks;
    for (const auto& mark : drawn.marks)
        marks.push_back(transformed(mark, map));
    piece.marks = std::move(marks);
    piece.fabric = fabricOf(quilt, drawn.fill);
    piece.thread = threadFor(quilt, piece.fabric);
    const auto box = boundsOf(*piece.outline);
    piece.runsOff = box.left < -overEdge || box.top < -overEdge || box.right > block.width.mm() + overEdge ||
                    box.bottom > block.height.mm() + overEdge;
    return piece;
}

} // namespace

Edited addDrawing(const Quilt& quilt, BlockId id, const quilt::Drawing& drawing, const ImportOptions& options,
                  std::int64_t time) {
    if (drawing.width <= 0 || drawing.height <= 0 || drawing.shapes.empty())
        return failure(Code::emptyDrawing, {""});
    return changeBlock(quilt, id, [&](Quilt& out, Block& block) {
        const auto map = pageToBlock(drawing, block, options);
        block.givenReversed = options.givenReversed;
        for (const auto& drawn : drawing.shapes)
            block.pieces.push_back(pieceFrom(out, block, drawn, map));
        note(out, {time, id, {}, "imported", std::to_string(drawing.shapes.size())});
    });
}

} // namespace up::edit
