// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/letters/letter_shapes.hpp"

#include "core/base/spoken.hpp"
#include "core/pattern/pattern.hpp"
#include "core/shape/contours_sorted.hpp"

#include <cmath>

namespace up::intake {
namespace {

using quilt::Recipe;
using shape::Box;
using shape::Outline;
using shape::Point;
using shape::Transform;

constexpr double asked = 100;     // the em while measuring, mm
constexpr double leastArea = 0.5; // mm²: less is no piece of cloth

Box boxOf(const std::vector<Outline>& outlines) {
    Box box;
    for (const auto& outline : outlines)
        box.take(boundsOf(outline));
    return box;
}

/// The parts of a text, largest first, where it is written.
std::vector<Outline> partsOf(const Lettering& written) {
    std::vector<shape::Contour> contours;
    for (const auto& letter : written.letters)
        contours.insert(contours.end(), letter.contours.begin(), letter.contours.end());
    return sortContours(contours, shape::Fill::nonZero, leastArea).outlines;
}

Typeface typefaceOf(const Recipe& recipe) {
    return {recipe.family, recipe.bold, recipe.italic};
}

} // namespace

double emFor(const Typeface& typeface, double height) {
    Box box;
    for (const auto& letter : lettering("H", typeface, asked).letters)
        for (const auto& contour : letter.contours)
            box.take(boundsOf(contour));
    return box.isEmpty() ? height : asked * height / box.height();
}

std::vector<LetterShape> letterShapes(const std::string& text, const Typeface& typeface, double height,
                                      bool together, Point middle) {
    const auto line = lettering(text, typeface, emFor(typeface, height));
    std::vector<Lettering> units;
    if (together)
        units.push_back(line);
    else
        for (const auto& letter : line.letters)
            units.push_back({{letter}, 0});
    std::vector<LetterShape> out;
    Box all;
    for (const auto& unit : units) {
        const auto parts = partsOf(unit);
        const auto own = boxOf(parts);
        all.take(own);
        for (std::size_t i = 0; i < parts.size(); ++i) {
            Recipe recipe{};
            recipe.kind = quilt::RecipeKind::letter;
            recipe.measures = {height, static_cast<double>(i + 1)};
            recipe.text = together ? text : unit.letters.front().text;
            recipe.family = typeface.family, recipe.bold = typeface.bold, recipe.italic = typeface.italic;
            recipe.at = Transform::moveBy(own.centre().x, own.centre().y);
            out.push_back(
                {i == 0 ? recipe.text : recipe.text + " " + std::to_string(i + 1), recipe, parts[i]});
        }
    }
    const auto home = Transform::moveBy(middle.x - all.centre().x, middle.y - all.centre().y);
    for (auto& made : out) {
        made.outline = transformed(made.outline, home);
        made.recipe.at = home * made.recipe.at;
    }
    return out;
}

Result<Outline> recipeOutline(const Recipe& recipe) {
    if (recipe.kind != quilt::RecipeKind::letter) return pattern::outlineOf(recipe);
    if (auto ok = pattern::validate(recipe); !ok) return tl::unexpected(ok.error());
    const auto parts =
        partsOf(lettering(recipe.text, typefaceOf(recipe), emFor(typefaceOf(recipe), recipe.measures[0])));
    const auto part = static_cast<std::size_t>(std::lround(recipe.measures[1]));
    if (part > parts.size()) return failure(Code::noSuchShape, {spoken("letter “{0}”", {recipe.text})});
    const auto middle = boxOf(parts).centre();
    return transformed(parts[part - 1], recipe.at * Transform::moveBy(-middle.x, -middle.y));
}

} // namespace up::intake
