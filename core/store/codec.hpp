// SPDX-License-Identifier: GPL-3.0-or-later
// From the document's values to JSON and back, by type; structs by their list of members
// (core/quilt/fields.hpp). For the .cpp files of this room only.
#pragma once

#include "core/quilt/fields.hpp"
#include "core/store/json.hpp"

#include <limits>
#include <optional>
#include <variant>

namespace up::store {

/// What may stand there: mm, degrees, or the number as it is.
struct Bounds {
    double least = -1e5, most = 1e5;
};

// --- what is no struct of the document; complaints name the place
void fromJson(const Node& node, Bounds, std::string& out);
void fromJson(const Node& node, Bounds, bool& out);
void fromJson(const Node& node, Bounds bounds, int& out);
void fromJson(const Node& node, Bounds bounds, std::uint32_t& out);
/// The only numbers of that size are times.
void fromJson(const Node& node, Bounds, std::int64_t& out);
void fromJson(const Node& node, Bounds bounds, double& out);
void fromJson(const Node& node, Bounds bounds, measure::Length& out);
void fromJson(const Node& node, Bounds bounds, measure::Angle& out);
void fromJson(const Node& node, Bounds, std::vector<double>& out);
void fromJson(const Node& node, Bounds, std::vector<Colour>& out);
void fromJson(const Node& node, Bounds, Colour& out);
void fromJson(const Node& node, Bounds, shape::Rings& out);
void fromJson(const Node& node, Bounds bounds, std::vector<shape::Point>& out);
/// [[x, y]…], at least three.
[[nodiscard]] shape::Ring ringFrom(const Node& node);
[[nodiscard]] Json ringToJson(const shape::Ring& ring);
/// The "outline" and, if there are any, the "holes" of that object.
[[nodiscard]] shape::Rings ringsFrom(const Node& owner);
void fromJson(const Node& node, Bounds, Shared<std::vector<shape::Contour>>& out);
void fromJson(const Node& node, Bounds, quilt::Recipe& out);

[[nodiscard]] Json toJson(const std::string& text);
[[nodiscard]] Json toJson(bool yes);
[[nodiscard]] Json toJson(int number);
[[nodiscard]] Json toJson(std::uint32_t number);
[[nodiscard]] Json toJson(std::int64_t time);
[[nodiscard]] Json toJson(double number);
[[nodiscard]] Json toJson(const std::vector<double>& numbers);
[[nodiscard]] Json toJson(const std::vector<Colour>& colours);
[[nodiscard]] Json toJson(measure::Length length);
[[nodiscard]] Json toJson(measure::Angle angle);
[[nodiscard]] Json toJson(Colour colour);
[[nodiscard]] Json toJson(const shape::Rings& rings);
[[nodiscard]] Json toJson(const std::vector<shape::Point>& points);
[[nodiscard]] Json toJson(const Shared<std::vector<shape::Contour>>& contours);
[[nodiscard]] Json toJson(const quilt::Recipe& recipe);

// --- what has its own keys among those of its owner
void fromAmong(const Node& owner, Shared<shape::Outline>& out);
void toAmong(Json& owner, const Shared<shape::Outline>& outline);
/// A recipe of a kind that this version does not know stays among the keys it does not know.
[[nodiscard]] bool isKnown(const Node& owner, std::string_view key, const quilt::Recipe*);
template<class T> [[nodiscard]] bool isKnown(const Node&, std::string_view, const T*) {
    return true;
}

// --- whatever is made of others
template<quilt::Listed T> void fromJson(const Node& node, Bounds, T& out);
template<quilt::Listed T> [[nodiscard]] Json toJson(const T& t);

template<class Tag> void fromJson(const Node& node, Bounds bounds, Id<Tag>& out) {
    out.value = static_cast<std::uint32_t>(
        node.whole(bounds.least > 0 ? 1 : 0, std::numeric_limits<std::uint32_t>::max()));
}
template<class Tag> [[nodiscard]] Json toJson(Id<Tag> id) {
    return id.value;
}

template<class Tag> void fromJson(const Node& node, Bounds, std::vector<Id<Tag>>& out) {
    for (const auto& item : node.items())
        fromJson(item, {1, 0}, out.emplace_back());
}
template<class Tag> [[nodiscard]] Json toJson(const std::vector<Id<Tag>>& ids) {
    Json out = Json::array();
    for (const auto id : ids)
        out.push_back(id.value);
    return out;
}

template<Named E> void fromJson(const Node& node, Bounds, E& out) {
    const auto value = fromKey<E>(node.text());
    if (!value) node.complain(keysInWords<E>());
    out = *value;
}
template<Named E> [[nodiscard]] Json toJson(E value) {
    return std::string(keyOf(value));
}

template<class T> void fromJson(const Node& node, Bounds bounds, std::optional<T>& out) {
    fromJson(node, bounds, out.emplace());
}
template<class T> [[nodiscard]] Json toJson(const std::optional<T>& value) {
    return toJson(*value); // one that is not there is left out
}

template<class List> void listFrom(const Node& node, List& out) {
    for (const auto& item : node.items()) {
        typename List::value_type value{};
        fromJson(item, {}, value);
        out.push_back(std::move(value));
    }
}
template<class List> [[nodiscard]] Json listTo(const List& list) {
    Json out = Json::array();
    for (const auto& item : list)
        out.push_back(toJson(item));
    return out;
}
template<quilt::Listed T> void fromJson(const Node& node, Bounds, std::vector<T>& out) {
    listFrom(node, out);
}
template<quilt::Listed T> [[nodiscard]] Json toJson(const std::vector<T>& list) {
    return listTo(list);
}
template<quilt::Listed T> void fromJson(const Node& node, Bounds, quilt::SharedList<T>& out) {
    listFrom(node, out);
}
template<quilt::Listed T> [[nodiscard]] Json toJson(const quilt::SharedList<T>& list) {
    return listTo(list);
}
template<quilt::Listed T> void fromJson(const Node& node, Bounds, Shared<std::vector<T>>& out) {
    std::vector<T> list;
    listFrom(node, list);
    out = std::move(list);
}
template<quilt::Listed T> [[nodiscard]] Json toJson(const Shared<std::vector<T>>& list) {
    return listTo(*list);
}

template<quilt::Listed T> void fromJson(const Node& node, Bounds, Shared<T>& out) {
    T value{};
    fromJson(node, {}, value);
    out = std::move(value);
}
template<quilt::Listed T> [[nodiscard]] Json toJson(const Shared<T>& value) {
    return toJson(*value);
}

/// Of several kinds of thing one, under its own key.
template<class... T> void fromAmong(const Node& owner, std::variant<T...>& out) {
    constexpr auto keys = quilt::keysOf(quilt::Of<std::variant<T...>>{});
    static_assert(keys.size() == sizeof...(T));
    std::size_t at = 0;
    bool found = false;
    const auto read = [&]<class One>(quilt::Of<One>) {
        if (const std::string key(keys[at++]); !found && owner.has(key)) {
            found = true;
            fromJson(owner.at(key), {}, out.template emplace<One>());
        }
    };
    (read(quilt::Of<T>{}), ...);
    if (!found) owner.complain("the key \"" + std::string(keys.front()) + "\"");
}
template<class... T> void toAmong(Json& owner, const std::variant<T...>& value) {
    constexpr auto keys = quilt::keysOf(quilt::Of<std::variant<T...>>{});
    std::visit([&](const auto& one) { owner[std::string(keys[value.index()])] = toJson(one); }, value);
}
template<quilt::Listed T> void fromAmong(const Node& owner, T& out) {
    quilt::eachField<T>([&](const auto& field) {
        fromJson(owner.at(std::string(field.key)), {field.least, field.most}, out.*field.member);
    });
}
template<quilt::Listed T> void toAmong(Json& owner, const T& t) {
    quilt::eachField<T>([&](const auto& field) { owner[std::string(field.key)] = toJson(t.*field.member); });
}

template<class T> [[nodiscard]] const T* plainOf(const T&) {
    return nullptr;
}
template<class T> [[nodiscard]] const T* plainOf(const std::optional<T>&) {
    return nullptr;
}

template<quilt::Listed T> void fromJson(const Node& node, Bounds, T& out) {
    quilt::eachField<T>([&](const auto& field) {
        auto& member = out.*field.member;
        const std::string key(field.key);
        if constexpr (requires { fromAmong(node, member); }) {
            if (key.empty()) return fromAmong(node, member);
        }
        if constexpr (requires { fromJson(node, Bounds{}, member); }) {
            if (field.always || (node.has(key) && isKnown(node, key, plainOf(member))))
                fromJson(node.at(key), {field.least, field.most}, member);
        }
    });
    if constexpr (quilt::fields::hasExtra<T>) out.extra = node.rest();
}

template<quilt::Listed T> [[nodiscard]] Json toJson(const T& t) {
    static const T usual{};
    Json out = Json::object();
    quilt::eachField<T>([&](const auto& field) {
        const auto& member = t.*field.member;
        const std::string key(field.key);
        if constexpr (requires { toAmong(out, member); }) {
            if (key.empty()) return toAmong(out, member);
        }
        if constexpr (requires { toJson(member); }) {
            if (field.always || member != usual.*field.member) out[key] = toJson(member);
        }
    });
    if constexpr (quilt::fields::hasExtra<T>) {
        if (t.extra.empty()) return out;
        const Json more = Json::parse(t.extra);
        for (const auto& [key, value] : more.items())
            out[key] = value;
    }
    return out;
}

} // namespace up::store
