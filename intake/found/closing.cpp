// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/found/closing.hpp"

#include "core/shape/contours_sorted.hpp"
#include "core/shape/joining.hpp"

#include <algorithm>

namespace up::intake {
namespace {

using shape::Chain;
using shape::Contour;
using shape::Unrepeated;

/// Ends that meet exactly first: short steps of one line lie within reach of more than each other.
std::vector<Chain> chainsOf(const std::vector<Contour>& lines, double endsMeet) {
    constexpr double exact = 1e-3; // of the reach
    const auto fine = shape::joinEnds(lines, endsMeet * exact);
    std::vector<Contour> joined;
    for (const auto& chain : fine)
        joined.push_back(chain.contour);
    auto out = shape::joinEnds(joined, endsMeet);
    for (auto& chain : out) {
        std::vector<std::size_t> parts;
        for (const auto part : chain.parts)
            parts.insert(parts.end(), fine[part].parts.begin(), fine[part].parts.end());
        chain.parts = std::move(parts);
    }
    return out;
}

/// Closes what it can of the lines; what it cannot comes back.
std::vector<Unrepeated> closeSome(const std::vector<Unrepeated>& lines, double endsMeet, double tolerance,
                                  std::vector<ClosedLines>& closed) {
    std::vector<Contour> contours;
    for (const auto& line : lines)
        contours.push_back(line.contour);
    std::vector<bool> used(lines.size(), false);
    for (const auto& chain : chainsOf(contours, endsMeet)) {
        if (!chain.contour.closed) continue;
        auto sorted =
            shape::sortContours({chain.contour}, shape::Fill::evenOdd, tolerance * tolerance, tolerance);
        if (sorted.outlines.empty()) continue;
        ClosedLines one{std::move(sorted.outlines.front()), {}};
        for (const auto part : chain.parts)
            used[part] = true, one.parts.push_back(lines[part].from);
        closed.push_back(std::move(one));
    }
    std::vector<Unrepeated> rest;
    for (std::size_t i = 0; i < lines.size(); ++i)
        if (!used[i]) rest.push_back(lines[i]);
    return rest;
}

} // namespace

Closing closeLines(const std::vector<Contour>& lines, const std::vector<bool>& dotted, double endsMeet,
                   double tolerance) {
    Closing out;
    std::vector<Unrepeated> all;
    for (std::size_t i = 0; i < lines.size(); ++i)
        all.push_back({lines[i], i});
    auto rest = closeSome(all, endsMeet, tolerance, out.closed);
    std::vector<Contour> solid;
    std::vector<std::size_t> from;
    std::vector<Unrepeated> once;
    for (auto& line : rest)
        if (dotted[line.from])
            once.push_back(line);
        else
            solid.push_back(line.contour), from.push_back(line.from);
    for (auto& part : shape::withoutRepeats(solid, endsMeet))
        once.push_back({std::move(part.contour), from[part.from]});
    std::stable_sort(once.begin(), once.end(),
                     [](const Unrepeated& a, const Unrepeated& b) { return a.from < b.from; });
    const bool same = once.size() == rest.size() &&
                      std::equal(once.begin(), once.end(), rest.begin(), [](const auto& a, const auto& b) {
                          return a.from == b.from && a.contour == b.contour;
                      });
    out.rest = same ? std::move(rest) : closeSome(once, endsMeet, tolerance, out.closed);
    return out;
}

} // namespace up::intake
