// SPDX-License-Identifier: GPL-3.0-or-later
// The `<style>` of a drawing: which declarations apply to which element.
#pragma once

#include <array>
#include <bitset>
#include <cstdint>
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

/// The properties that matter to the shape, the colour or what is seen: those that are also attributes, and
/// are read from style sheets.
inline constexpr std::array<std::string_view, 24> readProperties{
    "fill",           "fill-rule",       "fill-opacity",     "stroke",      "stroke-width", "stroke-opacity",
    "stroke-linecap", "stroke-linejoin", "stroke-dasharray", "display",     "visibility",   "color",
    "opacity",        "clip-path",       "clip-rule",        "mask",        "stop-color",   "stop-opacity",
    "overflow",       "font-family",     "font-size",        "font-weight", "font-style",   "text-anchor"};

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
    /// What is declared of the properties that are read.
    struct Declared {
        std::vector<std::pair<std::size_t, std::string>> values; ///< by their place in `readProperties`
        std::uint32_t plain = 0, important = 0;                  ///< a bit for each
    };
    /// Names, classes and ids that occur, a bit or two for each: what is not in it occurs nowhere. Source:
    /// Bloom, "Space/Time Trade-offs in Hash Coding with Allowable Errors", 1970.
    using Traces = std::bitset<256>;
    struct Rule {
        std::vector<Simple> chain; ///< the element itself last
        int weight = 0;
        std::size_t declared = 0; ///< which of `m_declared`
        Traces around;            ///< what must occur among the elements around it
    };
    static Declared parseDeclarations(std::string_view text);
    static void trace(std::string_view kind, std::string_view name, Traces& out);
    static Traces tracesAround(const pugi::xml_node& node);
    /// Rules of one key that may apply below one parent, the stronger the later, and what all up to each
    /// declare.
    struct Bucket {
        std::vector<std::size_t> rules;
        std::vector<std::uint32_t> plain, important;
    };
    [[nodiscard]] const Bucket& bucketOf(const std::string& key) const;
    void addRules(std::string_view selectors, std::string_view body);
    [[nodiscard]] std::vector<const Bucket*> bucketsFor(const pugi::xml_node& node) const;
    static bool parseSelector(std::string_view text, Rule& rule);
    static bool fits(const Simple& simple, const pugi::xml_node& node);
    static bool fits(const std::vector<Simple>& chain, std::size_t upTo, const pugi::xml_node& node,
                     int& budget);
    /// What an element must have for a rule to be worth trying: "#id", ".class", an element's name or "*".
    static std::string keyOf(const Simple& simple);
    std::vector<Rule> m_rules; ///< the stronger the later
    std::vector<Declared> m_declared;
    /// What was sifted for the children of one element: siblings come one after the other.
    mutable pugi::xml_node m_parent;
    mutable Traces m_around;
    mutable std::unordered_map<std::string, Bucket> m_sifted;
    std::unordered_map<std::string, std::vector<std::size_t>> m_byKey;
};

} // namespace up::intake
