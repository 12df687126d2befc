// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/cut/by_template.hpp"

namespace up::plan {

Template templateOf(const quilt::Piece& piece) {
    Template out{piece.id, piece.join, shape::regionOf(*piece.outline), {}, {}, {}};
    switch (piece.join) {
    case quilt::Join::fused:
    case quilt::Join::held: out.cut = out.line; break;
    case quilt::Join::reverse: out.cut = shape::offset(out.line, patchAllowance.mm()); break;
    case quilt::Join::turned: {
        out.folding = shape::foldingOf(out.line, turnedAllowance.mm());
        out.cut = out.folding.cut;
        const auto box = out.cut.bounds();
        const auto middle = out.line.bounds().centre();
        out.folds = {{{middle.x, box.top}, {middle.x, box.bottom}},
                     {{box.left, middle.y}, {box.right, middle.y}}};
        break;
    }
    }
    return out;
}

} // namespace up::plan
