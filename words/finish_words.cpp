// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/finish_words.hpp"

#include "core/base/text.hpp"
#include "words/translated.hpp"

#include <cmath>

namespace up::words {

using measure::Length;
using measure::System;

std::string stripName(const plan::FitStrip& strip) {
    switch (strip.side) {
    case shape::Side::top: return strip.isFrame ? tr("Frame above") : tr("Strip above");
    case shape::Side::bottom: return strip.isFrame ? tr("Frame below") : tr("Strip below");
    case shape::Side::left: return strip.isFrame ? tr("Frame on the left") : tr("Strip on the left");
    case shape::Side::right: return strip.isFrame ? tr("Frame on the right") : tr("Strip on the right");
    }
    return {};
}

std::string stripSizes(const plan::FitStrip& strip, System units) {
    const auto say = [&](Length length) { return measure::say(length, units); };
    auto out = said(N_("cut {0}, {1} is seen"),
                    {measure::saySize(strip.cutLong, strip.cutWide, units), say(strip.finished)});
    if (strip.more > Length()) out += said(N_("; {0} wider than planned"), {say(strip.more)});
    if (strip.more < Length()) out += said(N_("; {0} narrower than planned"), {say(-strip.more)});
    return out;
}

std::string lackWords(const fit::Extent& lacking, System units) {
    const bool narrow = lacking.wide > Length(), low = lacking.high > Length();
    const auto wide = measure::say(lacking.wide, units), high = measure::say(lacking.high, units);
    if (narrow && low) return said(N_("{0} too narrow and {1} too low"), {wide, high});
    if (narrow) return said(N_("{0} too narrow"), {wide});
    return low ? said(N_("{0} too low"), {high}) : std::string();
}

std::vector<std::string> rescues(const plan::FinishPlan& plan, System units) {
    std::vector<std::string> out;
    const auto& trimming = plan.trimming;
    if (!trimming.isShort()) return out;
    const auto say = [&](Length length) { return measure::say(length, units); };
    for (const auto& strip : plan.strips)
        if (!strip.isFrame && strip.more > Length())
            out.push_back(said(N_("{0}: {1}"), {stripName(strip), stripSizes(strip, units)}));
    if (trimming.seam)
        out.push_back(
            said(N_("Sew it with seams of {0} instead of {1}."), {say(*trimming.seam), say(fit::usualSeam)}));
    if (trimming.frame)
        out.push_back(said(N_("Trim it to {0} and frame it with strips cut {1} wide ({2} is seen)."),
                           {measure::saySize(trimming.frame->trimTo.wide, trimming.frame->trimTo.high, units),
                            say(trimming.frame->cutWide), say(trimming.frame->finished)}));
    return out;
}

std::vector<std::string> wallWords(const quilt::Quilt& quilt) {
    const auto wall = plan::planWall(quilt);
    const auto say = [&](Length length) { return measure::say(length, quilt.units); };
    const auto size = [&](const fit::Extent& extent) {
        return measure::saySize(extent.wide, extent.high, quilt.units);
    };
    std::vector<std::string> out;
    if (wall.rows.empty()) return out;
    out.push_back(said(N2_("The top is {1}: {0} row.", "The top is {1}: {0} rows."), wall.rows.size(),
                       {size(wall.top)}));
    for (const auto row : wall.narrower)
        out.push_back(said(N_("Row {0} is {1} narrower than the widest: give a block of it another strip."),
                           {std::to_string(row + 1), say(wall.inner.wide - wall.rows[row].wide)}));
    for (const auto unit : wall.lower)
        out.push_back(said(N_("“{0}” with its strips is lower than its row: give it another strip."),
                           {quilt.blocks[unit].name}));
    for (std::size_t i = 0; i < wall.borders.size(); ++i) {
        const auto& border = wall.borders[i];
        out.push_back(
            said(N_("Border {0}: two strips cut {1} at the sides, then two cut {2}."),
                 {std::to_string(i + 1), measure::saySize(border.sides, border.cutWide, quilt.units),
                  measure::saySize(border.ends, border.cutWide, quilt.units)}));
    }
    const auto finishing = fit::finishingOf(wall.top, fit::usualClothWide, fit::usualBinding);
    out.push_back(said(N_("Backing and batting {0}."), {size(finishing.backing)}));
    out.push_back(said(N2_("Binding {1}: {0} strip cut {2} from cloth {3} wide.",
                           "Binding {1}: {0} strips cut {2} from cloth {3} wide."),
                       static_cast<std::size_t>(finishing.bindingStrips),
                       {say(finishing.binding), say(fit::usualBinding), say(fit::usualClothWide)}));
    return out;
}

std::string drawnInWords(const plan::DrawnIn& drawn) {
    const auto percent = plainNumber(std::round(drawn.share * 1000) / 10, 1);
    if (drawn.blocks == 0) return said(N_("Stitching usually draws a block in by about {0} %."), {percent});
    return said(N2_("{0} block stitched like this one was drawn in by {1} %.",
                    "{0} blocks stitched like this one were drawn in by {1} %."),
                static_cast<std::size_t>(drawn.blocks), {percent});
}

} // namespace up::words
