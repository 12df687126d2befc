// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/judge_words.hpp"

#include "words/now_words.hpp"
#include "words/sentences.hpp"

#include <algorithm>

namespace up::words {

std::string reversingWords(const plan::Judgement& judged) {
    const auto all = judged.pieces.size();
    const auto must = static_cast<std::size_t>(std::count_if(
        judged.pieces.begin(), judged.pieces.end(), [](const auto& p) { return p.mustBeReversed(); }));
    if (must == 0) return "No piece needs reversing: each is its own mirror image.";
    if (must == all)
        return all == 1 ? "The piece must be reversed." : "All " + std::to_string(all) + " must be reversed.";
    const auto rest = all - must;
    return std::to_string(must) + " of " + std::to_string(all) + " must be reversed; " +
           (rest == 1 ? "one is its own mirror image."
                      : std::to_string(rest) + " are their own mirror image.");
}

std::string reversalWords(const plan::PieceJudgement& piece) {
    return piece.mustBeReversed() ? "Reverse" : "Either way (own mirror image)";
}

std::string alikeWords(const quilt::Block& block, const plan::Judgement& judged, std::size_t piece) {
    const auto& group = judged.groups[judged.pieces[piece].alike];
    if (group.pieces.size() < 2) return "";
    std::vector<PieceId> same, mirrored;
    for (const auto other : group.pieces)
        if (other != piece)
            (judged.pieces[other].otherHand == judged.pieces[piece].otherHand ? same : mirrored)
                .push_back(block.pieces[other].id);
    std::string out;
    if (!same.empty()) out = "like " + numbersWords(block, same, 6);
    if (!mirrored.empty())
        out += (out.empty() ? "mirror image of " : "; mirrored ") + numbersWords(block, mirrored, 6);
    return out;
}

std::vector<std::string> groupWords(const quilt::Block& block, const plan::Judgement& judged) {
    std::vector<std::string> out;
    for (const auto& group : judged.groups) {
        if (group.pieces.size() < 2) continue;
        std::string line =
            std::to_string(group.pieces.size()) + " like “" + block.pieces[group.pieces.front()].name + "”";
        if (group.otherHand > 0) line += ", of which " + std::to_string(group.otherHand) + " mirrored";
        out.push_back(std::move(line));
    }
    return out;
}

std::string fineWords(double mm, measure::System units) {
    const auto length = measure::Length::ofMm(mm);
    return units == measure::System::inches ? measure::sayInches(length, 32) : measure::sayMetric(length);
}

std::string widthWords(const plan::PieceJudgement& piece, measure::System units) {
    std::string out =
        (piece.thin.empty() ? "narrowest " : "too thin: ") +
        fineWords(piece.thin.empty() ? piece.narrowest.width : piece.thin.front().narrowest.width, units);
    if (!piece.sharp.empty())
        out += piece.sharp.size() == 1 ? ", a sharp point"
                                       : ", " + std::to_string(piece.sharp.size()) + " sharp points";
    if (!piece.tight.empty())
        out += piece.tight.size() == 1 ? ", a tight corner"
                                       : ", " + std::to_string(piece.tight.size()) + " tight corners";
    return out;
}

} // namespace up::words
