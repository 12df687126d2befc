// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/stash_words.hpp"

#include "core/base/text.hpp"
#include "core/bond/bond.hpp"
#include "words/translated.hpp"

#include <algorithm>
#include <sstream>

namespace up::words {
namespace {

using plan::ColourWord;

/// Several words for one colour are parted by "|".
const char* calledAs(ColourWord colour) {
    switch (colour) {
    case ColourWord::white: return N_("white|cream|ecru");
    case ColourWord::grey: return N_("grey|gray|silver");
    case ColourWord::black: return N_("black");
    case ColourWord::red: return N_("red");
    case ColourWord::orange: return N_("orange");
    case ColourWord::yellow: return N_("yellow|gold");
    case ColourWord::green: return N_("green");
    case ColourWord::turquoise: return N_("turquoise|teal");
    case ColourWord::blue: return N_("blue");
    case ColourWord::purple: return N_("purple|violet");
    case ColourWord::pink: return N_("pink");
    case ColourWord::brown: return N_("brown|tan");
    }
    return "";
}

std::vector<std::string> partsOf(const std::string& text, char mark) {
    std::vector<std::string> out;
    std::istringstream stream(text);
    for (std::string part; std::getline(stream, part, mark);)
        if (const auto word = trimmed(part); !word.empty()) out.emplace_back(word);
    return out;
}

bool isOneOf(const std::string& word, const char* words) {
    const auto all = partsOf(tr(words), '|');
    return std::any_of(all.begin(), all.end(), [&](const auto& other) { return sameName(word, other); });
}

bool mayBeginSize(const std::string& word) {
    return word.find_first_of("0123456789") != std::string::npos || word.starts_with("½") ||
           word.starts_with("¼") || word.starts_with("¾");
}

/// Takes the longest run of words that is a size out of them: two sides, a unit, or after "at least".
std::optional<measure::Size> takeSize(std::vector<std::string>& words, bool asked, measure::System units) {
    for (std::size_t first = 0; first < words.size(); ++first) {
        if (!mayBeginSize(words[first])) continue;
        for (std::size_t end = words.size(); end > first; --end) {
            std::string text;
            for (std::size_t i = first; i < end; ++i)
                text += (i > first ? " " : "") + words[i];
            const auto size = measure::readSize(text, units);
            const bool alone = end == first + 1 && numberIn(text).has_value();
            if (!size || (alone && !asked)) continue;
            words.erase(words.begin() + static_cast<std::ptrdiff_t>(first),
                        words.begin() + static_cast<std::ptrdiff_t>(end));
            return *size;
        }
    }
    return std::nullopt;
}

} // namespace

plan::StashSearch searchOf(const std::string& text, measure::System units) {
    std::string plain = text;
    std::replace(plain.begin(), plain.end(), ',', ' ');
    bool asked = false;
    for (const auto& phrase : partsOf(tr(N_("at least|or more|larger than")), '|'))
        if (const auto at = plain.find(phrase); at != std::string::npos) {
            plain.replace(at, phrase.size(), " ");
            asked = true;
        }
    auto words = partsOf(plain, ' ');
    plan::StashSearch out;
    out.atLeast = takeSize(words, asked, units);
    for (const auto& word : words) {
        if (isOneOf(word, N_("light|pale"))) {
            out.light = true;
        } else if (isOneOf(word, N_("dark|deep"))) {
            out.light = false;
        } else {
            const auto colours = every<ColourWord>();
            const auto at = std::find_if(colours.begin(), colours.end(),
                                         [&](ColourWord colour) { return isOneOf(word, calledAs(colour)); });
            if (at != colours.end())
                out.colours.emplace_back(word, *at);
            else
                out.words.push_back(word);
        }
    }
    return out;
}

std::string leftWords(const quilt::Thread& thread) {
    const auto metres = [](measure::Length length) { return plainNumber(length.mm() / 1000, 0); };
    std::string out;
    if (thread.spool) out = said(N_("{0} m on the spool"), {metres(*thread.spool)});
    if (thread.bobbin)
        out += (out.empty() ? "" : "\n") + said(N_("{0} m on bobbins"), {metres(*thread.bobbin)});
    return out;
}

std::string stockWords(const quilt::Web& web, measure::System units) {
    const auto size = measure::saySize(web.width, web.length(), units);
    return web.packet() ? said(N2_("{0} sheet {1}", "{0} sheets {1}"),
                               static_cast<std::size_t>(web.packet()->sheets), {size})
                        : said(N_("roll {0}"), {size});
}

std::string wantWords(const quilt::Quilt& quilt, const quilt::Want& want) {
    const auto* fabric = find(quilt.fabrics, want.fabric);
    const auto* block = find(quilt.blocks, want.block);
    const auto piece = said(N_("{0} of {1}"), {measure::saySize(want.width, want.height, quilt.units),
                                               fabric ? fabric->name : ""});
    return block ? said(N_("{0}, for {1}"), {piece, block->name}) : piece;
}

std::string holdsWords(const shape::Region& free, measure::System units) {
    const auto all = free.bounds();
    constexpr double square = 0.98, worth = 25; // of its box; mm
    if (free.isEmpty() || free.area() > square * all.width() * all.height()) return "";
    constexpr int cells = 200; // of a dozen cloths, whenever they are shown
    const auto box = bond::largestRectangle(free, cells);
    if (box.isEmpty() || box.width() < worth || box.height() < worth) return "";
    const auto down = [](double mm) { return measure::Length::ofInches(static_cast<int>(mm / 6.35), 4); };
    return said(N_("holds {0}"), {measure::saySize(down(box.width()), down(box.height()), units)});
}

std::string purposeWords(quilt::Purpose purpose) {
    switch (purpose) {
    case quilt::Purpose::stabiliser: return tr(N_("stabiliser"));
    case quilt::Purpose::batting: return tr(N_("batting"));
    }
    return "";
}

} // namespace up::words
