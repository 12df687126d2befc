// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/cut/cuts.hpp"

#include "core/cut/stretches.hpp"

#include <algorithm>
#include <cmath>

namespace up::cut {
namespace {

using shape::Point;
using shape::Polyline;
using shape::Region;

constexpr double sameLine = 0.4; // mm: a ruler's edge is no finer

Cut around(Why why, std::size_t shape, const shape::Ring& ring) {
    Polyline line(ring.begin(), ring.end());
    line.push_back(ring.front());
    const double length = shape::lengthOf(line);
    return {why, {shape}, std::move(line), true, length};
}

double reachOf(const Region& area) {
    const auto box = area.bounds();
    return std::max(box.width(), box.height());
}

/// A straight edge, or several on one line.
struct RulerLine {
    Point from, to;
    std::vector<std::size_t> shapes;
    [[nodiscard]] double length() const { return shape::distance(from, to); }
    [[nodiscard]] double along(Point p) const {
        return ((p.x - from.x) * (to.x - from.x) + (p.y - from.y) * (to.y - from.y)) / length();
    }
    [[nodiscard]] double off(Point p) const {
        return std::abs((to.x - from.x) * (p.y - from.y) - (to.y - from.y) * (p.x - from.x)) / length();
    }
};

class Orderer {
public:
    Orderer(const std::vector<Shape>& shapes, const CutOptions& options)
        : m_shapes(shapes), m_options(options) {
        for (std::size_t i = 0; i < shapes.size(); ++i)
            if (!shapes[i].area.isEmpty()) m_order.push_back(i);
        std::stable_sort(m_order.begin(), m_order.end(), [&](std::size_t a, std::size_t b) {
            return reachOf(shapes[a].area) < reachOf(shapes[b].area);
        });
    }

    std::vector<Cut> run() {
        for (const auto i : m_order)
            for (const auto& ring : m_shapes[i].area.rings)
                if (shape::signedArea(ring) < 0) m_out.push_back(around(Why::inner, i, ring));
        for (const auto why : {Why::small, Why::lining})
            for (const auto i : m_order)
                if (kindOf(i) == why)
                    for (const auto& ring : m_shapes[i].area.rings)
                        if (shape::signedArea(ring) > 0) m_out.push_back(around(why, i, ring));
        partLarge();
        joinLines();
        addRulers();
        addRest();
        return std::move(m_out);
    }

private:
    [[nodiscard]] Why kindOf(std::size_t i) const {
        if (m_shapes[i].lining) return Why::lining;
        return reachOf(m_shapes[i].area) <= m_options.small ? Why::small : Why::rest;
    }
    void partLarge() {
        for (const auto i : m_order) {
            if (kindOf(i) != Why::rest) continue;
            for (const auto& ring : m_shapes[i].area.rings) {
                if (shape::signedArea(ring) <= 0) continue;
                auto parts = parted(ring, m_options.straight);
                for (const auto& [from, to] : parts.straight)
                    m_lines.push_back({from, to, {i}});
                for (auto& line : parts.between)
                    m_rest.push_back({Why::rest, {i}, line, parts.whole, shape::lengthOf(line)});
            }
        }
    }

    /// What lies on one line is cut at once, where the blade meets no piece between.
    void joinLines() {
        std::stable_sort(m_lines.begin(), m_lines.end(),
                         [](const auto& a, const auto& b) { return a.length() > b.length(); });
        for (std::size_t i = 0; i < m_lines.size(); ++i)
            for (std::size_t j = i + 1; j < m_lines.size();)
                if (joined(m_lines[i], m_lines[j])) {
                    m_lines.erase(m_lines.begin() + static_cast<std::ptrdiff_t>(j));
                    j = i + 1; // what was out of reach may be in reach now
                } else {
                    ++j;
                }
    }
    bool joined(RulerLine& line, const RulerLine& other) const {
        if (line.off(other.from) > sameLine || line.off(other.to) > sameLine) return false;
        const double a = line.along(other.from), b = line.along(other.to);
        const double low = std::min(a, b), high = std::max(a, b), length = line.length();
        const auto at = [&](double along) { return line.from + (line.to - line.from) * (along / length); };
        if (low > length && meetsAny(at(length), at(low))) return false;
        if (high < 0 && meetsAny(at(high), at(0))) return false;
        const Point from = at(std::min(0.0, low)), to = at(std::max(length, high));
        line.from = from, line.to = to;
        for (const auto shape : other.shapes)
            if (std::find(line.shapes.begin(), line.shapes.end(), shape) == line.shapes.end())
                line.shapes.push_back(shape);
        return true;
    }
    [[nodiscard]] bool meetsAny(Point from, Point to) const {
        return std::any_of(m_shapes.begin(), m_shapes.end(), [&](const Shape& shape) {
            double within = 0;
            for (const auto& part : shape::inside({from, to}, shape::offset(shape.area, -sameLine)))
                within += shape::lengthOf(part);
            return within > 0;
        });
    }

    void addRulers() {
        for (auto& line : m_lines) {
            std::sort(line.shapes.begin(), line.shapes.end());
            m_out.push_back({Why::ruler, line.shapes, {line.from, line.to}, false, line.length()});
        }
    }

    /// The nearest to where the scissors are; the smallest piece first.
    void addRest() {
        std::vector<Cut> left = std::move(m_rest);
        Point here = m_out.empty() ? Point{} : m_out.back().line.back();
        while (!left.empty()) {
            const auto distance = [&](const Cut& cut) {
                return std::min(shape::distance(here, cut.line.front()),
                                shape::distance(here, cut.line.back()));
            };
            auto next = std::min_element(left.begin(), left.end(), [&](const Cut& a, const Cut& b) {
                return distance(a) < distance(b);
            });
            if (shape::distance(here, next->line.back()) < shape::distance(here, next->line.front()))
                std::reverse(next->line.begin(), next->line.end());
            here = next->line.back();
            m_out.push_back(std::move(*next));
            left.erase(next);
        }
    }

    const std::vector<Shape>& m_shapes;
    CutOptions m_options;
    std::vector<std::size_t> m_order; ///< the smaller the earlier
    std::vector<RulerLine> m_lines;
    std::vector<Cut> m_rest, m_out;
};

} // namespace

std::vector<Cut> cutsOf(const std::vector<Shape>& shapes, const CutOptions& options) {
    return Orderer(shapes, options).run();
}

} // namespace up::cut
