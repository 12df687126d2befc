// SPDX-License-Identifier: GPL-3.0-or-later
// Lengths that people type and read, in whole nanometres, so that 1/64 in is exact.
#pragma once

#include <compare>
#include <cstdint>

namespace up::measure {

/// Source: international yard and pound agreement, 1959: 1 in = 25.4 mm exactly.
inline constexpr std::int64_t nanometresPerInch = 25'400'000;

class Length {
public:
    constexpr Length() = default;
    [[nodiscard]] static constexpr Length ofNanometres(std::int64_t nm) { return Length(nm); }
    /// Rounded to the nearest nanometre; |mm| up to 1e9.
    [[nodiscard]] static constexpr Length ofMm(double mm) { return Length(rounded(mm * 1e6)); }
    [[nodiscard]] static constexpr Length ofInches(double in) { return Length(rounded(in * 25.4e6)); }
    /// `numerator`/`denominator` in; exact when the denominator divides 25,400,000 (so for 2, 4, … 64).
    [[nodiscard]] static constexpr Length ofInches(std::int64_t numerator, std::int64_t denominator) {
        return Length(numerator * nanometresPerInch / denominator);
    }

    [[nodiscard]] constexpr std::int64_t nanometres() const { return m_nm; }
    [[nodiscard]] constexpr double mm() const { return static_cast<double>(m_nm) * 1e-6; }
    [[nodiscard]] constexpr double inches() const { return static_cast<double>(m_nm) / 25.4e6; }

    [[nodiscard]] constexpr Length operator+(Length o) const { return Length(m_nm + o.m_nm); }
    [[nodiscard]] constexpr Length operator-(Length o) const { return Length(m_nm - o.m_nm); }
    [[nodiscard]] constexpr Length operator-() const { return Length(-m_nm); }
    [[nodiscard]] constexpr Length operator*(std::int64_t n) const { return Length(m_nm * n); }
    constexpr auto operator<=>(const Length&) const = default;

private:
    explicit constexpr Length(std::int64_t nm) : m_nm(nm) {}
    static constexpr std::int64_t rounded(double nm) {
        return static_cast<std::int64_t>(nm < 0 ? nm - 0.5 : nm + 0.5);
    }
    std::int64_t m_nm = 0;
};

} // namespace up::measure
