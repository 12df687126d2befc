// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/basic_shapes.hpp"

#include "core/shape/arc.hpp"
#include "intake/svg/path_data.hpp"
#include "intake/svg/stylesheet.hpp"
#include "intake/svg/values.hpp"

#include <algorithm>

namespace up::intake {
namespace {

using shape::Contour;
using shape::Point;
using Contours = std::vector<Contour>;

class Measures {
public:
    Measures(const pugi::xml_node& node, const Viewport& viewport, double em)
        : m_node(node), m_viewport(viewport), m_em(em) {}
    double across(const char* key) const { return given(key, m_viewport.width).value_or(0); }
    double down(const char* key) const { return given(key, m_viewport.height).value_or(0); }
    double either(const char* key) const { return given(key, m_viewport.diagonal()).value_or(0); }
    std::optional<double> given(const char* key, double whole) const {
        return lengthIn(m_node.attribute(key).value(), whole, m_em);
    }
    const Viewport& viewport() const { return m_viewport; }

private:
    const pugi::xml_node& m_node;
    const Viewport& m_viewport;
    double m_em;
};

Contours rect(const Measures& of) {
    const double x = of.across("x"), y = of.down("y"), w = of.across("width"), h = of.down("height");
    if (w <= 0 || h <= 0) return {};
    const auto rx = of.given("rx", of.viewport().width), ry = of.given("ry", of.viewport().height);
    const double a = std::clamp(rx.value_or(ry.value_or(0)), 0.0, w / 2),
                 b = std::clamp(ry.value_or(rx.value_or(0)), 0.0, h / 2);
    if (a <= 0 || b <= 0) return {shape::contourThrough({{x, y}, {x + w, y}, {x + w, y + h}, {x, y + h}})};
    Contour out{{x + a, y}, {}, true};
    const auto corner = [&](Point end) { shape::arcTo(out, a, b, {}, false, true, end); };
    out.lineTo({x + w - a, y}), corner({x + w, y + b});
    out.lineTo({x + w, y + h - b}), corner({x + w - a, y + h});
    out.lineTo({x + a, y + h}), corner({x, y + h - b});
    out.lineTo({x, y + b}), corner({x + a, y});
    return {out};
}

Contours oval(Point centre, double rx, double ry) {
    return rx > 0 && ry > 0 ? Contours{shape::ellipse(centre, rx, ry)} : Contours{};
}

Contours through(const std::vector<double>& numbers, bool closed) {
    Contour out{{}, {}, closed};
    for (std::size_t i = 0; i + 1 < numbers.size(); i += 2) {
        if (i == 0)
            out.start = {numbers[0], numbers[1]};
        else
            out.lineTo({numbers[i], numbers[i + 1]});
    }
    return out.curves.empty() ? Contours{} : Contours{out};
}

} // namespace

std::optional<Contours> contoursOf(const pugi::xml_node& node, const Viewport& viewport, double em) {
    const auto name = localName(node);
    const Measures of(node, viewport, em);
    if (name == "path") return contoursIn(node.attribute("d").value());
    if (name == "rect") return rect(of);
    if (name == "circle") return oval({of.across("cx"), of.down("cy")}, of.either("r"), of.either("r"));
    if (name == "ellipse") return oval({of.across("cx"), of.down("cy")}, of.across("rx"), of.down("ry"));
    if (name == "line")
        return through({of.across("x1"), of.down("y1"), of.across("x2"), of.down("y2")}, false);
    if (name == "polygon" || name == "polyline")
        return through(numbersIn(node.attribute("points").value()), name == "polygon");
    return std::nullopt;
}

} // namespace up::intake
