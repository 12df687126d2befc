// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/press_words.hpp"

#include "core/base/text.hpp"
#include "words/translated.hpp"

namespace up::words {

std::string soleplateName(press::Soleplate soleplate) {
    switch (soleplate) {
    case press::Soleplate::household: break;
    case press::Soleplate::small: return tr("Small iron");
    case press::Soleplate::wand: return tr("Wand");
    }
    return tr("Household iron");
}

std::string stageName(const plan::PressStage& stage) {
    switch (stage.kind) {
    case plan::StageKind::unit:
        return said(N_("Unit {0} on the pressing sheet"), {std::to_string(stage.unit)});
    case plan::StageKind::again: return tr("What lifted, again");
    case plan::StageKind::block: break;
    }
    if (stage.fromBack) return tr("From the back");
    return stage.layer >= 0 ? said(N_("Layer {0}, from the front"), {std::to_string(stage.layer + 1)})
                            : tr("From the front");
}

std::string heatWords(const plan::PieceHeat& heat, const std::optional<double>& limit) {
    const auto least = plainNumber(heat.least, 1), most = plainNumber(heat.most, 1);
    const auto got = least == most ? said(N_("{0} s of heat in all"), {most})
                                   : said(N_("{0}–{1} s of heat in all"), {least, most});
    if (!limit) return got;
    return heat.most > *limit
               ? said(N_("{0}: more than the {1} s it may have"), {got, plainNumber(*limit, 1)})
               : said(N_("{0}, of {1} s"), {got, plainNumber(*limit, 1)});
}

std::string testWords(plan::WhyTest why) {
    return why == plan::WhyTest::tip ? tr("a thin tip") : tr("on several layers");
}

} // namespace up::words
