// SPDX-License-Identifier: GPL-3.0-or-later
#include "demo/starting.hpp"

#include "core/edit/cloths.hpp"
#include "core/edit/edits.hpp"
#include "core/edit/stacking.hpp"
#include "core/edit/tracing.hpp"
#include "core/store/file.hpp"
#include "demo/samples.hpp"
#include "intake/svg/svg.hpp"

#include <algorithm>

namespace up::demo {

using quilt::Length;
using quilt::Quilt;

Quilt startingQuilt() {
    Quilt quilt = quilt::emptyQuilt("Towpath");
    quilt::Web feather{};
    feather.id = WebId{quilt.nextId++};
    feather.name = "Feather web, two papers";
    feather.papers = 2;
    feather.width = Length::ofInches(9, 1);
    feather.stock = quilt::Packet{10, Length::ofInches(12, 1)};
    feather.first = {2, false, "cotton"};
    feather.final = {8, true, "cotton"};
    quilt.webs.push_back(feather);
    for (const auto& cloth : cloths())
        quilt = *edit::addFabric(quilt, cloth.name, cloth.colour);
    const auto fabrics = quilt.fabrics; // the quilt is another one after each edit
    for (const auto& fabric : fabrics)
        if (fabric.name == "oak" || fabric.name == "light oak")
            quilt = *edit::setPrint(quilt, fabric.id, quilt::Print::striped, measure::Angle::ofDegrees(5));
    return quilt;
}

FabricId fabricNamed(const Quilt& quilt, const std::string& name) {
    const auto it = std::find_if(quilt.fabrics.begin(), quilt.fabrics.end(),
                                 [&](const auto& f) { return f.name == name; });
    return it == quilt.fabrics.end() ? FabricId{} : it->id;
}

Result<Quilt> withDrawing(const Quilt& quilt, const std::string& folder, const std::string& file,
                          const std::string& block, const std::string& background, std::int64_t time) {
    const auto text = store::readFile(folder + "/" + file);
    if (!text) return tl::unexpected(text.error());
    const auto drawing = intake::readSvg(*text, file);
    if (!drawing) return tl::unexpected(drawing.error());
    auto out = edit::addBlock(quilt, block, Length::ofInches(9, 1), Length::ofInches(9, 1));
    if (!out) return out;
    const BlockId id = out->blocks.back().id;
    out = edit::addDrawing(*out, id, *drawing, {}, time);
    return out ? edit::setBackground(*out, id, fabricNamed(*out, background)) : out;
}

} // namespace up::demo
