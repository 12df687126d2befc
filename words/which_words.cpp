// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/which_words.hpp"

#include "words/translated.hpp"

#include <cstdlib>

namespace up::words {
namespace {

/// Nothing of it has words of its own.
std::string counted(const std::string& number, const char* none, const Plural& some) {
    const auto n = std::strtoul(number.c_str(), nullptr, 10);
    return n == 0 ? tr(none) : said(some, n);
}

std::string factWords(const plan::Fact& fact) {
    using plan::Trait;
    switch (fact.trait) {
    case Trait::fabric: return said(N_("fabric {0}"), fact.args);
    case Trait::holes: return counted(fact.args.at(0), N_("no holes"), N2_("{0} hole", "{0} holes"));
    case Trait::points: return counted(fact.args.at(0), N_("no corners"), N2_("{0} corner", "{0} corners"));
    case Trait::fullness: return said(N_("fills {0} % of its box"), fact.args);
    case Trait::ownMirror: return tr("the same turned over");
    case Trait::mirrorOf: return said(N_("mirror image of {0}"), fact.args);
    case Trait::sameAs: return said(N_("the same as {0}: either will do"), fact.args);
    }
    return "";
}

} // namespace

std::string factsWords(const std::vector<plan::Fact>& facts) {
    std::string out;
    for (const auto& fact : facts)
        out = out.empty() ? factWords(fact) : said(N_("{0}; {1}"), {out, factWords(fact)});
    return out;
}

std::string fitWords(const plan::Candidate& candidate, measure::System units) {
    if (candidate.fits) return tr("fits");
    const auto off = measure::Length::ofMm(candidate.off);
    return said(N_("{0} off"), {units == measure::System::inches ? measure::fraction(off) + " in"
                                                                 : measure::sayMetric(off)});
}

} // namespace up::words
