// SPDX-License-Identifier: GPL-3.0-or-later
// Edits as pure functions: a quilt in, a new quilt out. An edit that changes nothing gives an equal quilt.
// All answer Code::noSuchBlock, noSuchPiece or noSuchFabric for ids that are not there.
#pragma once

#include "core/quilt/drawing.hpp"
#include "core/quilt/quilt.hpp"

namespace up::edit {

using quilt::Length;
using quilt::Quilt;
using Edited = Result<Quilt>;

/// Sides that a finished block may have.
inline constexpr Length leastSide = Length::ofInches(1, 2);
inline constexpr Length mostSide = Length::ofInches(120, 1);

// --- the quilt
[[nodiscard]] Edited renameQuilt(const Quilt& quilt, std::string name);
[[nodiscard]] Edited setUnits(const Quilt& quilt, measure::System units);

// --- blocks
/// Errors: Code::absurdSize for sides outside leastSide…mostSide.
[[nodiscard]] Edited addBlock(const Quilt& quilt, std::string name, Length width, Length height);
[[nodiscard]] Edited removeBlock(const Quilt& quilt, BlockId block);
[[nodiscard]] Edited renameBlock(const Quilt& quilt, BlockId block, std::string name);
/// Scales outlines, marks and placements with the block; a side ratio that differs keeps the shapes'
/// proportions and centres them; `keepWidths`: built-in stems, strips and rings keep how wide they are. What
/// was traced no longer fits: all pieces go back to be traced. Errors: Code::absurdSize.
[[nodiscard]] Edited resizeBlock(const Quilt& quilt, BlockId block, Length width, Length height,
                                 bool keepWidths = false);
/// Mirrors the whole drawing when the answer changes, so that outlines are always kept as seen; pieces traced
/// the wrong way go back to be traced.
[[nodiscard]] Edited setGivenReversed(const Quilt& quilt, BlockId block, bool reversed);
[[nodiscard]] Edited setBackground(const Quilt& quilt, BlockId block, FabricId fabric);
/// Errors: Code::alreadyTraced when pieces are on the present web.
[[nodiscard]] Edited setWeb(const Quilt& quilt, BlockId block, WebId web);
[[nodiscard]] Edited setEdge(const Quilt& quilt, BlockId block, quilt::EdgeStitch edge);

// --- drawings into pieces
/// How the drawing comes to the block's size.
enum class Fit : std::uint8_t {
    page,  ///< its page becomes the block; shapes nearer than the margin to the page's edge shrink it further
    own,   ///< it keeps its size; where page and block differ, the shapes are put in the middle
    shapes ///< the shapes are enlarged or reduced to fill the block but for the margin
};
/// Left free inside the finished edge when a drawing is scaled to a block. Source: invented; a thumb's width
/// looks right and keeps stitching clear of the seam.
inline constexpr Length usualMargin = Length::ofInches(1, 2);
/// What suits best: its own size when the drawing says it and it goes into the block, else its page.
[[nodiscard]] Fit usualFit(const quilt::Drawing& drawing, Length width, Length height);

/// What becomes of a shape found in a drawing.
enum class Role : std::uint8_t {
    piece,
    mark, ///< its outline is drawn on the topmost piece beneath it; without one it is left out
    out
};
/// The drawing with each shape in its role; `roles` as many as shapes.
[[nodiscard]] quilt::Drawing withRoles(const quilt::Drawing& drawing, const std::vector<Role>& roles);

/// The drawing at `factor` times its size, page and all; what was said of its size is settled then.
[[nodiscard]] quilt::Drawing scaled(const quilt::Drawing& drawing, double factor);

/// Whether most of its shapes are called by a number, "4" or "4 beak": then its maker has said in which order
/// they go down.
[[nodiscard]] bool bringsNumbers(const quilt::Drawing& drawing);

struct ImportOptions {
    bool givenReversed = false; ///< the drawing is already mirrored
    Fit fit = Fit::page;
    Length margin = usualMargin; ///< when it is scaled; no more than an eighth of the block's side
    bool keepLines =
        false; ///< open lines that lie on no shape become a line of the block, to be stitched by hand
};
/// What the drawing's lengths are multiplied by in a block of that finished size.
[[nodiscard]] double scaleFor(const quilt::Drawing& drawing, Length width, Length height,
                              const ImportOptions& options);
/// Adds the shapes on top of what the block has; colours become fabrics (one already there is used again) and
/// threads; shapes without a name are called by their fabric. A shape that reaches over the page's edge runs
/// off the block.
[[nodiscard]] Edited addDrawing(const Quilt& quilt, BlockId block, const quilt::Drawing& drawing,
                                const ImportOptions& options, std::int64_t time);

// --- pieces
[[nodiscard]] Edited renamePiece(const Quilt& quilt, BlockId block, PieceId piece, std::string name);
[[nodiscard]] Edited setFabric(const Quilt& quilt, BlockId block, PieceId piece, FabricId fabric);
[[nodiscard]] Edited setThread(const Quilt& quilt, BlockId block, PieceId piece, ThreadId thread);
/// Up (`by` > 0) or down the stack; stops at the ends. A lining goes with its piece; a unit is passed as a
/// whole; a piece at the end of its own unit leaves it. What was said of those that it passes is dropped.
[[nodiscard]] Edited restack(const Quilt& quilt, BlockId block, PieceId piece, int by);
[[nodiscard]] Edited removePiece(const Quilt& quilt, BlockId block, PieceId piece);
/// With its lining. Errors: Code::alreadyFused {piece} once it is fused; Code::locked {piece}.
[[nodiscard]] Edited movePiece(const Quilt& quilt, BlockId block, PieceId piece, Length right, Length down);
/// Clockwise, about the piece's own middle. Errors: as movePiece.
[[nodiscard]] Edited turnPiece(const Quilt& quilt, BlockId block, PieceId piece, measure::Angle by);
/// Left for right about its own middle, as it is drawn; goes back to be traced. Errors: as movePiece.
[[nodiscard]] Edited mirrorPiece(const Quilt& quilt, BlockId block, PieceId piece);
/// To `factor` times its size about its own middle; goes back to be traced. Errors: as movePiece;
/// Code::absurdSize when it would be smaller than `leastPiece` or larger than `mostSide`.
inline constexpr Length leastPiece = Length::ofInches(1, 16);
[[nodiscard]] Edited scalePiece(const Quilt& quilt, BlockId block, PieceId piece, double factor,
                                bool keepWidths = false);

// --- fabrics
[[nodiscard]] Edited renameFabric(const Quilt& quilt, FabricId fabric, std::string name);
/// A new fabric and, with the same name, its thread.
[[nodiscard]] Edited addFabric(const Quilt& quilt, std::string name, Colour colour);

[[nodiscard]] Edited addThread(const Quilt& quilt, std::string name, Colour colour);

// --- web
/// Replaces the web with this id; with none, adds it under a new one. Errors: Code::absurdSize for sides
/// outside leastSide…mostWeb.
inline constexpr Length mostWeb = Length::ofInches(3600, 1);
[[nodiscard]] Edited putWeb(const Quilt& quilt, quilt::Web web);

// --- the work
[[nodiscard]] Edited setLayout(const Quilt& quilt, BlockId block, quilt::Layout layout, std::int64_t time);
/// One step done on each piece, logged. Errors: Code::notYet by the piece's own history (quilt::advanced).
[[nodiscard]] Edited record(const Quilt& quilt, BlockId block, const std::vector<PieceId>& pieces,
                            quilt::Step step, std::int64_t time);
/// The marks are on the fabric though the paper was off: drawn through from the placement sheet.
[[nodiscard]] Edited marksDrawnThrough(const Quilt& quilt, BlockId block, PieceId piece);
/// Back to be traced again, with the reason in the log; its place on the web is given up.
[[nodiscard]] Edited ruin(const Quilt& quilt, BlockId block, PieceId piece, std::string reason,
                          std::int64_t time);

/// The thread that goes by the fabric's name; the first one, or none, if there is no such.
[[nodiscard]] ThreadId threadFor(const Quilt& quilt, FabricId fabric);

} // namespace up::edit
