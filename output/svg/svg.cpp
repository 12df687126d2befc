// SPDX-License-Identifier: GPL-3.0-or-later
#include "output/svg/svg.hpp"

#include "core/base/text.hpp"

#include <pugixml.hpp>
#include <sstream>

namespace up::output {
namespace {

std::string number(double v) {
    return plainNumber(v, 4);
}

std::string dataOf(const std::vector<shape::Contour>& contours, const shape::Transform& by) {
    std::string out;
    const auto put = [&](shape::Point p) {
        const auto q = by(p);
        out += number(q.x) + " " + number(q.y) + " ";
    };
    for (const auto& contour : contours) {
        out += "M";
        put(contour.start);
        for (const auto& c : contour.curves) {
            out += "C";
            put(c.control1);
            put(c.control2);
            put(c.end);
        }
        if (contour.closed) out += "Z ";
    }
    if (!out.empty()) out.pop_back();
    return out;
}

void add(pugi::xml_node group, const sheet::Shape& shape, const shape::Transform& by) {
    auto path = group.append_child("path");
    path.append_attribute("d") = dataOf(shape.contours, by).c_str();
    path.append_attribute("fill") = shape.fill ? hex(*shape.fill).c_str() : "none";
    if (shape.fill) path.append_attribute("fill-rule") = "evenodd";
    if (!shape.pen) return;
    path.append_attribute("stroke") = hex(shape.pen->colour).c_str();
    path.append_attribute("stroke-width") = number(shape.pen->width).c_str();
}

} // namespace

std::string writeSvg(const sheet::Page& page) {
    pugi::xml_document document;
    auto root = document.append_child("svg");
    root.append_attribute("xmlns") = "http://www.w3.org/2000/svg";
    root.append_attribute("width") = (number(page.width) + "mm").c_str();
    root.append_attribute("height") = (number(page.height) + "mm").c_str();
    root.append_attribute("viewBox") = ("0 0 " + number(page.width) + " " + number(page.height)).c_str();
    for (const auto& layer : page.layers) {
        auto group = root.append_child("g");
        group.append_attribute("id") = layer.name.c_str();
        for (const auto& item : layer.items)
            if (const auto* shape = std::get_if<sheet::Shape>(&item)) add(group, *shape, layer.place);
    }
    std::ostringstream out;
    document.save(out, "  ", pugi::format_indent, pugi::encoding_utf8);
    return out.str();
}

} // namespace up::output
