// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/stylesheet.hpp"

#include "core/base/text.hpp"

#include <algorithm>

namespace up::intake {
namespace {

constexpr std::size_t mostRules = 20'000;

std::string withoutComments(std::string_view css) {
    std::string out;
    for (std::size_t at = 0; at < css.size();) {
        const auto open = css.find("/*", at);
        out += css.substr(at, open - at);
        if (open == std::string_view::npos) break;
        const auto close = css.find("*/", open + 2);
        at = close == std::string_view::npos ? css.size() : close + 2;
    }
    for (const std::string_view mark : {"<!--", "-->"})
        for (std::size_t at; (at = out.find(mark)) != std::string::npos;)
            out.erase(at, mark.size());
    return out;
}

/// From an opening brace to just after its closing one.
std::size_t afterBlock(std::string_view css, std::size_t open) {
    int depth = 0;
    for (std::size_t i = open; i < css.size(); ++i) {
        if (css[i] == '{') ++depth;
        if (css[i] == '}' && --depth == 0) return i + 1;
    }
    return css.size();
}

bool isNameChar(char c) {
    return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9') || c == '-' ||
           c == '_' || static_cast<unsigned char>(c) >= 0x80;
}

std::string nameAt(std::string_view text, std::size_t& at) {
    const auto from = at;
    while (at < text.size() && isNameChar(text[at]))
        ++at;
    return std::string(text.substr(from, at - from));
}

template<class Do> void eachWord(std::string_view list, Do act) {
    while (!(list = trimmed(list)).empty()) {
        const auto end = std::min(list.find_first_of(" \t\r\n"), list.size());
        act(list.substr(0, end));
        list.remove_prefix(end);
    }
}

bool hasWord(std::string_view list, std::string_view wanted) {
    bool found = false;
    eachWord(list, [&](std::string_view word) { found = found || word == wanted; });
    return found;
}

} // namespace

std::string_view localName(const pugi::xml_node& node) {
    const std::string_view name = node.name();
    const auto colon = name.find(':');
    return colon == std::string_view::npos ? name : name.substr(colon + 1);
}

void addDeclarations(std::string_view text, Properties& out) {
    constexpr std::string_view mark = "!important";
    while (!text.empty()) {
        const auto end = std::min(text.find(';'), text.size());
        const auto item = text.substr(0, end);
        text.remove_prefix(std::min(end + 1, text.size()));
        const auto colon = item.find(':');
        if (colon == std::string_view::npos) continue;
        const std::string key(trimmed(item.substr(0, colon)));
        const std::string value(trimmed(item.substr(colon + 1)));
        const auto it = out.find(key);
        const bool kept = it != out.end() && it->second.find(mark) != std::string::npos &&
                          value.find(mark) == std::string::npos;
        if (!kept) out[key] = value;
    }
}

void Stylesheet::add(std::string_view css) {
    const std::string plain = withoutComments(css);
    std::string_view rest = plain;
    while (!(rest = trimmed(rest)).empty() && m_rules.size() < mostRules) {
        const auto open = rest.find('{'), semicolon = rest.find(';');
        if (rest.front() == '@' && semicolon < open) {
            rest.remove_prefix(semicolon + 1);
            continue;
        }
        if (open == std::string_view::npos) break;
        const auto next = afterBlock(rest, open);
        if (rest.front() != '@') {
            auto selectors = rest.substr(0, open);
            const std::string body(rest.substr(open + 1, next - open - 2));
            while (!selectors.empty()) {
                const auto end = std::min(selectors.find(','), selectors.size());
                Rule rule{{}, 0, body};
                if (parseSelector(trimmed(selectors.substr(0, end)), rule))
                    m_rules.push_back(std::move(rule));
                selectors.remove_prefix(std::min(end + 1, selectors.size()));
            }
        }
        rest.remove_prefix(next);
    }
    std::stable_sort(m_rules.begin(), m_rules.end(),
                     [](const Rule& a, const Rule& b) { return a.weight < b.weight; });
    m_byKey.clear();
    for (std::size_t i = 0; i < m_rules.size(); ++i)
        m_byKey[keyOf(m_rules[i].chain.back())].push_back(i);
}

bool Stylesheet::parseSelector(std::string_view text, Rule& rule) {
    bool fresh = true;
    for (std::size_t at = 0; at < text.size();) {
        const char c = text[at];
        if (c == ' ' || c == '\t' || c == '\n' || c == '\r') {
            fresh = true, ++at;
            continue;
        }
        if (c == '>') {
            if (rule.chain.empty()) return false;
            rule.chain.back().childOnly = true;
            fresh = true, ++at;
            continue;
        }
        if (fresh) rule.chain.emplace_back();
        fresh = false;
        Simple& simple = rule.chain.back();
        if (c == '*') {
            ++at;
        } else if (c == '.') {
            simple.classes.push_back(nameAt(text, ++at));
            rule.weight += 100;
        } else if (c == '#') {
            simple.id = nameAt(text, ++at);
            rule.weight += 10'000;
        } else if (c == '[') {
            const auto end = text.find(']', at), equals = text.find('=', at);
            if (end == std::string_view::npos || equals > end || !isNameChar(text[equals - 1])) return false;
            auto value = trimmed(text.substr(equals + 1, end - equals - 1));
            if (value.size() > 1 && (value.front() == '"' || value.front() == '\''))
                value = value.substr(1, value.size() - 2);
            simple.attributes.emplace_back(trimmed(text.substr(at + 1, equals - at - 1)), value);
            rule.weight += 100;
            at = end + 1;
        } else if (isNameChar(c)) {
            simple.element = nameAt(text, at);
            rule.weight += 1;
        } else {
            return false;
        }
    }
    return !rule.chain.empty();
}

bool Stylesheet::fits(const Simple& simple, const pugi::xml_node& node) {
    if (node.type() != pugi::node_element) return false;
    if (!simple.element.empty() && localName(node) != simple.element) return false;
    if (!simple.id.empty() && node.attribute("id").value() != simple.id) return false;
    const std::string_view classes = node.attribute("class").value();
    return std::all_of(simple.classes.begin(), simple.classes.end(),
                       [&](const auto& name) { return hasWord(classes, name); }) &&
           std::all_of(simple.attributes.begin(), simple.attributes.end(), [&](const auto& wanted) {
               return node.attribute(wanted.first.c_str()).value() == wanted.second;
           });
}

bool Stylesheet::fits(const std::vector<Simple>& chain, std::size_t upTo, const pugi::xml_node& node,
                      int& budget) {
    if (--budget < 0 || !fits(chain[upTo], node)) return false;
    if (upTo == 0) return true;
    const bool parentOnly = chain[upTo - 1].childOnly;
    for (auto up = node.parent(); up.type() == pugi::node_element && budget > 0; up = up.parent()) {
        if (fits(chain, upTo - 1, up, budget)) return true;
        if (parentOnly) return false;
    }
    return false;
}

std::string Stylesheet::keyOf(const Simple& simple) {
    if (!simple.id.empty()) return "#" + simple.id;
    if (!simple.classes.empty()) return "." + simple.classes.front();
    return simple.element.empty() ? "*" : simple.element;
}

void Stylesheet::apply(const pugi::xml_node& node, Properties& out) const {
    std::vector<std::size_t> worth;
    const auto look = [&](const std::string& key) {
        if (const auto it = m_byKey.find(key); it != m_byKey.end())
            worth.insert(worth.end(), it->second.begin(), it->second.end());
    };
    look("*");
    look(std::string(localName(node)));
    if (const auto id = node.attribute("id")) look(std::string("#") + id.value());
    eachWord(node.attribute("class").value(), [&](std::string_view word) { look("." + std::string(word)); });
    std::sort(worth.begin(), worth.end());
    worth.erase(std::unique(worth.begin(), worth.end()), worth.end());
    int budget = 20'000; // steps up the tree for one element: far more than any real sheet takes
    for (const auto i : worth)
        if (fits(m_rules[i].chain, m_rules[i].chain.size() - 1, node, budget))
            addDeclarations(m_rules[i].declarations, out);
}

} // namespace up::intake
