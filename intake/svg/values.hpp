// SPDX-License-Identifier: GPL-3.0-or-later
// The small languages inside SVG attributes: numbers, lengths, transforms, colours.
#pragma once

#include "core/base/colour.hpp"
#include "core/shape/transform.hpp"

#include <optional>
#include <string_view>
#include <vector>

namespace up::intake {

/// Takes a text apart from the front: blanks, commas, numbers, letters. What cannot be read is left standing.
class Scanner {
public:
    explicit Scanner(std::string_view text) : m_rest(text) {}

    [[nodiscard]] bool atEnd();
    /// The next character that is neither blank nor comma; '\0' at the end.
    [[nodiscard]] char peek();
    char take();
    /// A finite number as in SVG paths: ".5", "-3", "1e-4"; stops where the next one begins ("1.5.5", "1-2").
    [[nodiscard]] std::optional<double> number();
    /// '0' or '1', which may stand without a blank before the next number.
    [[nodiscard]] std::optional<bool> flag();
    [[nodiscard]] std::optional<shape::Point> point();

private:
    void skip();
    std::string_view m_rest;
};

/// All numbers in a list, separated by blanks or commas.
[[nodiscard]] std::vector<double> numbersIn(std::string_view text);

/// Nothing when malformed.
[[nodiscard]] std::optional<shape::Transform> transformIn(std::string_view text);

/// User units at 96 to the inch: "9in", "12pt", "30", "5cm"; "%" of `whole`, "em" and "ex" of `em`; a
/// percentage without `whole`, or anything else: nothing. Source: CSS Values and Units 3, 6.
[[nodiscard]] std::optional<double> lengthIn(std::string_view text, std::optional<double> whole = {},
                                             double em = 16);
/// True for a length with a unit of the physical world: in, cm, mm, pt, pc.
[[nodiscard]] bool isPhysical(std::string_view text);

struct Tint {
    Colour colour;
    double alpha = 1; ///< 0..1
};
/// "#rgb", "#rrggbbaa", "rgb(…)", "hsl(…)", colour words, "transparent"; else nothing.
/// Source: CSS Color Module Level 4, 4–7.
[[nodiscard]] std::optional<Tint> tintIn(std::string_view text);
/// The colour of it, without the alpha.
[[nodiscard]] std::optional<Colour> colourIn(std::string_view text);

} // namespace up::intake
