// SPDX-License-Identifier: GPL-3.0-or-later
// Stitching in words.
#pragma once

#include "core/plan/stitch/hints.hpp"
#include "core/plan/stitch/stitch_amounts.hpp"
#include "core/plan/work/now_plan.hpp"

#include <string>

namespace up::words {

/// "Satin".
[[nodiscard]] std::string weaveName(quilt::Weave weave);
[[nodiscard]] std::string stitchName(quilt::StitchKind kind);
/// "Tear-away stabiliser".
[[nodiscard]] std::string beneathName(quilt::Beneath beneath);
/// What it needs, and what happens at its corners.
[[nodiscard]] std::string stitchAdvice(quilt::StitchKind kind);
/// "iron grey thread"; "no thread yet".
[[nodiscard]] std::string threadWords(const quilt::Quilt& quilt, ThreadId thread);
/// "along 3 leg, 2 1/4 in, 3 times to and fro".
[[nodiscard]] std::string legWords(const quilt::Quilt& quilt, const quilt::Block& block,
                                   const plan::StitchRun& run, int times);
/// "in the seam allowance".
[[nodiscard]] std::string knotWords(plan::Knot knot);

/// How the needle gets to a leg of a trail; nothing for the first.
[[nodiscard]] std::string arrivalWords(const plan::Leg& leg, bool isFirst);

/// "no knot shows".
[[nodiscard]] std::string knotsWords(plan::Knot begin, plan::Knot end);
/// "iron grey thread: 12 m on the needle, 11 m on the bobbin", and where the bobbin will be empty.
[[nodiscard]] std::string useWords(const quilt::Quilt& quilt, const quilt::Block& block,
                                   const plan::ThreadUse& use);

/// How a thread will look on cloth from which a strand of it is so far off; whether going over it twice is seen.
[[nodiscard]] std::string triedWords(Colour strand, Colour cloth, double off, bool twice);
/// "2 changes of thread fewer, about 6 min".
[[nodiscard]] std::string savingWords(const plan::Saving& saving);
/// "3 trails, 24 in, about 4 min".
[[nodiscard]] std::string elsewhereWords(const quilt::Quilt& quilt, const plan::Elsewhere& there);

/// What is said of the leg that is next: what to do, and how to get there and on.
struct LegSaid {
    std::string what, because;
};
[[nodiscard]] LegSaid legSaid(const quilt::Quilt& quilt, const quilt::Block& block,
                              const plan::StitchNow& now);

} // namespace up::words
