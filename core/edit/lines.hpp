// SPDX-License-Identifier: GPL-3.0-or-later
// Edits of the lines on a block: words, veins, legs. As all edits they answer Code::noSuchBlock, and Code::noSuchLine for
// a line that is not there; Code::lineIsSewn when one would be changed that floss holds already.
#pragma once

#include "core/edit/edits.hpp"

namespace up::edit {

/// A new line when its id is none, else in place of the one with that id. It goes where the topmost piece beneath all of it
/// goes. One that lies otherwise than it was traced is traced again. Errors: Code::emptyDrawing for one without strokes;
/// Code::badName.
[[nodiscard]] Edited putLine(const Quilt& quilt, BlockId block, quilt::Line line);
[[nodiscard]] Edited removeLine(const Quilt& quilt, BlockId block, LineId line);
/// Clockwise about its own middle, then moved.
[[nodiscard]] Edited moveLine(const Quilt& quilt, BlockId block, LineId line, Length right, Length down,
                              measure::Angle by = {});

/// They are on the cloth.
[[nodiscard]] Edited linesDrawn(const Quilt& quilt, BlockId block, const std::vector<LineId>& lines,
                                std::int64_t time);
/// It is not, after all.
[[nodiscard]] Edited lineNotDrawn(const Quilt& quilt, BlockId block, LineId line);
/// So many of its strips lie there now, or of its things.
[[nodiscard]] Edited lineLaid(const Quilt& quilt, BlockId block, LineId line, int done, std::int64_t time);
/// It is taken off again, with its stitches.
[[nodiscard]] Edited lineTakenOff(const Quilt& quilt, BlockId block, LineId line);
/// Laid before that one; none: last.
[[nodiscard]] Edited moveLineInOrder(const Quilt& quilt, BlockId block, LineId line, LineId before);
/// One more of its lengths of floss is stitched.
[[nodiscard]] Edited lineSewn(const Quilt& quilt, BlockId block, LineId line, std::int64_t time);

} // namespace up::edit
