// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/svg.hpp"

#include "core/base/text.hpp"
#include "core/shape/nesting.hpp"
#include "intake/svg/path_data.hpp"

#include <map>
#include <pugixml.hpp>
#include <string_view>

namespace up::intake {
namespace {

using quilt::Drawing;
using quilt::DrawnShape;
using quilt::Remark;
using shape::Contour;
using shape::Transform;

constexpr double mmPerUnit = 25.4 / 96;
constexpr double leastArea = 1.0; // mm²: below, a speck
constexpr int deepest = 200;      // groups in groups

/// What is handed down from groups to shapes.
struct Style {
    std::optional<Colour> fill = Colour{0, 0, 0}, stroke;
    Colour current{0, 0, 0};
    shape::Fill rule = shape::Fill::nonZero;
    bool visible = true;
};

std::string_view localName(const pugi::xml_node& node) {
    const std::string_view name = node.name();
    const auto colon = name.find(':');
    return colon == std::string_view::npos ? name : name.substr(colon + 1);
}

using Properties = std::map<std::string, std::string, std::less<>>;

/// Attributes, overruled by the `style` attribute.
Properties propertiesOf(const pugi::xml_node& node) {
    Properties out;
    for (const char* key : {"fill", "stroke", "fill-rule", "display", "visibility", "color", "opacity"})
        if (const auto attribute = node.attribute(key)) out[key] = attribute.value();
    std::string_view style = node.attribute("style").value();
    while (!style.empty()) {
        const auto end = std::min(style.find(';'), style.size());
        const auto item = style.substr(0, end);
        if (const auto colon = item.find(':'); colon != std::string_view::npos) {
            auto value = trimmed(item.substr(colon + 1));
            if (const auto mark = value.find("!important"); mark != std::string_view::npos)
                value = trimmed(value.substr(0, mark));
            out[std::string(trimmed(item.substr(0, colon)))] = std::string(value);
        }
        style.remove_prefix(std::min(end + 1, style.size()));
    }
    return out;
}

std::optional<Colour> paint(const std::string& value, const std::optional<Colour>& inherited,
                            Colour current) {
    if (value == "inherit") return inherited;
    if (value == "none" || value == "transparent") return std::nullopt;
    if (value == "currentColor") return current;
    if (const auto colour = colourIn(value)) return colour;
    return inherited ? inherited
                     : std::optional(Colour{128, 128, 128}); // a gradient or pattern: something is painted
}

class Reader {
public:
    explicit Reader(Drawing& out) : m_out(out) {}

    void page(const pugi::xml_node& root) {
        const auto box = numbersIn(root.attribute("viewBox").value());
        const auto width = lengthIn(root.attribute("width").value()),
                   height = lengthIn(root.attribute("height").value());
        const bool hasBox = box.size() == 4 && box[2] > 0 && box[3] > 0;
        double w = width.value_or(hasBox && height ? *height * box[2] / box[3] : hasBox ? box[2] : 0);
        double h = height.value_or(hasBox && width ? *width * box[3] / box[2] : hasBox ? box[3] : 0);
        m_sized = w > 0 && h > 0;
        const std::string given =
            std::string(root.attribute("width").value()) + root.attribute("height").value();
        if (given.find_first_of("cimpt") == std::string::npos || !m_sized) remark(Remark::sizeAssumed, {});
        m_out.width = w * mmPerUnit, m_out.height = h * mmPerUnit;
        Transform toPage = Transform::scale(mmPerUnit, mmPerUnit);
        if (hasBox && m_sized) {
            const double by = std::min(w / box[2], h / box[3]); // preserveAspectRatio: xMidYMid meet
            toPage = toPage * Transform::moveBy((w - box[2] * by) / 2, (h - box[3] * by) / 2) *
                     Transform::scale(by, by) * Transform::moveBy(-box[0], -box[1]);
        }
        children(root, styleOf(root, {}), toPage, 0);
        finish();
    }

private:
    static Style styleOf(const pugi::xml_node& node, Style style) {
        const auto properties = propertiesOf(node);
        const auto value = [&](const char* key) -> const std::string* {
            const auto it = properties.find(key);
            return it == properties.end() ? nullptr : &it->second;
        };
        if (const auto* v = value("color")) style.current = colourIn(*v).value_or(style.current);
        if (const auto* v = value("fill")) style.fill = paint(*v, style.fill, style.current);
        if (const auto* v = value("stroke")) style.stroke = paint(*v, style.stroke, style.current);
        if (const auto* v = value("fill-rule"))
            style.rule = *v == "evenodd" ? shape::Fill::evenOdd : shape::Fill::nonZero;
        if (const auto* v = value("visibility")) style.visible = *v == "visible";
        return style;
    }

    static bool isHidden(const pugi::xml_node& node) {
        const auto properties = propertiesOf(node);
        const auto it = properties.find("display");
        const auto opacity = properties.find("opacity");
        return (it != properties.end() && it->second == "none") ||
               (opacity != properties.end() && numberIn(opacity->second) == 0.0);
    }

    void children(const pugi::xml_node& parent, const Style& style, const Transform& at, int depth) {
        for (const auto& node : parent.children())
            if (node.type() == pugi::node_element && depth < deepest) element(node, style, at, depth);
    }

    void element(const pugi::xml_node& node, const Style& inherited, const Transform& outer, int depth) {
        static const std::map<std::string_view, int> silent{
            {"defs", 0},           {"metadata", 0}, {"title", 0},    {"desc", 0},  {"namedview", 0},
            {"style", 0},          {"symbol", 0},   {"clipPath", 0}, {"mask", 0},  {"linearGradient", 0},
            {"radialGradient", 0}, {"pattern", 0},  {"script", 0},   {"marker", 0}};
        const auto name = localName(node);
        if (silent.count(name) || isHidden(node)) return;
        const Style style = styleOf(node, inherited);
        const Transform at = outer * transformIn(node.attribute("transform").value()).value_or(Transform{});
        if (name == "g" || name == "a" || name == "switch" || name == "svg")
            return children(node, style, at, depth + 1);
        if (name == "text") {
            ++m_left[Remark::textLeftOut];
            return;
        }
        if (name == "image") {
            ++m_left[Remark::imageLeftOut];
            return;
        }
        auto contours = contoursOf(node, name);
        if (!contours) {
            ++m_unknown[std::string(name)];
            return;
        }
        if (style.visible) shape(node, style, at, std::move(*contours));
    }

    static double number(const pugi::xml_node& node, const char* key) {
        return lengthIn(node.attribute(key).value()).value_or(0);
    }

    static std::optional<std::vector<Contour>> contoursOf(const pugi::xml_node& node, std::string_view name) {
        if (name == "path") return contoursIn(node.attribute("d").value());
        if (name == "rect") return std::vector{rect(node)};
        if (name == "circle")
            return std::vector{
                ellipse({number(node, "cx"), number(node, "cy")}, number(node, "r"), number(node, "r"))};
        if (name == "ellipse")
            return std::vector{
                ellipse({number(node, "cx"), number(node, "cy")}, number(node, "rx"), number(node, "ry"))};
        if (name == "line") {
            Contour line{{number(node, "x1"), number(node, "y1")}, {}, false};
            line.lineTo({number(node, "x2"), number(node, "y2")});
            return std::vector{line};
        }
        if (name == "polygon" || name == "polyline") {
            const auto v = numbersIn(node.attribute("points").value());
            shape::Ring ring;
            for (std::size_t i = 0; i + 1 < v.size(); i += 2)
                ring.push_back({v[i], v[i + 1]});
            if (ring.size() < 2) return std::vector<Contour>{};
            Contour contour = shape::contourThrough(ring);
            contour.closed = name == "polygon";
            return std::vector{contour};
        }
        return std::nullopt;
    }

    static Contour rect(const pugi::xml_node& node) {
        const double x = number(node, "x"), y = number(node, "y"), w = number(node, "width"),
                     h = number(node, "height");
        auto rx = lengthIn(node.attribute("rx").value()), ry = lengthIn(node.attribute("ry").value());
        const double a = std::clamp(rx.value_or(ry.value_or(0)), 0.0, w / 2),
                     b = std::clamp(ry.value_or(rx.value_or(0)), 0.0, h / 2);
        if (a <= 0 || b <= 0) return shape::contourThrough({{x, y}, {x + w, y}, {x + w, y + h}, {x, y + h}});
        const auto n = [](double v) { return plainNumber(v, 9) + " "; };
        const std::string arc = "A" + n(a) + n(b) + "0 0 1 ";
        return contoursIn("M" + n(x + a) + n(y) + "H" + n(x + w - a) + arc + n(x + w) + n(y + b) + "V" +
                          n(y + h - b) + arc + n(x + w - a) + n(y + h) + "H" + n(x + a) + arc + n(x) +
                          n(y + h - b) + "V" + n(y + b) + arc + n(x + a) + n(y) + "Z")
            .front();
    }

    void shape(const pugi::xml_node& node, const Style& style, const Transform& at,
               std::vector<Contour> contours) {
        if (!style.fill && !style.stroke) return;
        for (auto& contour : contours)
            contour = transformed(contour, at);
        std::vector<Contour> closed;
        bool wasOpen = false;
        for (auto& contour : contours) {
            const bool meets =
                contour.curves.size() > 1 && shape::distance(contour.start, contour.end()) < 0.1;
            const bool isClosed = contour.closed || meets;
            if (!isClosed && !style.fill) {
                m_lines.push_back({std::move(contour), m_out.shapes.size()});
                continue;
            }
            if (!style.fill || contour.curves.size() > 1) {
                wasOpen = wasOpen || !isClosed;
                closed.push_back(std::move(contour));
            }
        }
        if (closed.empty()) return;
        const auto sorted =
            shape::sortContours(closed, style.fill ? style.rule : shape::Fill::evenOdd, leastArea);
        if (sorted.outlines.empty()) {
            ++m_left[Remark::tooSmallLeftOut];
            return;
        }
        const std::string name = nameOf(node);
        if (wasOpen) remark(Remark::openShapeClosed, {name});
        if (sorted.repaired)
            remark(Remark::crossingRepaired,
                   {name, plainNumber(sorted.crossing->x, 1), plainNumber(sorted.crossing->y, 1)});
        for (std::size_t i = 0; i < sorted.outlines.size(); ++i)
            m_out.shapes.push_back({i == 0 ? name : name + " " + std::to_string(i + 1),
                                    style.fill ? *style.fill : *style.stroke,
                                    sorted.outlines[i],
                                    {}});
    }

    std::string nameOf(const pugi::xml_node& node) {
        for (const auto& attribute : node.attributes())
            if (std::string_view(attribute.name()).ends_with("label")) return attribute.value();
        if (const auto title = node.child("title")) return title.child_value();
        std::string id = node.attribute("id").value();
        for (char& c : id)
            if (c == '_' || c == '-') c = ' ';
        return id.empty() ? "piece " + std::to_string(m_out.shapes.size() + 1) : id;
    }

    void remark(Remark what, std::vector<std::string> args) {
        m_out.warnings.push_back({what, std::move(args)});
    }

    /// Marks go to the topmost piece drawn before them that holds their middle.
    void placeMarks() {
        for (auto& line : m_lines) {
            const auto points = flattened(line.contour);
            const auto middle = shape::pointAlong(points, shape::lengthOf(points) / 2);
            DrawnShape* owner = nullptr;
            for (std::size_t i = 0; i < line.after; ++i)
                if (shape::regionOf(m_out.shapes[i].outline).contains(middle)) owner = &m_out.shapes[i];
            if (owner)
                owner->marks.push_back(std::move(line.contour));
            else
                ++m_left[Remark::openLinesLeftOut];
        }
    }

    void finish() {
        placeMarks();
        shape::Box all;
        for (const auto& drawn : m_out.shapes)
            all.take(boundsOf(drawn.outline));
        if (!m_sized && !all.isEmpty()) {
            const auto home = Transform::moveBy(-all.left, -all.top);
            for (auto& drawn : m_out.shapes) {
                drawn.outline = transformed(drawn.outline, home);
                for (auto& mark : drawn.marks)
                    mark = transformed(mark, home);
            }
            m_out.width = all.width(), m_out.height = all.height();
        }
        const shape::Box page{-0.2, -0.2, m_out.width + 0.2, m_out.height + 0.2};
        for (const auto& drawn : m_out.shapes) {
            const auto box = boundsOf(drawn.outline);
            if (m_sized && (!page.holds({box.left, box.top}) || !page.holds({box.right, box.bottom})))
                remark(Remark::beyondPage, {drawn.name});
        }
        for (const auto& [what, count] : m_left)
            remark(what, {std::to_string(count)});
        for (const auto& [what, count] : m_unknown)
            remark(Remark::unknownLeftOut, {what, std::to_string(count)});
    }

    struct Line {
        Contour contour;
        std::size_t after; ///< shapes drawn before it
    };
    Drawing& m_out;
    std::vector<Line> m_lines;
    std::map<Remark, int> m_left;
    std::map<std::string, int> m_unknown;
    bool m_sized = true;
};

} // namespace

Result<Drawing> readSvg(const std::string& text, const std::string& file) {
    pugi::xml_document document;
    const auto parsed = document.load_buffer(text.data(), text.size());
    if (!parsed) {
        const auto upTo =
            text.substr(0, static_cast<std::size_t>(std::max<std::ptrdiff_t>(parsed.offset, 0)));
        const int line = static_cast<int>(std::count(upTo.begin(), upTo.end(), '\n')) + 1;
        return failure(Code::notSvg, {file, "line " + std::to_string(line) + ": it is not well-formed"},
                       {line, {}});
    }
    const auto root = document.document_element();
    if (localName(root) != "svg")
        return failure(Code::notSvg,
                       {file, "its first element is <" + std::string(root.name()) + ">, not <svg>"});
    Drawing drawing;
    Reader(drawing).page(root);
    if (drawing.shapes.empty()) return failure(Code::emptyDrawing, {file});
    return drawing;
}

} // namespace up::intake
