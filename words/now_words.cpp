// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/now_words.hpp"

#include "core/base/text.hpp"
#include "words/lay_words.hpp"
#include "words/sentences.hpp"

#include <algorithm>
#include <cctype>

namespace up::words {
namespace {

using plan::Now;
using plan::What;
using quilt::Step;

class Speaker {
public:
    Speaker(const quilt::Quilt& quilt, const quilt::Block& block, const Now& now,
            const plan::TracePlan& trace)
        : m_quilt(quilt), m_block(block), m_now(now), m_trace(trace) {}

    [[nodiscard]] NowWords say() const {
        switch (m_now.what) {
        case What::importDrawing:
            return {"Bring in a drawing of this block.",
                    "Every filled shape becomes a piece, bottom to top; colours become fabrics.",
                    "Import a drawing…", ""};
        case What::layOut:
            return {"Lay the pieces out on " + web() + ".",
                    "They are reversed and grouped by fabric so that little web is used.", "Lay out", ""};
        case What::putAway:
            return {"Put what is left of the web into the stash.",
                    "What is worth keeping is laid out on first next time; the rest is waste.", "Put away",
                    ""};
        case What::step: return step();
        case What::trim:
            return {"Trim the block to " + cutSize() + ".",
                    finished() + " finished, plus ¼ in seam allowance on every side.", "Trimmed",
                    cautionWords(m_now.caution)};
        case What::goOn:
            return {"Nothing to do here now.", treadName(m_now.tread) + " is next: " + left(),
                    "Go to " + treadName(m_now.tread), ""};
        case What::allDone:
            return {"This block is finished.", "Put it up on the wall beside the others.", "To the Landing",
                    ""};
        }
        return {};
    }

private:
    [[nodiscard]] std::string web() const {
        const auto* found = find(m_quilt.webs, m_block.web);
        return found ? found->name : "the web";
    }
    [[nodiscard]] const quilt::Pressing* pressing(bool final) const {
        const auto* found = find(m_quilt.webs, m_block.web);
        return !found ? nullptr : final ? &found->final : &found->first;
    }
    [[nodiscard]] std::string cutSize() const {
        const auto seams = quilt::seamAllowance * 2;
        return measure::saySize(m_block.width + seams, m_block.height + seams, m_quilt.units);
    }
    [[nodiscard]] std::string finished() const {
        return measure::saySize(m_block.width, m_block.height, m_quilt.units);
    }
    [[nodiscard]] std::string left() const { return std::to_string(m_now.left) + " left."; }
    [[nodiscard]] std::string fabric() const {
        const auto* found = find(m_quilt.fabrics, m_now.fabric);
        return found ? found->name : "its fabric";
    }
    [[nodiscard]] std::string thread() const {
        const auto* found = find(m_quilt.threads, m_now.thread);
        return found ? found->name : "matching";
    }
    [[nodiscard]] const plan::Chunk* chunk() const {
        for (const auto& c : m_trace.chunks)
            if (std::find(c.pieces.begin(), c.pieces.end(), m_now.pieces.front()) != c.pieces.end())
                return &c;
        return nullptr;
    }
    [[nodiscard]] std::string leaflet(bool final) const {
        const auto* p = pressing(final);
        if (!p) return "Set the iron by the maker's leaflet.";
        return plainNumber(p->seconds, 1) + " s, " + p->heat + (p->steam ? ", steam" : ", no steam") +
               "; check the maker's leaflet.";
    }

    [[nodiscard]] NowWords step() const {
        const std::string pieces = piecesWords(m_block, m_now.pieces), caution = cautionWords(m_now.caution);
        switch (m_now.step) {
        case Step::toTrace: break;
        case Step::traced:
            return {"Trace " + pieces + " on the paper side.",
                    "For " + fabric() + "; already reversed here. Write the numbers on the paper.", "Traced",
                    caution};
        case Step::roughCut:
            return {"Rough cut the web round " + pieces + " in one chunk.",
                    "About ¼ in outside the line; it goes on " + fabric() + ".", "Rough cut done", caution};
        case Step::bonded:
            return {"Bond " + pieces + " to the wrong side of " + fabric() + ".", patch() + leaflet(false),
                    "Bonded", caution};
        case Step::marked:
            return {"Draw the marks on " + pieces + ".",
                    "The paper is still on: hold it to a window and draw on the right side.", "Marks drawn",
                    caution};
        case Step::cleanCut:
            return {"Clean cut " + pieces + ".",
                    "Web and fabric together, exactly on the line, so the glue reaches the edge.",
                    "Clean cut done", caution};
        case Step::laid: return {"Peel the paper and lay " + pieces + ".", placeWords(), "Laid", caution};
        case Step::fused:
            return {"Fuse " + pieces + ".", "Press, lift, move; don't slide. " + leaflet(true), "Fused",
                    caution};
        case Step::tested:
            return {"Test the edges of " + pieces + " with a fingernail.", "Press again where an edge lifts.",
                    "Edges hold", caution};
        case Step::stitched:
            return {"Stitch " + pieces + " with " + thread() + " thread.",
                    "The lowest first: the stitching above covers its starts and stops." + afterStitching(),
                    "Stitched", caution};
        }
        return {};
    }

    /// "Patch at least 9 × 2 in. ", or nothing when the pieces are in no chunk.
    [[nodiscard]] std::string patch() const {
        const auto* c = chunk();
        return c ? "Patch at least " + measure::saySize(c->patch.width, c->patch.height, m_quilt.units) + ". "
                 : "";
    }

    /// Where it goes, in numbers, and what it is tucked under.
    [[nodiscard]] std::string placeWords() const {
        if (!m_now.lay) return "";
        std::string out = measureWords(m_now.lay->measures, m_quilt.units);
        if (!out.empty()) {
            out += ". ";
            out.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(out.front())));
        }
        if (const auto tucks = tuckWords(m_block, *m_now.lay, m_quilt.units); !tucks.empty())
            out += "It reaches " + tucks + ". ";
        if (m_now.lay->guide)
            out += "Lay " + quilt::calledOf(m_block, m_block.pieces[*m_now.lay->guide]) +
                   " for a moment to find its place.";
        return out;
    }

    [[nodiscard]] std::string afterStitching() const {
        const auto* piece = find(m_block.pieces, m_now.pieces.front());
        return piece && piece->shine == quilt::Shine::cutAway
                   ? " Afterwards cut away what lies behind it, ¼ in inside the stitching."
                   : "";
    }

    const quilt::Quilt& m_quilt;
    const quilt::Block& m_block;
    const Now& m_now;
    const plan::TracePlan& m_trace;
};

} // namespace

NowWords nowWords(const quilt::Quilt& quilt, const quilt::Block& block, const Now& now,
                  const plan::TracePlan& trace) {
    return Speaker(quilt, block, now, trace).say();
}

std::string cautionWords(plan::Caution caution) {
    const std::string last = " The maker's leaflet and local rules come first.";
    switch (caution) {
    case plan::Caution::none: return "";
    case plan::Caution::iron: return "Hot iron: burns. Never unattended; unplug it after." + last;
    case plan::Caution::scissors:
        return "Blades: cut away from yourself, close them when you put them down." + last;
    case plan::Caution::rotary:
        return "Rotary cutter: cut away from yourself, close the blade every time, wear a cut-resistant "
               "glove." +
               last;
    case plan::Caution::needle: return "Needle: fingers and eyes. Switch off before changing it." + last;
    }
    return "";
}

std::string numbersWords(const quilt::Block& block, const std::vector<PieceId>& pieces, std::size_t most) {
    std::vector<std::string> items;
    for (std::size_t i = 0; i < pieces.size();) {
        if (items.size() == most) {
            items.push_back(std::to_string(pieces.size() - i) + " more");
            break;
        }
        const int first = quilt::numberOf(block, pieces[i]);
        std::size_t end = i + 1;
        while (end < pieces.size() &&
               quilt::numberOf(block, pieces[end]) == first + static_cast<int>(end - i))
            ++end;
        if (end - i < 3) end = i + 1;
        items.push_back(quilt::labelOf(block, pieces[i]));
        if (end - i >= 3) items.back() += "–" + quilt::labelOf(block, pieces[end - 1]);
        i = end;
    }
    return listed(items);
}

std::string piecesWords(const quilt::Block& block, const std::vector<PieceId>& pieces) {
    if (pieces.size() > 2) return numbersWords(block, pieces, 9);
    std::vector<std::string> items;
    for (const PieceId id : pieces) {
        const auto* piece = find(block.pieces, id);
        items.push_back(quilt::labelOf(block, id) + (piece ? " " + piece->name : ""));
    }
    return listed(items);
}

} // namespace up::words
