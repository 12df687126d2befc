// SPDX-License-Identifier: GPL-3.0-or-later
// The stable words by which files, the log and the command line call the values of an enum.
//
// Beside an enum whose values are 0, 1, 2 … stands one function, found by the enum's type:
//     constexpr auto keysOf(Print) { return std::to_array<std::string_view>({"plain", "striped", "oneWay"});
//     }
// A value without a word, or a word without a value, does not compile where either is used.
#pragma once

#include <array>
#include <cstddef>
#include <optional>
#include <string>
#include <string_view>
#include <type_traits>

namespace up {
namespace names {

/// Whether `value` is one of its enum's names: the compiler writes "(up::X)7" for one that is not.
template<auto value> constexpr bool isOne() {
    constexpr std::string_view text = __PRETTY_FUNCTION__;
    return text.find("value = (") == std::string_view::npos;
}

template<class E, std::size_t n = 0> constexpr std::size_t count() {
    if constexpr (isOne<static_cast<E>(n)>())
        return count<E, n + 1>();
    else
        return n;
}

} // namespace names

/// How many values an enum has, when they are 0, 1, 2 …
template<class E> inline constexpr std::size_t valuesOf = names::count<E>();

/// A table with one entry for each value, found by the value. Does not compile when entries are missing.
template<class E, class T, std::size_t n>
[[nodiscard]] constexpr const T& entryOf(const std::array<T, n>& table, E value) {
    static_assert(n == valuesOf<E>, "one entry for each value of the enum");
    return table[static_cast<std::size_t>(value)];
}

template<class E>
concept Named = std::is_enum_v<E> && requires(E value) {
    keysOf(value);
};

namespace names {
template<Named E> struct Table {
    static constexpr auto keys = keysOf(E{});
    static_assert(keys.size() == valuesOf<E>, "one word for each value of the enum");
};
} // namespace names

/// Its words, in the order of its values.
template<Named E> [[nodiscard]] constexpr const auto& keysFor() {
    return names::Table<E>::keys;
}

template<Named E> [[nodiscard]] constexpr std::string_view keyOf(E value) {
    return keysFor<E>()[static_cast<std::size_t>(value)];
}

/// Nothing when no value is called so.
template<Named E> [[nodiscard]] constexpr std::optional<E> fromKey(std::string_view key) {
    const auto& keys = keysFor<E>();
    for (std::size_t i = 0; i < keys.size(); ++i)
        if (keys[i] == key) return static_cast<E>(i);
    return std::nullopt;
}

/// All values, in their order: for (const auto step : every<Step>()) …
template<class E> [[nodiscard]] constexpr auto every() {
    std::array<E, valuesOf<E>> out{};
    for (std::size_t i = 0; i < out.size(); ++i)
        out[i] = static_cast<E>(i);
    return out;
}

/// "plain, striped or oneWay": what may stand there, for a complaint about a file.
template<Named E> [[nodiscard]] std::string keysInWords() {
    const auto& keys = keysFor<E>();
    std::string out;
    for (std::size_t i = 0; i < keys.size(); ++i)
        out += (i == 0 ? "" : i + 1 == keys.size() ? " or " : ", ") + std::string(keys[i]);
    return out;
}

} // namespace up
