// SPDX-License-Identifier: GPL-3.0-or-later
// The `<style>` of a drawing: which declarations apply to which element.
#pragma once

#include <map>
#include <pugixml.hpp>
#include <string>
#include <string_view>
#include <unordered_map>
#include <vector>

namespace up::intake {

using Properties = std::map<std::string, std::string, std::less<>>;

/// The part of a name after its prefix: "svg:path" → "path".
[[nodiscard]] std::string_view localName(const pugi::xml_node& node);

/// "fill:red; stroke:none" into `out`; what is there already is replaced unless it is `!important` and this
/// is not.
void addDeclarations(std::string_view text, Properties& out);

/// Rules with selectors made of elements, .classes, #ids, [attributes], blanks and ">"; other selectors and
/// @rules are passed over. Source: W3C, CSS 2.1, 4 to 6, for what overrules what.
class Stylesheet {
public:
    void add(std::string_view css);
    /// Declarations that apply to the element, the strongest winning.
    void apply(const pugi::xml_node& node, Properties& out) const;
    [[nodiscard]] bool isEmpty() const { return m_rules.empty(); }

private:
    struct Simple { ///< one element of a selector
        std::string element;
        std::vector<std::string> classes;
        std::string id;
        std::vector<std::pair<std::string, std::string>> attributes;
        bool childOnly = false; ///< must be the very parent of the one to its right
    };
    struct Rule {
        std::vector<Simple> chain; ///< the element itself last
        int weight = 0;
        std::string declarations;
    };
    static bool parseSelector(std::string_view text, Rule& rule);
    static bool fits(const Simple& simple, const pugi::xml_node& node);
    static bool fits(const std::vector<Simple>& chain, std::size_t upTo, const pugi::xml_node& node,
                     int& budget);
    /// What an element must have for a rule to be worth trying: "#id", ".class", an element's name or "*".
    static std::string keyOf(const Simple& simple);
    std::vector<Rule> m_rules; ///< the stronger the later
    std::unordered_map<std::string, std::vector<std::size_t>> m_byKey;
};

} // namespace up::intake
