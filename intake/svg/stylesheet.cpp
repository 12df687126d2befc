// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/stylesheet.hpp"

#include "core/base/text.hpp"

#include <algorithm>
#include <functional>

namespace up::intake {
namespace {

constexpr std::size_t mostRules = 20'000;
constexpr std::string_view importantMark = "!important";

std::string without(std::string_view mark, std::string_view text) {
    std::string out;
    for (;;) {
        const auto at = text.find(mark);
        out += text.substr(0, at);
        if (at == std::string_view::npos) return out;
        text.remove_prefix(at + mark.size());
    }
}

std::string withoutComments(std::string_view css) {
    std::string out;
    for (std::size_t at = 0; at < css.size();) {
        const auto open = css.find("/*", at);
        out += css.substr(at, open - at);
        if (open == std::string_view::npos) break;
        const auto close = css.find("*/", open + 2);
        at = close == std::string_view::npos ? css.size() : close + 2;
    }
    return without("-->", without("<!--", out));
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
    while (!text.empty()) {
        const auto end = std::min(text.find(';'), text.size());
        const auto item = text.substr(0, end);
        text.remove_prefix(std::min(end + 1, text.size()));
        const auto colon = item.find(':');
        if (colon == std::string_view::npos) continue;
        const std::string key(trimmed(item.substr(0, colon)));
        const std::string value(trimmed(item.substr(colon + 1)));
        const auto it = out.find(key);
        const bool kept = it != out.end() && it->second.find(importantMark) != std::string::npos &&
                          value.find(importantMark) == std::string::npos;
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
        if (rest.front() != '@') addRules(rest.substr(0, open), rest.substr(open + 1, next - open - 2));
        rest.remove_prefix(next);
    }
    std::stable_sort(m_rules.begin(), m_rules.end(),
                     [](const Rule& a, const Rule& b) { return a.weight < b.weight; });
    m_byKey.clear();
    m_sifted.clear();
    for (std::size_t i = 0; i < m_rules.size(); ++i)
        m_byKey[keyOf(m_rules[i].chain.back())].push_back(i);
}

void Stylesheet::addRules(std::string_view selectors, std::string_view body) {
    auto declared = parseDeclarations(body);
    if (declared.values.empty()) return;
    m_declared.push_back(std::move(declared));
    while (!selectors.empty()) {
        const auto end = std::min(selectors.find(','), selectors.size());
        Rule rule{{}, 0, m_declared.size() - 1, {}};
        if (parseSelector(trimmed(selectors.substr(0, end)), rule)) {
            for (std::size_t i = 0; i + 1 < rule.chain.size(); ++i) {
                const Simple& simple = rule.chain[i];
                if (!simple.element.empty()) trace("", simple.element, rule.around);
                if (!simple.id.empty()) trace("#", simple.id, rule.around);
                for (const auto& name : simple.classes)
                    trace(".", name, rule.around);
            }
            m_rules.push_back(std::move(rule));
        }
        selectors.remove_prefix(std::min(end + 1, selectors.size()));
    }
}

/// The last of a property counts, important ones before others.
Stylesheet::Declared Stylesheet::parseDeclarations(std::string_view text) {
    Properties all;
    addDeclarations(text, all);
    Declared out;
    for (std::size_t i = 0; i < readProperties.size(); ++i) {
        const auto it = all.find(readProperties[i]);
        if (it == all.end()) continue;
        const bool important = it->second.find(importantMark) != std::string::npos;
        (important ? out.important : out.plain) |= std::uint32_t{1} << i;
        out.values.emplace_back(i, it->second);
    }
    return out;
}

void Stylesheet::trace(std::string_view kind, std::string_view name, Traces& out) {
    const auto hash =
        std::hash<std::string_view>{}(name)*31 + (kind.empty() ? 0 : static_cast<std::size_t>(kind[0]));
    out.set(hash % 256);
    out.set(hash / 256 % 256);
}

Stylesheet::Traces Stylesheet::tracesAround(const pugi::xml_node& node) {
    Traces out;
    for (auto up = node.parent(); up.type() == pugi::node_element; up = up.parent()) {
        trace("", localName(up), out);
        if (const auto id = up.attribute("id")) trace("#", id.value(), out);
        eachWord(up.attribute("class").value(), [&](std::string_view word) { trace(".", word, out); });
    }
    return out;
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

const Stylesheet::Bucket& Stylesheet::bucketOf(const std::string& key) const {
    const auto [it, fresh] = m_sifted.try_emplace(key);
    Bucket& bucket = it->second;
    const auto all = fresh ? m_byKey.find(key) : m_byKey.end();
    if (all == m_byKey.end()) return bucket;
    std::uint32_t plain = 0, important = 0;
    for (const auto i : all->second) {
        if ((m_rules[i].around & ~m_around).any()) continue;
        plain |= m_declared[m_rules[i].declared].plain,
            important |= m_declared[m_rules[i].declared].important;
        bucket.rules.push_back(i);
        bucket.plain.push_back(plain), bucket.important.push_back(important);
    }
    return bucket;
}

std::vector<const Stylesheet::Bucket*> Stylesheet::bucketsFor(const pugi::xml_node& node) const {
    if (const auto parent = node.parent(); parent != m_parent || m_sifted.empty()) {
        m_parent = parent;
        m_around = tracesAround(node);
        m_sifted.clear();
    }
    std::vector<const Bucket*> out;
    const auto look = [&](const std::string& key) {
        const auto& bucket = bucketOf(key);
        if (!bucket.rules.empty() && std::find(out.begin(), out.end(), &bucket) == out.end())
            out.push_back(&bucket);
    };
    look("*");
    look(std::string(localName(node)));
    if (const auto id = node.attribute("id")) look(std::string("#") + id.value());
    eachWord(node.attribute("class").value(), [&](std::string_view word) { look("." + std::string(word)); });
    return out;
}

/// The strongest rule first: a property that has been declared needs no weaker one.
void Stylesheet::apply(const pugi::xml_node& node, Properties& out) const {
    int budget = 20'000; // steps up the tree for one element: far more than any real sheet takes
    std::uint32_t plain = 0, important = 0;
    std::array<const std::string*, readProperties.size()> value{};
    const auto buckets = bucketsFor(node);
    std::vector<std::size_t> left; // rules of each not tried yet
    for (const auto* bucket : buckets)
        left.push_back(bucket->rules.size());
    for (;;) {
        std::size_t next = buckets.size(); // the one with the strongest rule left
        for (std::size_t k = 0; k < buckets.size(); ++k) {
            if (left[k] == 0) continue;
            const auto news = (buckets[k]->important[left[k] - 1] & ~important) |
                              (buckets[k]->plain[left[k] - 1] & ~plain & ~important);
            if (news == 0)
                left[k] = 0; // all the rest of it has been declared
            else if (next == buckets.size() ||
                     buckets[k]->rules[left[k] - 1] > buckets[next]->rules[left[next] - 1])
                next = k;
        }
        if (next == buckets.size()) break;
        const Rule& rule = m_rules[buckets[next]->rules[--left[next]]];
        const Declared& declared = m_declared[rule.declared];
        const auto fresh = (declared.important & ~important) | (declared.plain & ~plain & ~important);
        if (fresh == 0 || !fits(rule.chain, rule.chain.size() - 1, node, budget)) continue;
        for (const auto& [property, text] : declared.values)
            if (fresh >> property & 1) value[property] = &text;
        plain |= declared.plain, important |= declared.important;
    }
    for (std::size_t i = 0; i < value.size(); ++i)
        if (value[i]) out.insert_or_assign(std::string(readProperties[i]), *value[i]);
}

} // namespace up::intake
