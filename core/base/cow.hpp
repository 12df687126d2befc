// SPDX-License-Identifier: GPL-3.0-or-later
// A value whose copies share one store until one of them is changed: what makes keeping old quilts cheap.
#pragma once

#include <atomic>
#include <utility>

namespace up {

/// Copy on write. Reads as a `const T`; `edit` gives a T of one's own. As safe between threads as a T is:
/// copies may be read and changed in different threads at once. Equal when the values are.
template<class T> class Cow {
public:
    Cow() : Cow(T{}) {}
    Cow(T value) : m_store(new Store{std::move(value)}) {} // implicit on purpose: a T is a Cow<T>
    Cow(const Cow& other) : m_store(other.m_store) {
        m_store->holders.fetch_add(1, std::memory_order_relaxed);
    }
    Cow(Cow&& other) noexcept : m_store(std::exchange(other.m_store, nullptr)) {}
    Cow& operator=(Cow other) noexcept {
        std::swap(m_store, other.m_store);
        return *this;
    }
    ~Cow() { release(); }

    [[nodiscard]] const T& operator*() const { return m_store->value; }
    [[nodiscard]] const T* operator->() const { return &m_store->value; }
    /// To be changed by this holder alone: copied first when others hold it as well.
    [[nodiscard]] T& edit() {
        if (m_store->holders.load(std::memory_order_acquire) != 1) *this = Cow(T(m_store->value));
        return m_store->value;
    }
    /// True when both share one store; then they are equal without looking.
    [[nodiscard]] bool same(const Cow& other) const { return m_store == other.m_store; }
    [[nodiscard]] bool operator==(const Cow& other) const { return same(other) || **this == *other; }

private:
    struct Store {
        T value;
        std::atomic<long> holders{1};
    };
    void release() {
        if (m_store && m_store->holders.fetch_sub(1, std::memory_order_acq_rel) == 1) delete m_store;
    }
    Store* m_store; ///< null only once moved from
};

} // namespace up
