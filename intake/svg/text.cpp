// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/text.hpp"

#include <cstring>

namespace up::intake {
namespace {

using shape::Point;
using shape::Transform;

constexpr int deepestSpan = 20;
constexpr std::size_t mostText = 20'000; // bytes in one text

class Writer {
public:
    Writer(const Document& document, const Viewport& viewport) : m_document(document), m_viewport(viewport) {}

    void element(const pugi::xml_node& node, const Style& style, int depth) {
        move(node, style);
        const bool keepsBlanks = std::strcmp(node.attribute("xml:space").value(), "preserve") == 0;
        for (const auto& child : node.children()) {
            if (child.type() == pugi::node_pcdata || child.type() == pugi::node_cdata)
                write(child.value(), style, keepsBlanks);
            else if (child.type() == pugi::node_element && localName(child) == "tspan" &&
                     depth < deepestSpan) {
                const Style own = styleOf(m_document, child, style, m_viewport.diagonal());
                if (own.shown) element(child, own, depth + 1);
            }
        }
    }
    std::vector<Written> run() {
        endChunk();
        return std::move(m_out);
    }

private:
    /// A new x or y starts a chunk, which is anchored for itself.
    void move(const pugi::xml_node& node, const Style& style) {
        const auto first = [&](const char* key, double whole) -> std::optional<double> {
            std::string_view text = node.attribute(key).value();
            const auto from = text.find_first_not_of(" \t\r\n,");
            if (from == std::string_view::npos) return std::nullopt;
            text.remove_prefix(from);
            return lengthIn(text.substr(0, text.find_first_of(" \t\r\n,")), whole, style.font.size);
        };
        const auto x = first("x", m_viewport.width), y = first("y", m_viewport.height);
        if (x || y) {
            endChunk();
            m_at = {x.value_or(m_at.x), y.value_or(m_at.y)};
            m_start = m_at.x;
        }
        m_anchor = style.anchor;
        m_at.x += first("dx", m_viewport.width).value_or(0);
        m_at.y += first("dy", m_viewport.height).value_or(0);
    }

    void write(std::string_view text, const Style& style, bool keepsBlanks) {
        std::string plain;
        for (const char c : text) {
            const bool blank = c == ' ' || c == '\t' || c == '\n' || c == '\r';
            if (!blank)
                plain += c;
            else if (keepsBlanks || (plain.empty() ? !m_atBlank : plain.back() != ' '))
                plain += ' ';
        }
        if (plain.empty()) return;
        // More is no lettering for a quilt, and would fill the memory.
        m_bytes += plain.size();
        if (m_bytes > mostText) return;
        m_atBlank = plain.back() == ' ';
        auto made =
            lettering(plain, {style.font.family, style.font.bold, style.font.italic}, style.font.size);
        for (auto& letter : made.letters) {
            for (auto& contour : letter.contours)
                contour = transformed(contour, Transform::moveBy(m_at.x, m_at.y));
            m_out.push_back({std::move(letter), style});
        }
        m_at.x += made.width;
    }

    void endChunk() {
        const double back = (m_at.x - m_start) * m_anchor;
        if (back != 0)
            for (std::size_t i = m_anchored; i < m_out.size(); ++i)
                for (auto& contour : m_out[i].letter.contours)
                    contour = transformed(contour, Transform::moveBy(-back, 0));
        m_anchored = m_out.size();
        m_atBlank = true;
    }

    const Document& m_document;
    const Viewport& m_viewport;
    std::vector<Written> m_out;
    std::size_t m_anchored = 0;
    Point m_at;
    double m_start = 0, m_anchor = 0;
    bool m_atBlank = true;
    std::size_t m_bytes = 0;
};

} // namespace

std::vector<Written> writtenIn(const Document& document, const pugi::xml_node& text, const Style& style,
                               const Viewport& viewport) {
    Writer writer(document, viewport);
    writer.element(text, style, 0);
    return writer.run();
}

} // namespace up::intake
