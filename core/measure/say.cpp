// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/say.hpp"

#include "core/base/spoken.hpp"
#include "core/base/text.hpp"

#include <array>
#include <cmath>
#include <cstdlib>
#include <numeric>
#include <optional>

namespace up::measure {
namespace {

struct Vulgar {
    std::string_view sign;
    std::string_view spelled;
};
constexpr std::array vulgars{Vulgar{"½", "1/2"}, Vulgar{"¼", "1/4"}, Vulgar{"¾", "3/4"}, Vulgar{"⅛", "1/8"},
                             Vulgar{"⅜", "3/8"}, Vulgar{"⅝", "5/8"}, Vulgar{"⅞", "7/8"}, Vulgar{"⅓", "1/3"},
                             Vulgar{"⅔", "2/3"}, Vulgar{"″", "in"},  Vulgar{"\"", "in"}, Vulgar{"”", "in"}};

std::string spelledOut(std::string_view text) {
    std::string out;
    while (!text.empty()) {
        bool found = false;
        for (const auto& v : vulgars) {
            if (!text.starts_with(v.sign)) continue;
            if (!out.empty() && v.spelled != "in") out += ' ';
            out += v.spelled;
            text.remove_prefix(v.sign.size());
            found = true;
            break;
        }
        if (found) continue;
        out += text.front() == ',' ? '.' : text.front();
        text.remove_prefix(1);
    }
    return out;
}

/// Takes a unit off the end of `text`; nothing when it carries letters that are no unit.
std::optional<double> takeUnit(std::string_view& text, System bare) {
    struct Unit {
        std::string_view name;
        double mm;
    };
    constexpr std::array units{Unit{"inches", 25.4}, Unit{"inch", 25.4}, Unit{"mm", 1.0},
                               Unit{"cm", 10.0},     Unit{"in", 25.4},   Unit{"m", 1000.0}};
    for (const auto& unit : units) {
        if (!text.ends_with(unit.name)) continue;
        text.remove_suffix(unit.name.size());
        text = trimmed(text);
        return unit.mm;
    }
    return bare == System::inches ? 25.4 : 10.0;
}

std::optional<double> fractionIn(std::string_view text) {
    const auto slash = text.find('/');
    const auto top = numberIn(trimmed(text.substr(0, slash)));
    const auto bottom = numberIn(trimmed(text.substr(slash + 1)));
    if (!top || !bottom || *bottom <= 0 || *top < 0) return std::nullopt;
    return *top / *bottom;
}

/// "3 1/8", "3-1/8", "1/8", "3.125", "-2".
std::optional<double> mixedNumber(std::string_view text) {
    if (text.find('/') == std::string_view::npos) return numberIn(text);
    const double sign = text.starts_with('-') ? -1.0 : 1.0;
    if (sign < 0) text = trimmed(text.substr(1));
    const auto slash = text.find('/');
    const auto split = text.substr(0, slash).find_last_of(" -");
    const bool blankBeforeSlash =
        split != std::string_view::npos && trimmed(text.substr(split, slash - split)).size() < 1;
    if (split == std::string_view::npos || blankBeforeSlash) {
        const auto part = fractionIn(text);
        return part ? std::optional(sign * *part) : std::nullopt;
    }
    const auto whole = numberIn(trimmed(text.substr(0, split)));
    const auto part = fractionIn(text.substr(split + 1));
    if (!whole || !part || *whole < 0) return std::nullopt;
    return sign * (*whole + *part);
}

} // namespace

Result<Length> readLength(std::string_view text, System bare) {
    const std::string spelled = spelledOut(trimmed(text));
    std::string_view rest = trimmed(spelled);
    const auto unit = takeUnit(rest, bare);
    const auto value = unit ? mixedNumber(rest) : std::nullopt;
    if (!value || std::abs(*value * *unit) > 100'000) return failure(Code::badLength, {std::string(text)});
    return Length::ofMm(*value * *unit);
}

Result<Size> readSize(std::string_view text, System bare) {
    std::size_t at = std::string_view::npos, width = 1;
    for (const std::string_view sign : {"x", "×", "*"})
        if (const auto found = text.find(sign);
            found != std::string_view::npos && at == std::string_view::npos)
            at = found, width = sign.size();
    if (at == std::string_view::npos)
        return readLength(text, bare).map([](Length side) { return Size{side, side}; });
    std::string first(trimmed(text.substr(0, at)));
    const auto second = trimmed(text.substr(at + width));
    const auto letters = second.find_first_not_of("0123456789/., -½¼¾⅛⅜⅝⅞⅓⅔");
    const bool hasUnit = first.find_first_of("icm\"") != std::string::npos || first.ends_with("″");
    if (!hasUnit && letters != std::string_view::npos) first += second.substr(letters);
    const auto across = readLength(first, bare), down = readLength(second, bare);
    if (!across || !down) return failure(Code::badLength, {std::string(text)});
    return Size{*across, *down};
}

std::string fraction(Length length, int denominator) {
    const bool negative = length < Length();
    const std::int64_t nm = std::abs(length.nanometres());
    const std::int64_t part = nanometresPerInch / denominator;
    const std::int64_t units = (nm + part / 2) / part;
    const std::int64_t whole = units / denominator;
    const std::int64_t rest = units % denominator;
    std::string out = negative && units > 0 ? "-" : "";
    if (rest == 0) return out + std::to_string(whole);
    const std::int64_t common = std::gcd(rest, static_cast<std::int64_t>(denominator));
    if (whole > 0) out += std::to_string(whole) + " ";
    return out + std::to_string(rest / common) + "/" + std::to_string(denominator / common);
}

std::string sayInches(Length length, int denominator) {
    const std::int64_t part = nanometresPerInch / denominator;
    const std::int64_t nm = std::abs(length.nanometres());
    const std::int64_t off = nm - (nm + part / 2) / part * part;
    constexpr std::int64_t exact = nanometresPerInch / 128;
    const auto measure = fraction(length, denominator) + " in";
    return off > exact    ? spoken("generous {0}", {measure})
           : off < -exact ? spoken("scant {0}", {measure})
                          : measure;
}

std::string sayMetric(Length length) {
    if (std::abs(length.mm()) < 100) return plainNumber(length.mm(), 1) + " mm";
    return plainNumber(length.mm() / 10, 1) + " cm";
}

std::string say(Length length, System system) {
    return system == System::inches ? sayInches(length) : sayMetric(length);
}

std::string sayArea(double mm2, System system) {
    return system == System::inches ? spoken("{0} sq in", {plainNumber(mm2 / (25.4 * 25.4), 1)})
                                    : plainNumber(mm2 / 100, 1) + " cm²";
}

std::string saySize(Length width, Length height, System system) {
    if (system == System::inches) return fraction(width) + " × " + fraction(height) + " in";
    return plainNumber(width.mm() / 10, 1) + " × " + plainNumber(height.mm() / 10, 1) + " cm";
}

Length roundedUp(Length length, int denominator) {
    const std::int64_t part = nanometresPerInch / denominator;
    return Length::ofNanometres((length.nanometres() + part - 1) / part * part);
}

} // namespace up::measure
