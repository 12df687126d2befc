// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stash/stash_search.hpp"

#include "core/base/lab.hpp"
#include "core/bond/bond.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace up::plan {
namespace {

/// How a colour looks, in cylinder coordinates of CIELAB.
struct Hue {
    double lightness = 0, chroma = 0, degrees = 0; ///< 0° red-purple, 90° yellow
};

Hue hueOf(Colour colour) {
    const auto lab = labOf(colour);
    const double turn = std::atan2(lab.b, lab.a) * 180 / std::numbers::pi;
    return {lab.lightness, std::hypot(lab.a, lab.b), turn < 0 ? turn + 360 : turn};
}

std::string lowered(std::string text) {
    std::transform(text.begin(), text.end(), text.begin(),
                   [](char c) { return c >= 'A' && c <= 'Z' ? static_cast<char>(c - 'A' + 'a') : c; });
    return text;
}

bool isSaid(const std::string& lowerCase, const std::string& word) {
    return lowerCase.find(lowered(word)) != std::string::npos;
}

} // namespace

bool isCalled(Colour colour, ColourWord word) {
    const auto c = hueOf(colour);
    constexpr double greyest = 10, clearlyColoured = 6; // of chroma: between them both words do
    const bool hasHue = c.chroma >= clearlyColoured;
    const auto from = [&](double least, double most) {
        return hasHue && (least < most ? c.degrees >= least && c.degrees <= most
                                       : c.degrees >= least || c.degrees <= most);
    };
    switch (word) {
    case ColourWord::white: return c.lightness >= 82 && c.chroma < 20;
    case ColourWord::grey: return c.chroma < greyest && c.lightness >= 18 && c.lightness <= 90;
    case ColourWord::black: return c.lightness <= 22 && c.chroma < 14;
    case ColourWord::red: // dull ones towards yellow are brown
        return from(348, 48) && c.lightness <= 62 && (c.chroma >= 22 || from(348, 25));
    case ColourWord::orange: return from(45, 78) && c.lightness >= 38 && c.chroma >= 20;
    case ColourWord::yellow: return from(76, 115) && c.lightness >= 58 && c.chroma >= 18;
    case ColourWord::green: return from(106, 186) || (from(92, 186) && c.lightness <= 60); // olive
    case ColourWord::turquoise: return from(178, 232);
    case ColourWord::blue: return from(222, 312);
    case ColourWord::purple: return from(302, 350) && c.lightness <= 92;
    case ColourWord::pink: return from(325, 60) && c.lightness >= 52 && c.chroma >= 8;
    case ColourWord::brown: // glowing ones are orange, light ones yellow
        return from(25, 108) && c.lightness <= 82 && c.chroma <= 42 + c.lightness / 2 &&
               (c.lightness <= 70 || c.chroma <= 30);
    }
    return false;
}

bool suits(const StashSearch& search, const AtHand& thing) {
    const auto said = lowered(thing.said);
    if (!std::all_of(search.words.begin(), search.words.end(),
                     [&](const auto& word) { return isSaid(said, word); }))
        return false;
    const auto isOfIt = [&](const auto& colour) {
        return isSaid(said, colour.first) || (thing.colour && isCalled(*thing.colour, colour.second));
    };
    if (!std::all_of(search.colours.begin(), search.colours.end(), isOfIt)) return false;
    if (search.light) {
        if (!thing.colour) return false;
        const double lightness = labOf(*thing.colour).lightness;
        if (*search.light ? lightness < 60 : lightness >= 50) return false;
    }
    return !search.atLeast || holds(thing.area, *search.atLeast);
}

bool holds(const shape::Region& area, const measure::Size& rectangle) {
    if (area.isEmpty()) return false;
    const auto box = area.bounds();
    const double wide = rectangle.width.mm(), high = rectangle.height.mm();
    constexpr double hair = 0.5; // mm
    const double rest = area.area();
    if (wide * high > rest + hair) return false;
    const bool square = rest > box.width() * box.height() - hair;
    const double longer = std::max(wide, high), shorter = std::min(wide, high);
    const double length = std::max(box.width(), box.height()), breadth = std::min(box.width(), box.height());
    if (square && longer <= length + hair && shorter <= breadth + hair) return true;
    if (longer > std::hypot(length, breadth) + hair) return false;
    bond::Task task{};
    task.margin = 0;
    task.cloths.push_back({area, std::nullopt});
    task.chunks.push_back({shape::rectangle({0, 0, wide - hair, high - hair}), std::nullopt});
    return bond::hasRoom(task);
}

} // namespace up::plan
