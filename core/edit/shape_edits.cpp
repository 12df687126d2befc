// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/change.hpp"
#include "core/edit/shapes.hpp"

#include "core/shape/cutting.hpp"
#include "core/shape/halves.hpp"
#include "core/shape/region.hpp"

#include <algorithm>

namespace up::edit {

using quilt::Block;
using quilt::Piece;

namespace {

constexpr Colour plainCloth{0x8a, 0xa5, 0xa0};
constexpr double leastFold = 25.4 / 8; // mm

std::vector<shape::Contour> marksWithin(const std::vector<shape::Contour>& marks,
                                        const shape::Outline& outline) {
    const auto region = shape::regionOf(outline);
    std::vector<shape::Contour> out;
    for (const auto& mark : marks) {
        const auto line = flattened(mark);
        const auto parts = shape::inside(line, region);
        // A mark that lies in one part whole keeps its curves.
        if (parts.size() == 1 && std::abs(shape::lengthOf(parts.front()) - shape::lengthOf(line)) < 0.01) {
            out.push_back(mark);
            continue;
        }
        for (const auto& part : parts) {
            auto contour = shape::contourThrough(part);
            contour.closed = false;
            out.push_back(std::move(contour));
        }
    }
    return out;
}

} // namespace

Edited addShapes(const Quilt& quilt, BlockId id, std::vector<NewShape> shapes, FabricId fabric) {
    auto base = Edited(quilt);
    if (!find(quilt.fabrics, fabric)) {
        base = addFabric(quilt, nameFor(plainCloth), plainCloth);
        fabric = base->fabrics.back().id;
    }
    return changeBlock(*base, id, [&](Quilt& out, Block& block) {
        for (auto& fresh : shapes) {
            Piece piece{};
            piece.id = PieceId{out.nextId++};
            piece.name = std::move(fresh.name);
            piece.outline = std::move(fresh.outline);
            piece.recipe = std::move(fresh.recipe);
            piece.fabric = fabric;
            piece.thread = threadFor(out, fabric);
            block.pieces.push_back(std::move(piece));
        }
        notFinishedYet(block);
    });
}

Edited remakePiece(const Quilt& quilt, BlockId block, PieceId id, quilt::Recipe recipe,
                   shape::Outline outline) {
    if (const auto piece = changeable(quilt, block, id); !piece) return tl::unexpected(piece.error());
    return changePiece(quilt, block, id, [&](Block& owner, Piece& piece) {
        settlePlace(piece);
        piece.outline = std::move(outline);
        piece.recipe = std::move(recipe);
        piece.dotted = {};
        beginAgain(owner, piece);
    });
}

Edited setDotted(const Quilt& quilt, BlockId block, PieceId id, std::vector<shape::Contour> dotted) {
    return changePiece(quilt, block, id, [&](Block&, Piece& piece) { piece.dotted = std::move(dotted); });
}

Edited unfoldPiece(const Quilt& quilt, BlockId block, PieceId id) {
    const auto known = changeable(quilt, block, id);
    if (!known) return tl::unexpected(known.error());
    const auto folds = shape::foldsOf(*(*known)->outline, leastFold);
    if (folds.empty()) return failure(Code::noStraightEdge, {(*known)->name});
    return changePiece(quilt, block, id, [&](Block& owner, Piece& piece) {
        settlePlace(piece);
        const auto fold = shape::foldsOf(*piece.outline, leastFold).front();
        piece.outline = unfolded(*piece.outline, fold);
        piece.dotted = {};
        piece.recipe.reset();
        beginAgain(owner, piece);
    });
}

Edited joinHalves(const Quilt& quilt, BlockId block, PieceId id, PieceId otherId) {
    const auto known = changeable(quilt, block, id), other = changeable(quilt, block, otherId);
    if (!known) return tl::unexpected(known.error());
    if (!other || id == otherId) return failure(Code::noSuchPiece, {std::to_string(otherId.value)});
    Piece a = **known, b = **other;
    settlePlace(a), settlePlace(b);
    const auto folds = shape::foldsOf(*a.outline, leastFold), against = shape::foldsOf(*b.outline, leastFold);
    for (const auto& [piece, list] : {std::pair{&a, &folds}, std::pair{&b, &against}})
        if (list->empty()) return failure(Code::noStraightEdge, {piece->name});
    const auto length = [](const shape::Straight& s) { return distance(s.from, s.to); };
    const shape::Straight *bestA = &folds.front(), *bestB = &against.front();
    for (const auto& one : folds)
        for (const auto& two : against)
            if (std::abs(length(one) - length(two)) < std::abs(length(*bestA) - length(*bestB)) - 0.1)
                bestA = &one, bestB = &two;
    auto out = changePiece(quilt, block, id, [&](Block& owner, Piece& piece) {
        piece = a;
        piece.dotted = {};
        piece.outline = joined(*a.outline, *bestA, *b.outline, *bestB);
        piece.recipe.reset();
        beginAgain(owner, piece);
    });
    return out ? removePiece(*out, block, otherId) : out;
}

Edited cutPiece(const Quilt& quilt, BlockId blockId, PieceId id, shape::Point a, shape::Point b) {
    const auto known = changeable(quilt, blockId, id);
    if (!known) return tl::unexpected(known.error());
    Piece whole = **known;
    settlePlace(whole);
    if (distance(a, b) < 1e-6) return failure(Code::lineMisses, {whole.name});
    const auto cut = cutBy(*whole.outline, a, b);
    if (cut.left.empty() || cut.right.empty()) return failure(Code::lineMisses, {whole.name});
    auto outlines = cut.left;
    outlines.insert(outlines.end(), cut.right.begin(), cut.right.end());
    return changeBlock(quilt, blockId, [&](Quilt& out, Block& block) {
        beginAgain(block, the(block.pieces, id));
        whole.work = the(block.pieces, id).work;
        whole.recipe.reset();
        std::vector<Piece> parts;
        for (const auto& outline : outlines) {
            Piece part = whole;
            if (!parts.empty()) part.id = PieceId{out.nextId++};
            part.name = whole.name + " " + std::string(1, static_cast<char>('a' + parts.size() % 26));
            part.outline = outline;
            part.marks = marksWithin(*whole.marks, outline);
            part.dotted = {};
            parts.push_back(std::move(part));
        }
        const auto at = std::find_if(block.pieces.begin(), block.pieces.end(),
                                     [&](const Piece& piece) { return piece.id == id; });
        block.pieces.insert(block.pieces.erase(at), parts.begin(), parts.end());
    });
}

Edited splitPiece(const Quilt& quilt, BlockId blockId, PieceId id, shape::Outline over, shape::Outline under,
                  PieceId beneath) {
    if (const auto known = changeable(quilt, blockId, id); !known) return tl::unexpected(known.error());
    return changeBlock(quilt, blockId, [&](Quilt& out, Block& block) {
        auto* piece = find(block.pieces, id);
        settlePlace(*piece);
        piece->recipe.reset();
        Piece lower = *piece;
        lower.id = PieceId{out.nextId++};
        lower.name = piece->name + ", lower end";
        lower.marks = marksWithin(*piece->marks, under);
        piece->marks = marksWithin(*piece->marks, over);
        lower.outline = std::move(under), piece->outline = std::move(over);
        beginAgain(block, *piece), beginAgain(block, lower);
        const auto place = std::find_if(block.pieces.begin(), block.pieces.end(),
                                        [&](const Piece& p) { return p.id == beneath; });
        block.pieces.insert(place, std::move(lower));
    });
}

} // namespace up::edit
