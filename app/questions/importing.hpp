// SPDX-License-Identifier: GPL-3.0-or-later
// A drawing before it becomes pieces: what is asked about it, what comes back.
#pragma once

#include "app/session/reading.hpp"
#include "core/edit/edits.hpp"

#include <QString>
#include <functional>
#include <memory>

namespace up::app {

struct ImportQuestion {
    QString file; ///< its name
    measure::System units;
    measure::Length width, height; ///< of the block it goes into
    int pages = 1;                 ///< of one file, or a file each
    bool isScan = false;
    bool reversed = false; ///< what is known of the block's drawing
    bool first = false;    ///< the block has no pieces yet: their numbers are still open
    Result<quilt::Drawing> drawing;
    std::vector<quilt::Fabric> fabrics; ///< of the quilt: a colour that is among them has their name
    std::vector<std::string> names;     ///< of the block's pieces
    /// Reads again in another way.
    std::shared_ptr<const Pattern> pattern;
    /// How they lie beside each other; nothing when cancelled.
    std::function<std::optional<intake::PageGrid>(const std::vector<quilt::Drawing>&)> askGrid{};
};

struct ImportAnswer {
    quilt::Drawing drawing; ///< only what is wanted, in its roles
    edit::ImportOptions options;
    bool numbered = false; ///< anew, by step, fabric and place; else as drawn
};

} // namespace up::app
