// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/judge_words.hpp"

#include "words/now_words.hpp"
#include "words/sentences.hpp"
#include "words/translated.hpp"

#include <algorithm>

namespace up::words {

std::string reversingWords(const plan::Judgement& judged) {
    const auto all = judged.pieces.size();
    const auto must = static_cast<std::size_t>(std::count_if(
        judged.pieces.begin(), judged.pieces.end(), [](const auto& p) { return p.mustBeReversed(); }));
    if (must == 0) return tr("No piece needs reversing: each is its own mirror image.");
    if (must == all) return said(N2_("The piece must be reversed.", "All {0} must be reversed."), all);
    return said(N2_("{1} of {2} must be reversed; one is its own mirror image.",
                    "{1} of {2} must be reversed; {0} are their own mirror image."),
                all - must, {std::to_string(must), std::to_string(all)});
}

std::string reversalWords(const plan::PieceJudgement& piece) {
    return piece.mustBeReversed() ? tr("Reverse") : tr("Either way (own mirror image)");
}

std::string alikeWords(const quilt::Block& block, const plan::Judgement& judged, std::size_t piece) {
    const auto& group = judged.groups[judged.pieces[piece].alike];
    if (group.pieces.size() < 2) return "";
    std::vector<PieceId> same, mirrored;
    for (const auto other : group.pieces)
        if (other != piece)
            (judged.pieces[other].otherHand == judged.pieces[piece].otherHand ? same : mirrored)
                .push_back(block.pieces[other].id);
    const auto like = numbersWords(block, same, 6), turned = numbersWords(block, mirrored, 6);
    if (mirrored.empty()) return said(N_("like {0}"), {like});
    if (same.empty()) return said(N_("mirror image of {0}"), {turned});
    return said(N_("like {0}; mirrored {1}"), {like, turned});
}

std::vector<std::string> groupWords(const quilt::Block& block, const plan::Judgement& judged) {
    std::vector<std::string> out;
    for (const auto& group : judged.groups) {
        if (group.pieces.size() < 2) continue;
        const std::vector<std::string> args{std::to_string(group.pieces.size()),
                                            block.pieces[group.pieces.front()].name,
                                            std::to_string(group.otherHand)};
        out.push_back(said(
            group.otherHand > 0 ? N_("{0} like “{1}”, of which {2} mirrored") : N_("{0} like “{1}”"), args));
    }
    return out;
}

std::string fineWords(double mm, measure::System units) {
    const auto length = measure::Length::ofMm(mm);
    return units == measure::System::inches ? measure::sayInches(length, 32) : measure::sayMetric(length);
}

std::string widthWords(const plan::PieceJudgement& piece, measure::System units) {
    std::string out = piece.thin.empty()
                          ? said(N_("narrowest {0}"), {fineWords(piece.narrowest.width, units)})
                          : said(N_("too thin: {0}"), {fineWords(piece.thin.front().narrowest.width, units)});
    const auto add = [&](const Plural& what, std::size_t n) {
        if (n > 0) out = said(N_("{0}, {1}"), {out, said(what, n)});
    };
    add(N2_("a sharp point", "{0} sharp points"), piece.sharp.size());
    add(N2_("a tight corner", "{0} tight corners"), piece.tight.size());
    return out;
}

} // namespace up::words
