// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/store/codec.hpp"

#include "core/pattern/pattern.hpp"
#include "core/store/time.hpp"

namespace up::store {

void fromJson(const Node& node, Bounds, std::string& out) {
    out = node.text();
}
void fromJson(const Node& node, Bounds, bool& out) {
    out = node.yes();
}
void fromJson(const Node& node, Bounds bounds, int& out) {
    out = static_cast<int>(
        node.whole(static_cast<std::int64_t>(bounds.least), static_cast<std::int64_t>(bounds.most)));
}
void fromJson(const Node& node, Bounds bounds, std::uint32_t& out) {
    out = static_cast<std::uint32_t>(
        node.whole(static_cast<std::int64_t>(bounds.least), static_cast<std::int64_t>(bounds.most)));
}
void fromJson(const Node& node, Bounds, std::int64_t& out) {
    const auto time = readTime(node.text());
    if (!time) node.complain("a time such as 2026-03-01T19:30:00Z");
    out = *time;
}
void fromJson(const Node& node, Bounds bounds, double& out) {
    out = node.number(bounds.least, bounds.most);
}
void fromJson(const Node& node, Bounds bounds, measure::Length& out) {
    out = measure::Length::ofMm(node.number(bounds.least, bounds.most));
}
void fromJson(const Node& node, Bounds bounds, measure::Angle& out) {
    out = measure::Angle::ofDegrees(node.number(bounds.least, bounds.most));
}
void fromJson(const Node& node, Bounds, Colour& out) {
    const auto colour = colourFromHex(node.text());
    if (!colour) node.complain("a colour such as #27496d");
    out = *colour;
}

void fromJson(const Node& node, Bounds, std::vector<double>& out) {
    for (const auto& number : node.items())
        out.push_back(number.number(-1e9, 1e9));
}
void fromJson(const Node& node, Bounds bounds, std::vector<Colour>& out) {
    for (const auto& colour : node.items())
        fromJson(colour, bounds, out.emplace_back());
}
shape::Ring ringFrom(const Node& node) {
    shape::Ring out;
    for (const auto& point : node.items()) {
        const auto at = point.items();
        if (at.size() != 2) point.complain("two numbers");
        out.push_back({at[0].number(-1e5, 1e5), at[1].number(-1e5, 1e5)});
    }
    if (out.size() < 3) node.complain("at least three points");
    return out;
}
void fromJson(const Node& node, Bounds bounds, std::vector<shape::Point>& out) {
    for (const auto& point : node.items()) {
        const auto at = point.items();
        if (at.size() != 2) point.complain("two numbers");
        out.push_back({at[0].number(bounds.least, bounds.most), at[1].number(bounds.least, bounds.most)});
    }
}
shape::Rings ringsFrom(const Node& owner) {
    shape::Rings rings{ringFrom(owner.at("outline"))};
    if (owner.has("holes"))
        for (const auto& hole : owner.at("holes").items())
            rings.push_back(ringFrom(hole));
    return rings;
}
void fromJson(const Node& node, Bounds, shape::Rings& out) {
    for (const auto& ring : node.items())
        out.push_back(ringFrom(ring));
    if (out.empty()) node.complain("at least one ring");
}

namespace {

std::vector<shape::Contour> contoursFrom(const Node& node, bool closed) {
    std::vector<shape::Contour> out;
    for (const auto& item : node.items())
        out.push_back(contourFrom(item, closed));
    return out;
}

Json contoursTo(const std::vector<shape::Contour>& all) {
    Json out = Json::array();
    for (const auto& contour : all)
        out.push_back(contourToJson(contour));
    return out;
}

} // namespace

void fromJson(const Node& node, Bounds, Shared<std::vector<shape::Contour>>& out) {
    out = contoursFrom(node, false);
}

void fromAmong(const Node& owner, Shared<shape::Outline>& out) {
    out = shape::Outline{contourFrom(owner.at("outline"), true), contoursFrom(owner.at("holes"), true)};
    if (out->edge.curves.empty()) owner.at("outline").complain("a closed outline");
}

bool isKnown(const Node& owner, std::string_view key, const quilt::Recipe*) {
    const auto& recipe = owner.raw()[std::string(key)];
    if (!recipe.is_object() || !recipe.contains("kind")) return false;
    const auto& kind = recipe["kind"];
    return !kind.is_string() || fromKey<quilt::RecipeKind>(kind.get<std::string>());
}

void fromJson(const Node& node, Bounds, quilt::Recipe& out) {
    const auto kind = fromKey<quilt::RecipeKind>(node.at("kind").text());
    if (!kind) node.at("kind").complain("the kind of a built-in shape");
    out = pattern::usualRecipe(*kind);
    const auto measures = pattern::measuresOf(*kind);
    const auto given = node.at("measures");
    for (std::size_t i = 0; i < measures.size(); ++i)
        if (const std::string key(measures[i].key); given.has(key)) out.measures[i] = given.at(key).number();
    if (*kind == quilt::RecipeKind::letter) {
        const auto letter = node.at("letter");
        out.text = letter.at("text").text(), out.family = letter.at("family").text();
        out.bold = letter.at("bold").yes(), out.italic = letter.at("italic").yes();
    }
    if (*kind == quilt::RecipeKind::line) out.line = contourFrom(node.at("line"), false);
    const auto at = node.at("at").items();
    if (at.size() != 6) node.at("at").complain("six numbers");
    out.at = {at[0].number(), at[1].number(), at[2].number(), at[3].number(), at[4].number(), at[5].number()};
}

Json toJson(const std::string& text) {
    return text;
}
Json toJson(bool yes) {
    return yes;
}
Json toJson(int number) {
    return number;
}
Json toJson(std::uint32_t number) {
    return number;
}
Json toJson(std::int64_t time) {
    return writeTime(time);
}
Json toJson(double number) {
    return number;
}
Json toJson(const std::vector<double>& numbers) {
    return numbers;
}
Json toJson(measure::Length length) {
    return length.mm();
}
Json toJson(measure::Angle angle) {
    return angle.degrees();
}
Json toJson(Colour colour) {
    return hex(colour);
}

Json toJson(const std::vector<Colour>& colours) {
    Json out = Json::array();
    for (const auto colour : colours)
        out.push_back(hex(colour));
    return out;
}

Json ringToJson(const shape::Ring& ring) {
    Json out = Json::array();
    for (const auto& p : ring)
        out.push_back({p.x, p.y});
    return out;
}

Json toJson(const std::vector<shape::Point>& points) {
    return ringToJson(points);
}
Json toJson(const shape::Rings& rings) {
    Json out = Json::array();
    for (const auto& ring : rings)
        out.push_back(ringToJson(ring));
    return out;
}

Json toJson(const Shared<std::vector<shape::Contour>>& contours) {
    return contoursTo(*contours);
}

void toAmong(Json& owner, const Shared<shape::Outline>& outline) {
    owner["outline"] = contourToJson(outline->edge);
    owner["holes"] = contoursTo(outline->holes);
}

/// Measures by name: those that a kind gets later do not shift the others.
Json toJson(const quilt::Recipe& recipe) {
    Json out{{"kind", keyOf(recipe.kind)}, {"measures", Json::object()}};
    const auto measures = pattern::measuresOf(recipe.kind);
    for (std::size_t i = 0; i < measures.size() && i < recipe.measures.size(); ++i)
        out["measures"][std::string(measures[i].key)] = recipe.measures[i];
    if (recipe.kind == quilt::RecipeKind::letter)
        out["letter"] = {{"text", recipe.text},
                         {"family", recipe.family},
                         {"bold", recipe.bold},
                         {"italic", recipe.italic}};
    if (recipe.kind == quilt::RecipeKind::line) out["line"] = contourToJson(recipe.line);
    const auto& at = recipe.at;
    out["at"] = Json::array({at.a, at.b, at.c, at.d, at.e, at.f});
    return out;
}

} // namespace up::store
