// SPDX-License-Identifier: GPL-3.0-or-later
// Reading JSON with the place in every complaint. For the .cpp files of this room only.
#pragma once

#include "core/base/error.hpp"
#include "core/base/spoken.hpp"
#include "core/shape/path.hpp"

#include <cmath>
#include <nlohmann/json.hpp>
#include <set>
#include <string>

namespace up::store {

using Json = nlohmann::ordered_json;

/// Thrown inside this room only.
struct Damaged {
    std::string place, expected;
};

/// A JSON value together with where it stands in the file ("blocks[2].pieces[0].name").
class Node {
public:
    Node(const Json& json, std::string place) : m_json(&json), m_place(std::move(place)) {}
    [[nodiscard]] const std::string& place() const { return m_place; }
    [[noreturn]] void complain(const char* expected) const { complain(spoken(expected)); }
    [[noreturn]] void complain(const std::string& expected) const { throw Damaged{m_place, expected}; }

    [[nodiscard]] bool has(const std::string& key) const {
        return m_json->is_object() && m_json->contains(key);
    }
    [[nodiscard]] Node at(const std::string& key) const {
        m_known.insert(key);
        if (!m_json->is_object()) complain("an object");
        if (!m_json->contains(key)) complain(spoken("the key \"{0}\"", {key}));
        return {(*m_json)[key], m_place.empty() ? key : m_place + "." + key};
    }
    [[nodiscard]] std::vector<Node> items() const {
        if (!m_json->is_array()) complain("a list");
        std::vector<Node> out;
        for (std::size_t i = 0; i < m_json->size(); ++i)
            out.emplace_back((*m_json)[i], m_place + "[" + std::to_string(i) + "]");
        return out;
    }
    [[nodiscard]] std::string text() const {
        if (!m_json->is_string()) complain("a text");
        return m_json->get<std::string>();
    }
    [[nodiscard]] double number(double least = -1e7, double most = 1e7) const {
        if (!m_json->is_number()) complain("a number");
        const double value = m_json->get<double>();
        if (!std::isfinite(value) || value < least || value > most)
            complain(spoken("a number from {0} to {1}", {shortly(least), shortly(most)}));
        return value;
    }
    [[nodiscard]] std::int64_t whole(std::int64_t least, std::int64_t most) const {
        if (!m_json->is_number_integer()) complain("a whole number");
        if (m_json->is_number_unsigned() && m_json->get<std::uint64_t>() > static_cast<std::uint64_t>(most))
            complain("a smaller number");
        const auto value = m_json->get<std::int64_t>();
        if (value < least || value > most)
            complain(spoken("a number from {0} to {1}", {std::to_string(least), std::to_string(most)}));
        return value;
    }
    [[nodiscard]] bool yes() const {
        if (!m_json->is_boolean()) complain("true or false");
        return m_json->get<bool>();
    }
    [[nodiscard]] const Json& raw() const { return *m_json; }
    /// Names a key that is known but not read.
    void know(const std::string& key) const { m_known.insert(key); }
    /// Every key that was not asked for, as JSON text; empty when there is none.
    [[nodiscard]] std::string rest() const {
        Json rest = Json::object();
        for (const auto& [key, value] : m_json->items())
            if (!m_known.count(key)) rest[key] = value;
        return rest.empty() ? "" : rest.dump();
    }

private:
    static std::string shortly(double v) {
        std::string s = std::to_string(v);
        s.erase(s.find_last_not_of('0') + 1);
        if (s.back() == '.') s.pop_back();
        return s;
    }
    const Json* m_json;
    std::string m_place;
    mutable std::set<std::string> m_known;
};

/// Errors: Code::notJson {file, what the parser said}; Code::wrongFormat when it does not even begin like
/// one.
[[nodiscard]] Result<Json> parseJson(const std::string& text, const std::string& file);

/// Checks "format" and "version". Errors: Code::wrongFormat, newerVersion, damaged.
[[nodiscard]] Result<void> expectFormat(const Json& json, const std::string& file, const std::string& format,
                                        int newest);

/// Rows of numbers on one line each, everything else indented: readable and diffable.
[[nodiscard]] std::string dumpReadably(const Json& json);

/// [[x,y],[c1x,c1y,c2x,c2y,x,y],…]
[[nodiscard]] Json contourToJson(const shape::Contour& contour);
[[nodiscard]] shape::Contour contourFrom(const Node& node, bool closed);

} // namespace up::store
