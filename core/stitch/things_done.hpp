// SPDX-License-Identifier: GPL-3.0-or-later
// A set of numbers from 0, as bits; up to 256 of them lie in the set itself, since searches keep very many.
#pragma once

#include <array>
#include <compare>
#include <cstddef>
#include <cstdint>
#include <vector>

namespace up::stitch {

class ThingsDone {
public:
    explicit ThingsDone(std::size_t count) : m_more(count > few * 64 ? (count + 63) / 64 - few : 0, 0) {}
    [[nodiscard]] bool has(std::size_t i) const { return (word(i / 64) >> (i % 64) & 1) != 0; }
    void add(std::size_t i) {
        (i / 64 < few ? m_few[i / 64] : m_more[i / 64 - few]) |= std::uint64_t{1} << (i % 64);
    }
    void add(const ThingsDone& those) {
        for (std::size_t w = 0; w < few; ++w)
            m_few[w] |= those.m_few[w];
        for (std::size_t w = 0; w < m_more.size(); ++w)
            m_more[w] |= those.m_more[w];
    }
    void keepOnly(const ThingsDone& those) {
        for (std::size_t w = 0; w < few; ++w)
            m_few[w] &= those.m_few[w];
        for (std::size_t w = 0; w < m_more.size(); ++w)
            m_more[w] &= those.m_more[w];
    }
    [[nodiscard]] bool hasAll(const ThingsDone& those) const {
        for (std::size_t w = 0; w < few; ++w)
            if ((those.m_few[w] & ~m_few[w]) != 0) return false;
        for (std::size_t w = 0; w < m_more.size(); ++w)
            if ((those.m_more[w] & ~m_more[w]) != 0) return false;
        return true;
    }
    auto operator<=>(const ThingsDone&) const = default;
    /// Each word goes through the finalizer of SplitMix64. Source: Steele, Lea & Flood, "Fast Splittable Pseudorandom
    /// Number Generators", 2014.
    struct Hash {
        std::size_t operator()(const ThingsDone& done) const {
            std::uint64_t out = 0;
            const auto mix = [&](std::uint64_t word) {
                out = (out ^ word) + 0x9e3779b97f4a7c15ULL;
                out = (out ^ (out >> 30)) * 0xbf58476d1ce4e5b9ULL;
                out = (out ^ (out >> 27)) * 0x94d049bb133111ebULL;
                out ^= out >> 31;
            };
            for (const auto word : done.m_few)
                mix(word);
            for (const auto word : done.m_more)
                mix(word);
            return static_cast<std::size_t>(out);
        }
    };

private:
    static constexpr std::size_t few = 4; // words
    [[nodiscard]] std::uint64_t word(std::size_t w) const { return w < few ? m_few[w] : m_more[w - few]; }
    std::array<std::uint64_t, few> m_few{};
    std::vector<std::uint64_t> m_more;
};

} // namespace up::stitch
