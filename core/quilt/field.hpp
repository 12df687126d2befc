// SPDX-License-Identifier: GPL-3.0-or-later
// How kept members are listed: what files call them, what may stand there, and whether a piece keeps them when it is
// made anew or copied.
#pragma once

#include <cstdint>
#include <limits>
#include <string_view>
#include <tuple>
#include <type_traits>
#include <utility>

namespace up::quilt {

/// What a member is about, which says what becomes of it.
enum class About : std::uint8_t {
    design, ///< the piece as it is to be: copies have it too
    self,   ///< this one among the others: copies get their own, or none
    making  ///< the piece of cloth: gone when it is made anew
};

/// One member of a T.
template<class T, class V> struct Field {
    using Value = V;
    std::string_view key; ///< in files; "": what is in it stands among the T's own keys
    V T::*member;
    bool always = false; ///< written and expected always; else left out when it is as in a new T
    About about = About::design;
    /// Of numbers: mm, degrees, or as they are.
    double least = -1e5, most = 1e5;

    [[nodiscard]] constexpr Field from(double low) const { return {key, member, always, about, low, most}; }
    [[nodiscard]] constexpr Field within(double low, double high) const {
        return {key, member, always, about, low, high};
    }
    [[nodiscard]] constexpr Field of(About what) const { return {key, member, always, what, least, most}; }
};

template<class T, class V> [[nodiscard]] constexpr Field<T, V> always(std::string_view key, V T::*member) {
    return {key, member, true};
}
/// Left out while it is as in a new T.
template<class T, class V>
[[nodiscard]] constexpr Field<T, V> unlessUsual(std::string_view key, V T::*member) {
    return {key, member};
}
/// Its own keys stand among the T's.
template<class T, class V> [[nodiscard]] constexpr Field<T, V> amongThem(V T::*member) {
    return {"", member, true};
}

inline constexpr double largestId = std::numeric_limits<std::uint32_t>::max();
template<class T, class I> [[nodiscard]] constexpr Field<T, I> ownId(I T::*member) {
    return always("id", member).within(1, largestId).of(About::self);
}

template<class T> using Of = std::type_identity<T>;

/// Whether a T's members are listed here.
template<class T>
concept Listed = requires {
    fieldsOf(Of<T>{});
};

namespace fields {
/// Stands for a member of any type, but never for the whole.
template<class T> struct Any {
    template<class V>
    requires(!std::is_same_v<V, T>) operator V() const;
};
template<class T, class... Given> constexpr std::size_t members() {
    if constexpr (requires { T{Given{}..., Any<T>{}}; })
        return members<T, Given..., Any<T>>();
    else
        return sizeof...(Given);
}
template<class T> constexpr bool hasExtra = requires(T t) {
    t.extra;
};
/// A member that nobody listed does not compile.
template<Listed T> struct Checked {
    static constexpr auto list = fieldsOf(Of<T>{});
    static_assert(std::tuple_size_v<decltype(list)> + (hasExtra<T> ? 1 : 0) == members<T>(),
                  "every member of the struct stands in fieldsOf, once");
};
} // namespace fields

/// Calls `see(field)` for each member of a T, in the order of files.
template<Listed T, class See> constexpr void eachField(See&& see) {
    std::apply([&](const auto&... field) { (see(field), ...); }, fields::Checked<T>::list);
}

/// Makes the members that are about that as they are in a new T.
template<Listed T> void reset(T& t, About what) {
    static const T fresh{};
    eachField<T>([&](const auto& field) {
        if (field.about == what) t.*field.member = fresh.*field.member;
    });
}

} // namespace up::quilt
