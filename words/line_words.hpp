// SPDX-License-Identifier: GPL-3.0-or-later
// Lines of a block, and the floss of those that are stitched by hand, in words.
#pragma once

#include "core/plan/work/now_plan.hpp"

#include <string>

namespace up::words {

[[nodiscard]] std::string lineStitchName(quilt::LineStitch stitch);
/// When a pen's line is gone, and what that forbids.
[[nodiscard]] std::string linePenWords(quilt::LinePen pen);
/// "back stitch, 4 strands of rust red".
[[nodiscard]] std::string lineHowWords(const quilt::Quilt& quilt, const quilt::Line& line);
/// The same without its floss.
[[nodiscard]] std::string lineStitchWords(const quilt::Line& line);
/// "word", or "word, 2 of 3" when it takes several lengths.
[[nodiscard]] std::string partName(const quilt::Block& block, const plan::LinePart& part);

/// What to thread: "Cut 16 in of floss; split off 4 strands and keep 2." or "The 2 strands kept and 2 off another cut".
[[nodiscard]] std::string threadingWords(const quilt::Quilt& quilt, const plan::LineNow& now);

struct LineSaid {
    std::string what, because;
};
/// Which lines to trace onto the block, and with what.
[[nodiscard]] LineSaid drawingSaid(const quilt::Block& block, const plan::LineNow& now);
/// Which one to stitch, and what to thread.
[[nodiscard]] LineSaid lineSaid(const quilt::Quilt& quilt, const quilt::Block& block,
                                const plan::LineNow& now);

/// "cut 4 of 16 in, 5 ft in all; 12 in of single strands are left over".
[[nodiscard]] std::string flossWords(const quilt::Quilt& quilt, const plan::FlossUse& use);
/// "Rust red floss".
[[nodiscard]] std::string flossName(const quilt::Quilt& quilt, ThreadId thread);

} // namespace up::words
