// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/which_words.hpp"

namespace up::words {
namespace {

std::string counted(const std::string& number, const std::string& one, const std::string& many) {
    return number == "0" ? "no " + many : number == "1" ? "1 " + one : number + " " + many;
}

std::string factWords(const plan::Fact& fact) {
    using plan::Trait;
    switch (fact.trait) {
    case Trait::fabric: return "fabric " + fact.args.at(0);
    case Trait::holes: return counted(fact.args.at(0), "hole", "holes");
    case Trait::points: return counted(fact.args.at(0), "corner", "corners");
    case Trait::fullness: return "fills " + fact.args.at(0) + " % of its box";
    case Trait::ownMirror: return "the same turned over";
    case Trait::mirrorOf: return "mirror image of " + fact.args.at(0);
    case Trait::sameAs: return "the same as " + fact.args.at(0) + ": either will do";
    }
    return "";
}

} // namespace

std::string factsWords(const std::vector<plan::Fact>& facts) {
    std::string out;
    for (const auto& fact : facts)
        out += (out.empty() ? "" : "; ") + factWords(fact);
    return out;
}

std::string fitWords(const plan::Candidate& candidate, measure::System units) {
    if (candidate.fits) return "fits";
    const auto off = measure::Length::ofMm(candidate.off);
    return (units == measure::System::inches ? measure::fraction(off) + " in" : measure::sayMetric(off)) +
           " off";
}

} // namespace up::words
