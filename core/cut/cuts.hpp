// SPDX-License-Identifier: GPL-3.0-or-later
// In which order pieces are cut out of one chunk, and with what.
#pragma once

#include "core/shape/region.hpp"

#include <vector>

namespace up::cut {

/// One piece in the chunk, mm.
struct Shape {
    shape::Region area;
    bool lining = false; ///< cut on its line or just inside, never outside: it must not peek out
};

enum class Why : std::uint8_t {
    inner,  ///< out of the middle of a piece, while there is something to hold
    small,  ///< all round, while the pieces hang together
    lining, ///< all round, on the line or just inside
    ruler,  ///< straight, with a ruler
    rest    ///< what is left of a piece's edge
};

struct Cut {
    Why why{};
    std::vector<std::size_t> shapes; ///< along whose edge it runs; several only on one ruler line
    shape::Polyline line;
    bool closed = false;
    double length = 0; ///< mm, of the whole cut
};

struct CutOptions {
    double small = 38.1;    ///< mm: no longer than that is a small piece; common practice, no source
    double straight = 38.1; ///< mm: shorter straight edges are not worth a ruler; common practice, no source
};

/// Inner cuts first, then small pieces and linings, the smaller the earlier; then straight edges by ruler, the longest
/// first, those that lie on one line as one cut where nothing lies between them; then what is left of the edges,
/// each from where the last one ended. All edges are cut once and nothing else is.
[[nodiscard]] std::vector<Cut> cutsOf(const std::vector<Shape>& shapes, const CutOptions& options = {});

} // namespace up::cut
