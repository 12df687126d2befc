// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/names.hpp"

#include "core/base/text.hpp"
#include "core/quilt/drawing.hpp"
#include "intake/svg/stylesheet.hpp"

#include <string_view>

namespace up::intake {
namespace {

constexpr std::size_t longest = 80;

std::string readable(std::string_view id) {
    std::string out(trimmed(id.substr(0, longest)));
    while (!out.empty() && (static_cast<unsigned char>(out.back()) & 0xC0) == 0x80 && id.size() > longest)
        out.pop_back(); // not in the middle of a letter
    for (char& c : out)
        if (c == '_' || c == '-' || c == '\n' || c == '\t' || c == '\r') c = ' ';
    return out;
}

} // namespace

std::string labelOf(const pugi::xml_node& node) {
    for (const auto& attribute : node.attributes()) {
        const std::string_view name = attribute.name();
        if ((name == "label" || name.ends_with(":label") || name == "aria-label" || name == "data-name") &&
            *attribute.value())
            return readable(attribute.value());
    }
    for (const auto& child : node.children())
        if (localName(child) == "title" && *child.child_value()) return readable(child.child_value());
    const std::string_view id = node.attribute("id").value();
    return quilt::isMadeUpName(id) ? "" : readable(id);
}

std::string nameOf(const pugi::xml_node& node, const std::string& group) {
    auto label = labelOf(node);
    if (!label.empty()) return label;
    return group.empty() ? readable(node.attribute("id").value()) : group;
}

} // namespace up::intake
