// SPDX-License-Identifier: GPL-3.0-or-later
// What several verbs begin with.
#pragma once

#include "cli/verbs.hpp"
#include "core/quilt/drawing.hpp"
#include "core/quilt/quilt.hpp"

namespace up::cli {

struct Opened {
    quilt::Quilt quilt;
    BlockId block;
    [[nodiscard]] const quilt::Block& chosen() const { return the(quilt.blocks, block); }
};

/// The quilt named by `words.file` and the block named by `words.block` (upper and lower case alike).
/// Errors: as loadQuilt; Code::noSuchBlock {name, names there are}.
[[nodiscard]] Result<Opened> openBlock(const Words& words);

/// A pieces file or a drawing. Errors: as readPieces and readSvg.
[[nodiscard]] Result<quilt::Drawing> openDrawing(const std::string& path, int page = 1, double dpi = 0);

/// The drawing's warnings as sentences.
[[nodiscard]] std::vector<std::string> warningsOf(const quilt::Drawing& drawing);

/// Pages of a PDF file; 1 for anything else.
[[nodiscard]] int pagesIn(const std::string& file);

} // namespace up::cli
