// SPDX-License-Identifier: GPL-3.0-or-later
// Seeded random numbers that are the same on every machine (the standard library's distributions are not).
#pragma once

#include <cstdint>
#include <utility>
#include <vector>

namespace up {

/// Source: Steele, Lea & Flood, "Fast Splittable Pseudorandom Number Generators", 2014 (SplitMix64).
class Random {
public:
    explicit Random(std::uint64_t seed) : m_state(seed) {}

    [[nodiscard]] std::uint64_t next() {
        std::uint64_t z = (m_state += 0x9E3779B97F4A7C15ULL);
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9ULL;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EBULL;
        return z ^ (z >> 31);
    }
    /// Uniform in [0, 1).
    [[nodiscard]] double unit() { return static_cast<double>(next() >> 11) * 0x1.0p-53; }
    /// Uniform in [from, to).
    [[nodiscard]] double between(double from, double to) { return from + (to - from) * unit(); }
    /// 0..count-1; `count` > 0.
    [[nodiscard]] std::size_t below(std::size_t count) { return static_cast<std::size_t>(next() % count); }

    template<class T> void shuffle(std::vector<T>& items) {
        for (std::size_t i = items.size(); i > 1; --i)
            std::swap(items[i - 1], items[below(i)]);
    }

private:
    std::uint64_t m_state;
};

} // namespace up
