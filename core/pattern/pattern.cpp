// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/pattern/pattern.hpp"

#include "core/base/spoken.hpp"

#include "core/measure/say.hpp"
#include "core/pattern/figures.hpp"
#include "core/shape/arc.hpp"
#include "core/shape/contours_sorted.hpp"
#include "core/shape/fitting.hpp"

#include <algorithm>
#include <cmath>

namespace up::pattern {

using namespace shape;

namespace {

constexpr double in = 25.4;
constexpr double small = in / 16, large = 60 * in;

constexpr Measure length(std::string_view key, double usual, double least = small) {
    return {key, Unit::length, usual, least, large};
}
constexpr Measure widthOf(std::string_view key, double usual, double least = in / 32) {
    return {key, Unit::length, usual, least, large, true};
}
constexpr Measure bend(std::string_view key, double usual) {
    return {key, Unit::length, usual, -large, large};
}

constexpr Measure circleMeasures[] = {length("across", 2 * in)};
constexpr Measure ovalMeasures[] = {length("width", 2 * in), length("height", 3 * in)};
constexpr Measure ringMeasures[] = {length("across", 3 * in), widthOf("band", in / 2)};
constexpr Measure leafMeasures[] = {
    length("length", 3 * in), length("width", 1.25 * in), {"fullest", Unit::percent, 50, 15, 85}};
constexpr Measure longMeasures[] = {length("length", 2.5 * in), length("width", 1.25 * in)};
constexpr Measure heartMeasures[] = {length("width", 3 * in), length("height", 2.75 * in)};
constexpr Measure crescentMeasures[] = {length("across", 3 * in), length("thick", 0.75 * in)};
constexpr Measure starMeasures[] = {
    {"points", Unit::count, 5, 3, 60}, length("across", 3 * in), length("inner", 1.25 * in)};
constexpr Measure flowerMeasures[] = {
    {"scallops", Unit::count, 6, 3, 60}, length("across", 3 * in), length("depth", 0.5 * in, in / 32)};
constexpr Measure stripMeasures[] = {length("length", 6 * in), widthOf("width", 0.5 * in),
                                     length("corner", 0, 0)};
constexpr Measure stemMeasures[] = {length("length", 5 * in), widthOf("width", 0.375 * in),
                                    widthOf("tip", 0.25 * in, 0), bend("below", 0.5 * in),
                                    bend("above", 0.5 * in)};
constexpr Measure lineMeasures[] = {widthOf("width", 0.25 * in)};
constexpr Measure letterMeasures[] = {length("height", 2 * in, in / 8), {"part", Unit::count, 1, 1, 1000}};

/// What a length may at most be beside the others: no shape is left beyond. Of the measure with that index.
struct Bound {
    std::size_t measure;
    double most;
};

std::vector<Bound> boundsFor(RecipeKind kind, const std::vector<double>& m) {
    switch (kind) {
    case RecipeKind::ring: return {{1, m[0] * 0.49}};
    case RecipeKind::teardrop: return {{1, m[0] * 0.98}};
    case RecipeKind::crescent: return {{1, m[0] * 0.75}};
    case RecipeKind::star: return {{2, m[1] * 0.98}};
    // Scallops that are half circles are as deep as any: beyond that they would overlap.
    case RecipeKind::flower: return {{2, m[1] * 0.45}};
    case RecipeKind::strip: return {{2, std::min(m[0], m[1]) / 2}};
    case RecipeKind::stem: return {{3, m[0] / 2}, {4, m[0] / 2}};
    default: return {};
    }
}

std::string said(Unit unit, double value) {
    if (unit == Unit::length) return measure::say(measure::Length::ofMm(value), measure::System::inches);
    return std::to_string(std::lround(value)) + (unit == Unit::percent ? " %" : "");
}

/// A stem bent more tightly than it is wide crosses itself: what it covers.
Outline settled(const Outline& outline) {
    const auto sorted = sortContours({outline.edge}, Fill::nonZero);
    return sorted.outlines.empty() ? outline : sorted.outlines.front();
}

Result<Outline> alongLine(const Recipe& recipe) {
    const auto line = flattened(recipe.line, 0.01);
    const auto outlines =
        line.size() < 2 ? std::vector<Outline>{}
                        : outlinesOf(band(line, false, recipe.measures[0], Cap::butt, Join::round, 0.01));
    if (outlines.empty()) return failure(Code::noSuchShape, {spoken("stem along a line")});
    return fitted(outlines.front(), 0.02);
}

Outline figure(const Recipe& recipe) {
    const auto& m = recipe.measures;
    const auto whole = [&](std::size_t i) { return static_cast<int>(std::lround(m[i])); };
    switch (recipe.kind) {
    case RecipeKind::circle: return {ellipse({}, m[0] / 2, m[0] / 2), {}};
    case RecipeKind::oval: return {ellipse({}, m[0] / 2, m[1] / 2), {}};
    case RecipeKind::ring: return ring(m[0], m[1]);
    case RecipeKind::leaf: return leaf(m[0], m[1], m[2] / 100);
    case RecipeKind::petal: return petal(m[0], m[1]);
    case RecipeKind::teardrop: return teardrop(m[0], m[1]);
    case RecipeKind::heart: return heart(m[0], m[1]);
    case RecipeKind::crescent: return crescent(m[0], m[1]);
    case RecipeKind::star: return star(whole(0), m[1], m[2]);
    case RecipeKind::flower: return flower(whole(0), m[1], m[2]);
    case RecipeKind::strip: return strip(m[0], m[1], m[2]);
    case RecipeKind::stem: return settled(stem(m[0], m[1], m[2], m[3], m[4]));
    case RecipeKind::line:
    case RecipeKind::letter: break;
    }
    return {};
}

} // namespace

std::span<const Measure> measuresOf(RecipeKind kind) {
    switch (kind) {
    case RecipeKind::circle: return circleMeasures;
    case RecipeKind::oval: return ovalMeasures;
    case RecipeKind::ring: return ringMeasures;
    case RecipeKind::leaf: return leafMeasures;
    case RecipeKind::petal:
    case RecipeKind::teardrop: return longMeasures;
    case RecipeKind::heart: return heartMeasures;
    case RecipeKind::crescent: return crescentMeasures;
    case RecipeKind::star: return starMeasures;
    case RecipeKind::flower: return flowerMeasures;
    case RecipeKind::strip: return stripMeasures;
    case RecipeKind::stem: return stemMeasures;
    case RecipeKind::line: return lineMeasures;
    case RecipeKind::letter: return letterMeasures;
    }
    return {};
}

Recipe usualRecipe(RecipeKind kind) {
    Recipe recipe;
    recipe.kind = kind;
    for (const auto& measure : measuresOf(kind))
        recipe.measures.push_back(measure.usual);
    return recipe;
}

Result<void> validate(const Recipe& recipe) {
    const auto measures = measuresOf(recipe.kind);
    if (recipe.measures.size() != measures.size())
        return failure(Code::noSuchShape, {spoken("built-in shape")});
    const auto expect = [&](std::size_t i, double least, double most) -> Result<void> {
        const double value = recipe.measures[i];
        if (std::isfinite(value) && value >= least - 1e-9 && value <= most + 1e-9) return {};
        return failure(Code::measureOut, {std::string(measures[i].key), said(measures[i].unit, least),
                                          said(measures[i].unit, most)});
    };
    for (std::size_t i = 0; i < measures.size(); ++i)
        if (auto ok = expect(i, measures[i].least, measures[i].most); !ok) return ok;
    for (const auto& [i, most] : boundsFor(recipe.kind, recipe.measures))
        if (auto ok = expect(i, std::max(measures[i].least, -most), most); !ok) return ok;
    return {};
}

Result<Outline> outlineOf(const Recipe& recipe) {
    if (auto ok = validate(recipe); !ok) return tl::unexpected(ok.error());
    if (recipe.kind == RecipeKind::letter) return failure(Code::noSuchShape, {spoken("letter")});
    const auto outline =
        recipe.kind == RecipeKind::line ? alongLine(recipe) : Result<Outline>(figure(recipe));
    return outline.map([&](const Outline& upright) { return transformed(upright, recipe.at); });
}

Recipe remapped(const Recipe& recipe, const Transform& by, bool keepWidths) {
    const double factor = std::sqrt(std::abs(by.determinant()));
    if (!(factor > 0)) return recipe;
    const auto measures = measuresOf(recipe.kind);
    Recipe out = recipe;
    for (std::size_t i = 0; i < out.measures.size() && i < measures.size(); ++i)
        if (measures[i].unit == Unit::length && !(keepWidths && measures[i].isWidth))
            out.measures[i] *= factor;
    if (!out.line.curves.empty()) out.line = transformed(out.line, Transform::scale(factor, factor));
    out.at = by * recipe.at * Transform::scale(1 / factor, 1 / factor);
    return out;
}

bool hasWidth(const Recipe& recipe) {
    const auto measures = measuresOf(recipe.kind);
    return std::any_of(measures.begin(), measures.end(), [](const auto& m) { return m.isWidth; });
}

} // namespace up::pattern
