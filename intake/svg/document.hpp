// SPDX-License-Identifier: GPL-3.0-or-later
// An SVG file in memory: elements by id, style sheets gathered, entities put in.
#pragma once

#include "core/base/error.hpp"
#include "core/quilt/drawing.hpp"
#include "intake/svg/stylesheet.hpp"

#include <pugixml.hpp>
#include <string>
#include <string_view>
#include <unordered_map>

namespace up::intake {

/// Larger files are refused: 100 MB of drawing is a map or a photograph, no pattern.
inline constexpr std::size_t mostDrawingBytes = 48'000'000;

class Document {
public:
    /// A file that ends too early is read as far as it goes; bytes that are no UTF-8 are taken for Latin-1.
    /// Errors: Code::notSvg {file, reason}, tooLarge {file, limit}.
    [[nodiscard]] Result<void> load(const std::string& text, const std::string& file);

    /// What was amiss with the file and could be got over.
    [[nodiscard]] const std::vector<quilt::Remark>& remarks() const { return m_remarks; }
    [[nodiscard]] pugi::xml_node root() const { return m_tree.document_element(); }
    /// The element of that id; an empty node when there is none.
    [[nodiscard]] pugi::xml_node byId(std::string_view id) const;
    /// What "#id", "url(#id)" or "url('#id')" names; an empty node for other files and for missing ids.
    [[nodiscard]] pugi::xml_node referred(std::string_view reference) const;
    /// What an element's href or xlink:href names.
    [[nodiscard]] pugi::xml_node linked(const pugi::xml_node& node) const;
    /// Attributes, overruled by style sheets, overruled by the `style` attribute.
    [[nodiscard]] Properties propertiesOf(const pugi::xml_node& node) const;

private:
    void putEntitiesIn();
    void gather();
    pugi::xml_document m_tree;
    Stylesheet m_sheet;
    std::vector<quilt::Remark> m_remarks;
    std::unordered_map<std::string, pugi::xml_node> m_ids;
};

} // namespace up::intake
