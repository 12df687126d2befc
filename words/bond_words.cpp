// SPDX-License-Identifier: GPL-3.0-or-later
#include "words/bond_words.hpp"

#include "core/measure/say.hpp"
#include "words/translated.hpp"

namespace up::words {

std::string liesWords(plan::Lies lies) {
    switch (lies) {
    case plan::Lies::well: return "";
    case plan::Lies::offCloth: return tr("too near the edge of the cloth: glue would reach the ironing pad");
    case plan::Lies::onAnother: return tr("too near another chunk");
    case plan::Lies::stripesWrong: return tr("the print runs the wrong way");
    case plan::Lies::otherFabric: return tr("this is another fabric");
    }
    return "";
}

std::string leftWords(const quilt::Quilt& quilt, const plan::ClothUse& use) {
    shape::Box largest;
    for (const auto& part : use.left)
        if (const auto box = bond::largestRectangle(part);
            largest.isEmpty() || box.width() * box.height() > largest.width() * largest.height())
            largest = box;
    constexpr double worth = 25; // mm
    if (largest.isEmpty() || largest.height() < worth || largest.width() < worth) return tr("little is left");
    const auto down = [](double mm) { return measure::Length::ofInches(static_cast<int>(mm / 6.35), 4); };
    return said(N_("leaves {0}"),
                {measure::saySize(down(largest.width()), down(largest.height()), quilt.units)});
}

std::string shortWords(const quilt::Quilt& quilt, const plan::Chunk& chunk, const plan::ChunkShort& missing) {
    const auto* fabric = find(quilt.fabrics, chunk.fabric);
    const std::string name = fabric ? fabric->name : tr("no fabric");
    const auto needs = measure::saySize(missing.width, missing.height, quilt.units);
    const auto largest =
        missing.largest ? measure::saySize(missing.largest->width, missing.largest->height, quilt.units) : "";
    switch (missing.why) {
    case plan::WhyShort::notInStash:
        if (quilt.cloths.empty()) return said(N_("a patch of at least {0}"), {needs});
        return said(N_("{0} of {1}; there is none in the stash"), {needs, name});
    case plan::WhyShort::notLaid: return said(N_("{0} of {1}, not laid on cloth yet"), {needs, name});
    case plan::WhyShort::usedUp:
        return said(N_("{0} of {1}; other chunks take the room there is, the largest is {2}"),
                    {needs, name, largest});
    case plan::WhyShort::printWrong:
        return said(N_("{0} of {1}; on the cloth there is, {2}, the print would run the wrong way"),
                    {needs, name, largest});
    case plan::WhyShort::tooSmall: return said(N_("{0} of {1}; the largest is {2}"), {needs, name, largest});
    }
    return "";
}

} // namespace up::words
