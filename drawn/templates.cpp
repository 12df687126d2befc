// SPDX-License-Identifier: GPL-3.0-or-later
#include "drawn/templates.hpp"

#include "core/sheet/figures.hpp"

namespace up::drawn {

using namespace sheet::palette;
using sheet::Dash;
using sheet::Pen;

namespace {
constexpr double clothBeyond = 6; // mm beyond the cut
}

shape::Box templateBox(const plan::Template& one) {
    return one.cut.bounds().grownBy(clothBeyond);
}

sheet::Layer templateLayer(const quilt::Quilt& quilt, const quilt::Piece& piece, const plan::Template& one,
                           For whom) {
    const bool onPaper = whom == For::paper;
    const Colour cloth = onPaper ? panel : clothOf(quilt, piece.fabric);
    const Colour strong = onPaper ? ink : inkOn(cloth), soft = mixed(cloth, strong, 0.5);
    const Colour tint = mixed(cloth, strong, onPaper ? 0.0 : 0.14);
    sheet::Layer layer{"template", {}, {}, templateBox(one)};
    auto& items = layer.items;
    if (!onPaper) {
        items.push_back(sheet::box(templateBox(one), cloth, {}));
        items.push_back(sheet::Shape{sheet::contoursOf(one.cut), tint, {}, piece.id});
    }
    items.push_back(sheet::Shape{sheet::contoursOf(one.line), onPaper ? std::nullopt : std::optional(cloth),
                                 Pen{strong, onPaper ? 0.5 : 0.7}, piece.id});
    if (one.join != quilt::Join::held)
        items.push_back(
            sheet::Shape{sheet::contoursOf(one.cut), std::nullopt, Pen{strong, 0.4, Dash::dashed}, piece.id});
    for (const auto& [from, to] : one.folds)
        items.push_back(sheet::line(from, to, Pen{soft, 0.25, Dash::dotted}));
    for (const auto& [from, to] : one.folding.clips)
        items.push_back(sheet::line(from, to, Pen{onPaper ? ink : rust, 0.7}));
    if (!one.folding.gathering.empty())
        items.push_back(sheet::Shape{sheet::contoursOf(std::vector<shape::Polyline>{one.folding.gathering}),
                                     std::nullopt, Pen{onPaper ? ink : rust, 0.5, Dash::dashed}});
    addMarks(items, piece, {}, Pen{strong, 0.4});
    return layer;
}

} // namespace up::drawn
