// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/paint.hpp"

#include "core/base/text.hpp"
#include "intake/svg/values.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace up::intake {
namespace {

constexpr int longestChain = 16; // of gradients that take their stops from one another

struct Stop {
    double at, alpha;
    Colour colour;
};

std::vector<Stop> stopsOf(const Document& document, pugi::xml_node gradient, Colour current) {
    std::vector<Stop> out;
    for (int link = 0; link < longestChain && gradient && out.empty(); ++link) {
        for (const auto& node : gradient.children()) {
            if (localName(node) != "stop") continue;
            const auto own = document.propertiesOf(node);
            const auto value = [&](const char* key) {
                const auto it = own.find(std::string_view(key));
                return it == own.end() ? std::string() : it->second;
            };
            const auto colour = value("stop-color");
            const auto tint = colour == "currentColor" ? Tint{current, 1} : tintIn(colour).value_or(Tint{});
            const double alpha = lengthIn(value("stop-opacity"), 1.0).value_or(1.0);
            const double at = lengthIn(node.attribute("offset").value(), 1.0).value_or(0);
            out.push_back({std::clamp(at, 0.0, 1.0), tint.alpha * std::clamp(alpha, 0.0, 1.0), tint.colour});
        }
        gradient = document.linked(gradient);
    }
    for (std::size_t i = 1; i < out.size(); ++i)
        out[i].at = std::max(out[i].at, out[i - 1].at);
    return out;
}

/// Each stop stands for the way from half-way to the stop before it to half-way to the one after.
std::optional<Colour> meanOf(const std::vector<Stop>& stops) {
    std::array<double, 3> sum{};
    double all = 0;
    for (std::size_t i = 0; i < stops.size(); ++i) {
        const double from = i == 0 ? 0 : (stops[i - 1].at + stops[i].at) / 2;
        const double to = i + 1 == stops.size() ? 1 : (stops[i].at + stops[i + 1].at) / 2;
        const double weight = stops[i].alpha * std::max(to - from, 1e-6);
        sum[0] += weight * stops[i].colour.red;
        sum[1] += weight * stops[i].colour.green;
        sum[2] += weight * stops[i].colour.blue;
        all += weight;
    }
    if (all <= 0) return std::nullopt;
    const auto channel = [&](double v) { return static_cast<std::uint8_t>(std::lround(v / all)); };
    return Colour{channel(sum[0]), channel(sum[1]), channel(sum[2])};
}

std::optional<Colour> firstFill(const Document& document, const pugi::xml_node& pattern, int deepest = 50) {
    if (deepest == 0) return std::nullopt;
    for (const auto& node : pattern.children()) {
        const auto own = document.propertiesOf(node);
        if (const auto it = own.find("fill"); it != own.end())
            if (const auto colour = colourIn(it->second)) return colour;
        if (const auto within = firstFill(document, node, deepest - 1)) return within;
    }
    return std::nullopt;
}

} // namespace

std::optional<Colour> paintIn(const Document& document, const std::string& value, Colour current,
                              const std::optional<Colour>& inherited) {
    constexpr Colour plain{128, 128, 128};
    if (value == "none") return std::nullopt;
    if (value == "currentColor" || value == "currentcolor") return current;
    if (value == "context-fill" || value == "context-stroke") return inherited;
    if (value.starts_with("url(")) {
        if (const auto server = document.referred(value)) {
            const auto name = localName(server);
            if (name == "linearGradient" || name == "radialGradient")
                return meanOf(stopsOf(document, server, current));
            if (name == "pattern") return firstFill(document, server).value_or(plain);
        }
        const auto close = value.find(')');
        return colourIn(std::string_view(value).substr(std::min(close + 1, value.size())));
    }
    if (const auto tint = tintIn(value)) return tint->alpha > 0 ? std::optional(tint->colour) : std::nullopt;
    return inherited; // not understood: as if it were not there
}

} // namespace up::intake
