// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/cut_words.hpp"

#include "core/base/text.hpp"
#include "words/now_words.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <cmath>

namespace up::words {

std::string cutName(const quilt::Block& block, const plan::ChunkCuts& chunk, const cut::Cut& cut) {
    std::vector<PieceId> pieces;
    for (const auto shape : cut.shapes)
        pieces.push_back(chunk.pieces[shape]);
    const auto which = piecesWords(block, pieces);
    switch (cut.why) {
    case cut::Why::inner: return said(N_("Out of the middle of {0}"), {which});
    case cut::Why::small: return said(N_("Small, all round: {0}"), {which});
    case cut::Why::lining: return said(N_("Lining, on the line or just inside: {0}"), {which});
    case cut::Why::ruler: return said(N_("By ruler along {0}"), {which});
    case cut::Why::rest: break;
    }
    return cut.closed ? said(N_("All round {0}"), {which}) : said(N_("The rest of {0}"), {which});
}

std::string minutesWords(const plan::CutPlan& plan, double minutes) {
    return said(plan.learnt ? N_("about {0} min at your pace") : N_("about {0} min"),
                {plainNumber(std::max(1.0, std::round(minutes)), 0)});
}

} // namespace up::words
