// SPDX-License-Identifier: GPL-3.0-or-later
// What each kind of stitch does: where its needle goes, what it needs beneath it.
#pragma once

#include "core/quilt/stitches.hpp"
#include "core/stitch/repeat.hpp"

namespace up::plan {

/// From the edge towards the piece > 0. Satin, zigzag and blanket swing just over the edge; straight ones run inside it.
/// Source: common practice.
[[nodiscard]] stitch::Repeat repeatOf(const quilt::EdgeStitch& stitch);

/// By hand with one thread, else with needle and bobbin; `layers` of cloth beneath the needle.
[[nodiscard]] stitch::Use useOf(const quilt::EdgeStitch& stitch, int layers);

/// Whether cloth puckers beneath it without stabiliser or batting. Source: common practice.
[[nodiscard]] bool wantsStabiliser(quilt::StitchKind kind);

/// Quilting cotton, fusible web with it, mm. From memory.
inline constexpr double clothThickness = 0.35;
/// Of needle and of bobbin thread for both knots of a trail, mm. Common practice, no source.
inline constexpr double knotThread = 250;

/// Minutes; common practice, no source.
inline constexpr double changeMinutes = 3, knotMinutes = 0.5;
inline constexpr double machineStitches = 350, handStitches = 12; ///< in a minute

} // namespace up::plan
