// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/faces.hpp"

#include "intake/scan/dashes.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace up::intake {
namespace {

using shape::Contour;

// In mm.
constexpr double halfSolid = 1.2; // ink thicker than twice this is no line
constexpr std::array<double, 3> bridges{0.25, 0.6,
                                        1.2}; // half the gaps that are bridged, the least that closes a line
constexpr double leastSide = 25.4 / 8;        // of a piece: less is a letter's eye or a speck

Mask complement(const Mask& mask) {
    Mask out = mask;
    for (auto& dot : out.in)
        dot = dot ? 0 : 1;
    return out;
}

/// The parts of the ink that hold a disc of `radius` dots.
Mask solidIn(const Mask& ink, double radius) {
    const auto depth = distances(complement(ink));
    Mask core(ink.width, ink.height);
    bool any = false;
    for (std::size_t i = 0; i < depth.size(); ++i)
        if (depth[i] > static_cast<float>(radius) && depth[i] < 1e6F) core.in[i] = 1, any = true;
    if (!any) return core;
    const auto away = distances(core);
    for (std::size_t i = 0; i < away.size(); ++i)
        core.in[i] = ink.in[i] && away[i] <= static_cast<float>(radius + 1) ? 1 : 0;
    return core;
}

/// Twice the area over the length of the edge, which for a digital edge is π/4 of its steps.
double widthOfLines(const Mask& lines) {
    std::size_t area = 0, steps = 0;
    for (int y = 1; y + 1 < lines.height; ++y)
        for (int x = 1; x + 1 < lines.width; ++x) {
            if (!lines.in[lines.at(x, y)]) continue;
            ++area;
            for (const auto next :
                 {lines.at(x - 1, y), lines.at(x + 1, y), lines.at(x, y - 1), lines.at(x, y + 1)})
                steps += lines.in[next] ? 0 : 1;
        }
    return steps == 0 ? 0
                      : 2.0 * static_cast<double>(area) / (static_cast<double>(steps) * std::numbers::pi / 4);
}

const Contour* largest(const std::vector<Contour>& contours) {
    const auto it =
        std::max_element(contours.begin(), contours.end(), [](const Contour& a, const Contour& b) {
            return std::abs(signedArea(a)) < std::abs(signedArea(b));
        });
    return it == contours.end() ? nullptr : &*it;
}

class Faces {
public:
    Faces(const Mask& ink, const Mask& lines, double perMm)
        : m_ink(ink), m_perMm(perMm), m_width(widthOfLines(lines)), m_taken(ink.in.size(), 0) {}

    /// What is enclosed when gaps of up to twice `bridge` dots are closed.
    void find(const std::vector<float>& toInk, int bridge, std::vector<Contour>& out) {
        Mask open(m_ink.width, m_ink.height);
        for (std::size_t i = 0; i < toInk.size(); ++i)
            open.in[i] = toInk[i] > static_cast<float>(bridge) ? 1 : 0;
        const auto found = blotsOf(open);
        const double least = leastSide * leastSide * m_perMm * m_perMm * 0.25;
        for (std::size_t n = 0; n < found.blots.size(); ++n) {
            const auto& blot = found.blots[n];
            if (blot.touchesBorder || static_cast<double>(blot.dots) < least || isPage(blot)) continue;
            if (!take(found, static_cast<std::int32_t>(n))) continue;
            add(found, static_cast<std::int32_t>(n), bridge, out);
        }
    }
    [[nodiscard]] double width() const { return m_width; }

private:
    /// The paper itself, on a dark table.
    [[nodiscard]] bool isPage(const Blot& blot) const {
        return blot.right - blot.left > m_ink.width * 0.85 && blot.bottom - blot.top > m_ink.height * 0.85;
    }
    /// False when most of it has been found before, with smaller gaps closed.
    bool take(const Blots& found, std::int32_t number) {
        const auto& blot = found.blots[static_cast<std::size_t>(number)];
        std::size_t known = 0;
        each(blot, [&](std::size_t at) { known += found.number[at] == number && m_taken[at] ? 1U : 0U; });
        if (known * 5 > blot.dots) return false;
        each(blot, [&](std::size_t at) {
            if (found.number[at] == number) m_taken[at] = 1;
        });
        return true;
    }
    template<class Do> void each(const Blot& blot, Do act) const {
        for (int y = blot.top; y < blot.bottom; ++y)
            for (int x = blot.left; x < blot.right; ++x)
                act(m_ink.at(x, y));
    }
    /// Grown back over the bridge to the middle of the line, then traced.
    void add(const Blots& found, std::int32_t number, int bridge, std::vector<Contour>& out) {
        const auto& blot = found.blots[static_cast<std::size_t>(number)];
        const double grow = bridge + m_width / 2;
        const int pad = static_cast<int>(grow) + 3;
        Mask face(blot.right - blot.left + 2 * pad, blot.bottom - blot.top + 2 * pad);
        for (int y = blot.top; y < blot.bottom; ++y)
            for (int x = blot.left; x < blot.right; ++x)
                if (found.number[m_ink.at(x, y)] == number)
                    face.in[face.at(x - blot.left + pad, y - blot.top + pad)] = 1;
        const auto away = distances(face);
        for (std::size_t i = 0; i < away.size(); ++i)
            face.in[i] = away[i] <= static_cast<float>(grow + 0.5) ? 1 : 0;
        const auto contours = traced(face, 4);
        if (const auto* outer = largest(contours))
            out.push_back(transformed(*outer, shape::Transform::moveBy(blot.left - pad, blot.top - pad)));
    }

    const Mask& m_ink;
    double m_perMm, m_width;
    std::vector<std::uint8_t> m_taken;
};

} // namespace

Outlines outlinesOn(const Mask& ink, double perMm, Job& job) {
    Outlines out;
    const Mask solid = solidIn(ink, halfSolid * perMm);
    Mask lines = ink;
    for (std::size_t i = 0; i < lines.in.size(); ++i)
        if (solid.in[i]) lines.in[i] = 0;
    const double least = leastSide * leastSide * perMm * perMm;
    for (auto& contour : traced(solid, static_cast<int>(least)))
        // The frame of a scanner's lid touches the page's edge.
        if (const auto box = boundsOf(contour); box.left > 1 && box.top > 1 && box.right < ink.width - 1 &&
                                                box.bottom < ink.height - 1 && signedArea(contour) != 0)
            out.outlines.push_back(std::move(contour));
    Faces faces(ink, lines, perMm);
    const auto toInk = distances(ink);
    for (const double bridge : bridges) {
        job.progress(job.progress() + 0.15);
        if (job.stopped()) return out;
        faces.find(toInk, std::max(1, static_cast<int>(std::lround(bridge * perMm))), out.outlines);
    }
    job.progress(job.progress() + 0.1);
    if (job.stopped()) return out;
    for (const auto& outline : out.outlines)
        out.dashed.push_back(dashedStretches(ink, outline, faces.width(), perMm));
    out.marks = marksOn(lines, out.outlines, faces.width(), perMm);
    return out;
}

} // namespace up::intake
