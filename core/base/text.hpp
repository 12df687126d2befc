// SPDX-License-Identifier: GPL-3.0-or-later
// Numbers to text and back without asking the locale.
#pragma once

#include <optional>
#include <string>
#include <string_view>

namespace up {

/// The number with at most `decimals` decimals (0..9), trailing zeros removed, "." as the point. NaN and
/// infinity: "0".
[[nodiscard]] std::string plainNumber(double value, int decimals);

/// The whole of `text` as a number (no blanks round it, "." as the point); nothing if it is not one or not
/// finite.
[[nodiscard]] std::optional<double> numberIn(std::string_view text);

[[nodiscard]] std::string_view trimmed(std::string_view text);

/// Whether all of it is UTF-8. Source: RFC 3629.
[[nodiscard]] bool isUtf8(std::string_view text);

/// As UTF-8: what is valid stays, any other byte is taken for Latin-1.
[[nodiscard]] std::string latinWhereNotUtf8(std::string_view text);

/// Text of a foreign file as UTF-8: what is valid stays, any other byte is taken for Latin-1; control
/// characters become blanks.
[[nodiscard]] std::string asUtf8(std::string_view text);

/// Upper and lower case of A–Z alike.
[[nodiscard]] bool sameName(const std::string& a, const std::string& b);

} // namespace up
