// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/walker.hpp"

#include "core/base/job.hpp"
#include "intake/svg/basic_shapes.hpp"
#include "intake/svg/clip.hpp"
#include "intake/svg/names.hpp"
#include "intake/svg/text.hpp"

#include <algorithm>
#include <set>

namespace up::intake {

using quilt::Remark;
using shape::Transform;

namespace {

constexpr int deepest = 200;                  // groups in groups
constexpr std::size_t mostElements = 500'000; // visited, copies counted each time
constexpr std::size_t mostCopied = 70'000;    // of these, within copies; more than `mostShapes` need

/// Definitions, notes and movement: nothing of it is painted where it stands.
bool isSilent(std::string_view name) {
    static const std::set<std::string_view> names{
        "defs",           "metadata",       "title",      "desc",
        "style",          "symbol",         "clipPath",   "mask",
        "linearGradient", "radialGradient", "pattern",    "filter",
        "marker",         "script",         "animate",    "set",
        "animateColor",   "animateMotion",  "font",       "font-face",
        "cursor",         "view",           "solidColor", "animateTransform",
        "meshgradient",   "color-profile",  "hatch"};
    return names.count(name) > 0;
}

std::string_view prefixOf(const pugi::xml_node& node) {
    const std::string_view name = node.name();
    const auto colon = name.find(':');
    return name.substr(0, colon == std::string_view::npos ? 0 : colon);
}

} // namespace

bool Journey::goesRound(const pugi::xml_node& node, const pugi::xml_node& target) const {
    if (std::find(open.begin(), open.end(), target) != open.end()) return true;
    for (auto up = node; up; up = up.parent())
        if (up == target) return true;
    return false;
}

/// Counts an element; true from where on no more are looked at.
bool Walker::isTooMuch(const Setting& outer) {
    const bool copy = outer.uses > 0;
    m_journey.visited += 1, m_journey.copied += copy ? 1 : 0;
    if (m_journey.visited == mostElements + 1 || (copy && m_journey.copied == mostCopied + 1))
        m_listener.leftOut(Remark::endlessLeftOut);
    return m_journey.visited > mostElements || (copy && m_journey.copied > mostCopied);
}

void Walker::children(const pugi::xml_node& parent, const Setting& setting) {
    if (setting.depth >= deepest) return m_listener.leftOut(Remark::endlessLeftOut);
    Setting inner = setting;
    ++inner.depth;
    for (const auto& node : parent.children())
        if (node.type() == pugi::node_element) element(node, inner);
}

void Walker::element(const pugi::xml_node& node, const Setting& outer) {
    breathe();
    const auto name = localName(node);
    // Elements of other name spaces are notes of other programs to themselves.
    const auto prefix = prefixOf(node);
    const bool foreign = !prefix.empty() && prefix != "svg" && prefix != prefixOf(m_document.root());
    if (isSilent(name) || foreign || m_listener.isFull()) return;
    if (isTooMuch(outer)) return;
    Setting inner = outer;
    inner.style = styleOf(m_document, node, outer.style, outer.viewport.diagonal());
    if (!inner.style.shown) return;
    inner.at = outer.at * transformIn(node.attribute("transform").value()).value_or(Transform{});
    if (!inner.style.clip.empty() || !inner.style.mask.empty()) clipBy(node, inner);
    if (name == "g" || name == "a") return group(node, inner);
    if (name == "svg") return nested(node, inner, {}, {});
    if (name == "switch") return firstThatSuits(node, inner);
    if (name == "use") return use(node, inner);
    if (name == "text") return text(node, inner);
    if (name == "image") return m_listener.leftOut(Remark::imageLeftOut);
    auto contours = contoursOf(node, inner.viewport, inner.style.font.size);
    if (!contours) return m_listener.leftOutUnknown(std::string(name));
    if (!inner.style.visible || contours->empty()) return;
    for (auto& contour : *contours)
        contour = transformed(contour, inner.at);
    m_listener.shape(nameOf(node, inner.group), std::move(*contours), inner);
}

void Walker::group(const pugi::xml_node& node, Setting& inner) {
    if (const auto label = labelOf(node); !label.empty()) inner.group = label;
    children(node, inner);
}

/// The first child that asks for no extension and for no other language than English.
void Walker::firstThatSuits(const pugi::xml_node& node, const Setting& inner) {
    for (const auto& child : node.children()) {
        if (child.type() != pugi::node_element || localName(child) == "foreignObject") continue;
        const std::string_view needs = child.attribute("requiredExtensions").value(),
                               speaks = child.attribute("systemLanguage").value();
        if (needs.empty() && (speaks.empty() || speaks.starts_with("en"))) return element(child, inner);
    }
}

/// An `<svg>` or `<symbol>` with its own page; `width` and `height` where a `<use>` gives them.
void Walker::nested(const pugi::xml_node& node, Setting inner, std::string_view width,
                    std::string_view height) {
    const Viewport around = inner.viewport;
    const auto side = [&](std::string_view given, const char* key, double whole) {
        const auto v = lengthIn(given, whole);
        return v ? *v : lengthIn(node.attribute(key).value(), whole).value_or(whole);
    };
    const double w = side(width, "width", around.width), h = side(height, "height", around.height);
    if (w <= 0 || h <= 0) return;
    if (localName(node) == "svg")
        inner.at =
            inner.at * Transform::moveBy(lengthIn(node.attribute("x").value(), around.width).value_or(0),
                                         lengthIn(node.attribute("y").value(), around.height).value_or(0));
    const auto own = m_document.propertiesOf(node);
    const auto overflow = own.find("overflow");
    if (overflow == own.end() || overflow->second == "hidden" || overflow->second == "scroll")
        inner.clip = narrowed(inner.clip, rectangleClip(w, h, inner.at, m_tolerance));
    inner.viewport = viewportOf(node, w, h);
    inner.at = inner.at * inner.viewport.place;
    group(node, inner);
}

void Walker::use(const pugi::xml_node& node, Setting inner) {
    const auto target = m_document.linked(node);
    if (!target) return m_listener.leftOut(Remark::missingLeftOut);
    if (++inner.uses > deepestUse || m_journey.goesRound(node, target))
        return m_listener.leftOut(Remark::endlessLeftOut);
    inner.at = inner.at *
               Transform::moveBy(lengthIn(node.attribute("x").value(), inner.viewport.width).value_or(0),
                                 lengthIn(node.attribute("y").value(), inner.viewport.height).value_or(0));
    if (const auto label = labelOf(node); !label.empty()) inner.group = label;
    inner.isGlyph = std::string_view(target.attribute("id").value()).starts_with("glyph");
    m_journey.open.push_back(target);
    copy(target, node, std::move(inner));
    m_journey.open.pop_back();
}

void Walker::copy(const pugi::xml_node& target, const pugi::xml_node& node, Setting inner) {
    const auto kind = localName(target);
    if (kind != "symbol" && kind != "svg") return element(target, inner);
    inner.style = styleOf(m_document, target, inner.style, inner.viewport.diagonal());
    inner.at = inner.at * transformIn(target.attribute("transform").value()).value_or(Transform{});
    if (inner.style.shown)
        nested(target, inner, node.attribute("width").value(), node.attribute("height").value());
}

void Walker::text(const pugi::xml_node& node, const Setting& inner) {
    const auto written = writtenIn(m_document, node, inner.style, inner.viewport);
    if (written.empty()) m_listener.leftOut(Remark::textLeftOut);
    m_listener.wrote(static_cast<int>(written.size()), inner.at.determinant() < 0);
    for (const auto& one : written) {
        if (!one.style.visible) continue;
        Setting setting = inner;
        setting.style = one.style;
        std::vector<shape::Contour> contours;
        for (const auto& contour : one.letter.contours)
            contours.push_back(transformed(contour, inner.at));
        m_listener.shape(one.letter.text, std::move(contours), setting);
    }
}

void Walker::clipBy(const pugi::xml_node& node, Setting& inner) {
    if (inner.uses >= deepestUse) return m_listener.leftOut(Remark::endlessLeftOut);
    for (const auto& reference : {inner.style.clip, inner.style.mask}) {
        const auto source = reference.empty() ? pugi::xml_node() : m_document.referred(reference);
        if (localName(source) != "clipPath" && localName(source) != "mask") continue;
        if (m_journey.goesRound(node, source)) {
            m_listener.leftOut(Remark::endlessLeftOut);
            continue;
        }
        m_journey.open.push_back(source);
        inner.clip = narrowed(inner.clip, clipFrom(m_document, source, node, inner, m_tolerance, m_journey));
        m_journey.open.pop_back();
    }
}

} // namespace up::intake
