// SPDX-License-Identifier: GPL-3.0-or-later
// A drawing before it becomes pieces: what is asked about it, what comes back.
#pragma once

#include "core/base/job.hpp"
#include "core/edit/edits.hpp"
#include "intake/pages/pages.hpp"

#include <QString>
#include <functional>
#include <memory>

namespace up::app {

/// How the file is to be read.
struct ReadSettings {
    int page = 1;
    double dpi = 0;                           ///< 0: as the file says
    bool borders = false;                     ///< wide pens are pieces of their own
    std::optional<intake::PageGrid> joined{}; ///< all pages as one, instead of the one
    std::shared_ptr<Job> job{};               ///< of the reading that is going on

    [[nodiscard]] ReadSettings with(std::shared_ptr<Job> watched) const {
        auto out = *this;
        out.job = std::move(watched);
        return out;
    }
};

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
    /// Reads again in another way; called aside.
    std::function<Result<quilt::Drawing>(const ReadSettings&)> read;
    /// Which way round its letters read; called aside, may take seconds.
    std::function<quilt::Reading(const ReadSettings&, const quilt::Drawing&)> letters{};
    /// Every page for itself; called aside.
    std::function<Result<std::vector<quilt::Drawing>>(const ReadSettings&)> readPages{};
    /// How they lie beside each other; nothing when cancelled.
    std::function<std::optional<intake::PageGrid>(const std::vector<quilt::Drawing>&)> askGrid{};
};

struct ImportAnswer {
    quilt::Drawing drawing; ///< only what is wanted, in its roles
    edit::ImportOptions options;
    bool numbered = false; ///< anew, by step, fabric and place; else as drawn
};

} // namespace up::app
