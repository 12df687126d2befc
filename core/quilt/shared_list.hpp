// SPDX-License-Identifier: GPL-3.0-or-later
// A list whose copies share every item that has not been changed: the blocks of a quilt.
#pragma once

#include "core/base/cow.hpp"

#include <compare>
#include <cstddef>
#include <cstdint>
#include <initializer_list>
#include <iterator>
#include <vector>

namespace up::quilt {

/// Used as a std::vector<T>. Whatever hands out a `T&` makes that one item this list's own; looking at a
/// `const` list never copies.
template<class T> class SharedList {
    template<class List, class Item> class Iterator {
    public:
        using iterator_category = std::random_access_iterator_tag;
        using value_type = T;
        using difference_type = std::ptrdiff_t;
        using pointer = Item*;
        using reference = Item&;
        Iterator() = default;
        Iterator(List* list, difference_type at) : m_list(list), m_at(at) {}
        reference operator*() const { return (*m_list)[static_cast<std::size_t>(m_at)]; }
        pointer operator->() const { return &**this; }
        reference operator[](difference_type n) const { return *(*this + n); }
        Iterator& operator++() { return ++m_at, *this; }
        Iterator& operator--() { return --m_at, *this; }
        Iterator operator++(int) { return {m_list, m_at++}; }
        Iterator operator--(int) { return {m_list, m_at--}; }
        Iterator& operator+=(difference_type n) { return m_at += n, *this; }
        Iterator& operator-=(difference_type n) { return m_at -= n, *this; }
        friend Iterator operator+(Iterator i, difference_type n) { return i += n; }
        friend Iterator operator+(difference_type n, Iterator i) { return i += n; }
        friend Iterator operator-(Iterator i, difference_type n) { return i -= n; }
        friend difference_type operator-(const Iterator& a, const Iterator& b) { return a.m_at - b.m_at; }
        bool operator==(const Iterator& other) const { return m_at == other.m_at; }
        auto operator<=>(const Iterator& other) const { return m_at <=> other.m_at; }

    private:
        List* m_list = nullptr;
        difference_type m_at = 0;
    };

public:
    using value_type = T;
    using const_iterator = Iterator<const SharedList, const T>;
    using iterator = Iterator<SharedList, T>;
    SharedList() = default;
    SharedList(std::initializer_list<T> items) {
        for (const auto& item : items)
            push_back(item);
    }

    [[nodiscard]] std::size_t size() const { return m_items.size(); }
    [[nodiscard]] bool empty() const { return m_items.empty(); }
    [[nodiscard]] const T& operator[](std::size_t i) const { return *m_items[i]; }
    [[nodiscard]] T& operator[](std::size_t i) { return m_items[i].edit(); }
    /// Throws std::out_of_range.
    [[nodiscard]] const T& at(std::size_t i) const { return *m_items.at(i); }
    [[nodiscard]] const T& front() const { return *m_items.front(); }
    [[nodiscard]] T& front() { return m_items.front().edit(); }
    [[nodiscard]] const T& back() const { return *m_items.back(); }
    [[nodiscard]] T& back() { return m_items.back().edit(); }
    [[nodiscard]] const_iterator begin() const { return {this, 0}; }
    [[nodiscard]] const_iterator end() const { return {this, static_cast<std::ptrdiff_t>(size())}; }
    [[nodiscard]] iterator begin() { return {this, 0}; }
    [[nodiscard]] iterator end() { return {this, static_cast<std::ptrdiff_t>(size())}; }
    void push_back(T item) { m_items.emplace_back(std::move(item)); }
    void insert(std::size_t before, T item) {
        m_items.insert(m_items.begin() + static_cast<std::ptrdiff_t>(before), Cow<T>(std::move(item)));
    }
    /// How many went.
    template<class Is> friend std::size_t erase_if(SharedList& list, Is is) {
        return std::erase_if(list.m_items, [&](const Cow<T>& item) { return is(*item); });
    }
    void clear() { m_items.clear(); }
    /// How many items the two lists do not share.
    [[nodiscard]] std::size_t unshared(const SharedList& other) const {
        std::size_t out = 0;
        for (std::size_t i = 0; i < size(); ++i)
            out += i >= other.size() || !m_items[i].same(other.m_items[i]);
        return out;
    }
    bool operator==(const SharedList&) const = default;

private:
    std::vector<Cow<T>> m_items;
};

} // namespace up::quilt
