// SPDX-License-Identifier: GPL-3.0-or-later
// Edits about what is at hand beside cloth and web: threads, stabiliser and batting; what is kept for all quilts; the
// shopping list.
#pragma once

#include "core/edit/edits.hpp"

#include <functional>

namespace up::edit {

/// Replaces the thread with this id; with none, adds it under a new one. Errors: Code::badName for a name that cannot
/// be shown; Code::noSuchSupply when there is none of
/// that id.
[[nodiscard]] Edited putThread(const Quilt& quilt, quilt::Thread thread);
/// Nothing is left of it; one that no piece is stitched with goes.
[[nodiscard]] Edited usedUp(const Quilt& quilt, ThreadId thread);

/// As putThread. Errors: Code::absurdSize for sides outside leastSide…mostWeb too.
[[nodiscard]] Edited putSupply(const Quilt& quilt, quilt::Supply supply);
[[nodiscard]] Edited removeSupply(const Quilt& quilt, SupplyId supply);

/// Whatever of the quilt's webs, off-cuts, threads and irons is its own becomes the stash's: each gets a key. Webs, threads
/// and irons of which the stash has one of that name stay the quilt's.
[[nodiscard]] Edited keepForAll(const Quilt& quilt, const std::function<std::string()>& newKey);

/// On the shopping list; the same piece for the same block once. Errors: Code::noSuchFabric.
[[nodiscard]] Edited putWant(const Quilt& quilt, quilt::Want want);
/// Bought, or not wanted any more.
[[nodiscard]] Edited removeWant(const Quilt& quilt, WantId want);

} // namespace up::edit
