// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/style.hpp"

#include "core/base/text.hpp"
#include "intake/svg/paint.hpp"

#include <algorithm>

namespace up::intake {
namespace {

class Cascade {
public:
    Cascade(const Document& document, const pugi::xml_node& node, const Style& outer, double whole)
        : m_document(document), m_own(document.propertiesOf(node)), m_outer(outer), m_style(outer),
          m_whole(whole) {}

    Style run() {
        m_style.shown = true;
        m_style.clip.clear();
        m_style.mask.clear();
        fontProperties(); // first: lengths in em
        paintProperties();
        penProperties();
        if (const auto* v = value("visibility")) m_style.visible = *v == "visible";
        if (const auto* v = value("display")) m_style.shown = *v != "none";
        if (const auto* v = value("opacity"); v && fraction(*v, 1) <= 0) m_style.shown = false;
        if (const auto* v = value("clip-path"); v && *v != "none") m_style.clip = *v;
        if (const auto* v = value("mask"); v && *v != "none") m_style.mask = *v;
        return m_style;
    }

private:
    /// Nothing also for "inherit".
    const std::string* value(const char* key) const {
        const auto it = m_own.find(std::string_view(key));
        return it == m_own.end() || it->second == "inherit" ? nullptr : &it->second;
    }
    static double fraction(const std::string& text, double otherwise) {
        const auto v = lengthIn(text, 1.0);
        return v ? std::clamp(*v, 0.0, 1.0) : otherwise;
    }
    double length(const std::string& text, double whole, double otherwise) const {
        return lengthIn(text, whole, m_style.font.size).value_or(otherwise);
    }

    void paintProperties() {
        if (const auto* v = value("color")) m_style.current = colourIn(*v).value_or(m_style.current);
        if (const auto* v = value("fill"))
            m_style.fill = paintIn(m_document, *v, m_style.current, m_outer.fill);
        if (const auto* v = value("stroke"))
            m_style.stroke = paintIn(m_document, *v, m_style.current, m_outer.stroke);
        if (const auto* v = value("fill-opacity")) m_style.fillOpacity = fraction(*v, m_style.fillOpacity);
        if (const auto* v = value("stroke-opacity"))
            m_style.strokeOpacity = fraction(*v, m_style.strokeOpacity);
        const auto rule = [](const std::string& v) {
            return v == "evenodd" ? shape::Fill::evenOdd : shape::Fill::nonZero;
        };
        if (const auto* v = value("fill-rule")) m_style.rule = rule(*v);
        if (const auto* v = value("clip-rule")) m_style.clipRule = rule(*v);
    }

    void penProperties() {
        if (const auto* v = value("stroke-width")) m_style.penWidth = length(*v, m_whole, m_style.penWidth);
        if (const auto* v = value("stroke-linecap"))
            m_style.cap = *v == "round"    ? shape::Cap::round
                          : *v == "square" ? shape::Cap::square
                                           : shape::Cap::butt;
        if (const auto* v = value("stroke-linejoin"))
            m_style.join = *v == "round"   ? shape::Join::round
                           : *v == "bevel" ? shape::Join::bevel
                                           : shape::Join::mitre;
        if (const auto* v = value("stroke-dasharray")) {
            const auto dashes = numbersIn(*v);
            m_style.dashed = std::any_of(dashes.begin(), dashes.end(), [](double d) { return d > 0; });
        }
    }

    void fontProperties() {
        Font& font = m_style.font;
        if (const auto* v = value("font-size")) font.size = length(*v, font.size, font.size);
        if (const auto* v = value("font-family")) font.family = *v;
        if (const auto* v = value("font-style")) font.italic = *v == "italic" || *v == "oblique";
        if (const auto* v = value("font-weight"))
            font.bold = *v == "bold" || *v == "bolder" || numberIn(*v).value_or(400) >= 600;
        if (const auto* v = value("text-anchor")) m_style.anchor = *v == "middle" ? 0.5 : *v == "end" ? 1 : 0;
        std::erase_if(font.family, [](char c) { return c == '\'' || c == '"'; });
    }

    const Document& m_document;
    Properties m_own;
    const Style& m_outer;
    Style m_style;
    double m_whole;
};

} // namespace

Style styleOf(const Document& document, const pugi::xml_node& node, const Style& outer, double whole) {
    return Cascade(document, node, outer, whole).run();
}

} // namespace up::intake
