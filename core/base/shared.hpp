// SPDX-License-Identifier: GPL-3.0-or-later
// An unchangeable value whose copies share one store: what makes keeping old quilts for undo cheap.
#pragma once

#include <memory>
#include <utility>

namespace up {

/// Behaves as a `const T`; equal when the values are equal. Never empty.
template<class T> class Shared {
public:
    Shared() : Shared(T{}) {}
    Shared(T value)
        : m_value(std::make_shared<const T>(std::move(value))) {} // implicit on purpose: a T is a Shared<T>
    [[nodiscard]] const T& operator*() const { return *m_value; }
    [[nodiscard]] const T* operator->() const { return m_value.get(); }
    /// True when both share one store; then they are equal without looking.
    [[nodiscard]] bool same(const Shared& other) const { return m_value == other.m_value; }
    [[nodiscard]] bool operator==(const Shared& other) const {
        return same(other) || *m_value == *other.m_value;
    }

private:
    std::shared_ptr<const T> m_value;
};

} // namespace up
