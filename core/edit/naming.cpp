// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/naming.hpp"

#include "core/base/text.hpp"

#include "core/shape/region.hpp"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <map>
#include <optional>
#include <set>

namespace up::edit {
namespace {

using quilt::Drawing;
using shape::Box;

constexpr double nearMiddle = 0.05; // of the drawing's width: a pair's own middle from the drawing's
constexpr double same = 0.98;       // of the area that pair and mirror image share

/// What the fabric of each colour is called, or will be: a new one by its colour's word, with a number when
/// that word is taken.
class FabricNames {
public:
    explicit FabricNames(const std::vector<quilt::Fabric>& fabrics) {
        for (const auto& fabric : fabrics) {
            m_names.try_emplace(fabric.colour, fabric.name);
            m_taken.insert(fabric.name);
        }
    }
    std::string of(Colour colour) {
        const auto [it, fresh] = m_names.try_emplace(colour, nameFor(colour));
        for (int i = 2; fresh && !m_taken.insert(it->second).second; ++i)
            it->second = nameFor(colour) + " " + std::to_string(i);
        return it->second;
    }

private:
    std::map<Colour, std::string> m_names;
    std::set<std::string> m_taken;
};

/// "rust 1", but "rust 2, 1" of a fabric that is called "rust 2".
std::string before(const std::string& fabric) {
    const bool numbered = !fabric.empty() && fabric.back() >= '0' && fabric.back() <= '9';
    return fabric + (numbered ? ", " : " ");
}

struct Shape {
    std::size_t index;
    Box box;
    double area;
};

/// Finds the shapes that are mirror images of each other, left for right, across the middle of all.
class Pairs {
public:
    explicit Pairs(const Drawing& drawing) : m_drawing(drawing), m_partner(drawing.shapes.size()) {
        for (const auto& drawn : drawing.shapes)
            m_all.take(boundsOf(drawn.outline));
        std::map<Colour, std::vector<Shape>> nameless;
        for (std::size_t i = 0; i < drawing.shapes.size(); ++i)
            if (const auto& drawn = drawing.shapes[i]; quilt::isMadeUpName(drawn.name))
                nameless[drawn.fill].push_back(
                    {i, boundsOf(drawn.outline), std::abs(signedArea(drawn.outline.edge))});
        for (auto& [colour, shapes] : nameless)
            findIn(shapes);
    }
    [[nodiscard]] std::optional<std::size_t> partner(std::size_t i) const { return m_partner[i]; }

private:
    void findIn(std::vector<Shape>& shapes) {
        std::stable_sort(shapes.begin(), shapes.end(),
                         [](const Shape& a, const Shape& b) { return a.area < b.area; });
        for (std::size_t i = 0; i < shapes.size(); ++i)
            for (std::size_t k = i + 1; k < shapes.size() && shapes[k].area < shapes[i].area * 1.02; ++k) {
                if (m_partner[shapes[i].index]) break;
                if (m_partner[shapes[k].index] || !isPair(shapes[i], shapes[k])) continue;
                m_partner[shapes[i].index] = shapes[k].index;
                m_partner[shapes[k].index] = shapes[i].index;
            }
    }
    [[nodiscard]] bool isPair(const Shape& a, const Shape& b) const {
        const double off = std::max(m_all.width(), m_all.height()) * 0.01;
        const double middle = (a.box.centre().x + b.box.centre().x) / 2;
        if (std::abs(a.box.centre().x - b.box.centre().x) < 2 * off) return false; // one on the other
        if (std::abs(middle - m_all.centre().x) > m_all.width() * nearMiddle) return false;
        if (std::abs(a.box.top - b.box.top) > off || std::abs(a.box.bottom - b.box.bottom) > off ||
            std::abs(a.box.width() - b.box.width()) > off)
            return false;
        const auto mirrored =
            transformed(m_drawing.shapes[a.index].outline, shape::Transform::mirrorAcross(middle));
        const auto whole = shape::regionOf(m_drawing.shapes[b.index].outline);
        return shape::intersect(shape::regionOf(mirrored), whole).area() > same * whole.area();
    }
    const Drawing& m_drawing;
    Box m_all;
    std::vector<std::optional<std::size_t>> m_partner;
};

/// The highest number that follows the fabric's name in those taken.
int highest(const std::string& fabric, const std::vector<std::string>& taken) {
    int most = 0;
    for (const auto& name : taken) {
        if (!name.starts_with(before(fabric))) continue;
        int number = 0;
        const char* end = name.data() + name.size();
        if (std::from_chars(name.data() + before(fabric).size(), end, number).ec == std::errc{})
            most = std::max(most, number);
    }
    return most;
}

} // namespace

std::vector<std::string> namesFor(const Drawing& drawing, const std::vector<quilt::Fabric>& fabrics,
                                  bool reversed, const std::vector<std::string>& taken) {
    const Pairs pairs(drawing);
    FabricNames names(fabrics);
    std::map<std::string, int> last;
    std::vector<std::string> out;
    std::vector<bool> nameless;
    for (const auto& drawn : drawing.shapes) {
        out.push_back(drawn.name);
        nameless.push_back(quilt::isMadeUpName(drawn.name));
    }
    for (std::size_t i = 0; i < out.size(); ++i) {
        const auto fabric = names.of(drawing.shapes[i].fill); // of all, in the order in which they are made
        if (!nameless[i]) continue;
        const auto [it, fresh] = last.try_emplace(fabric, 0);
        if (fresh) it->second = highest(fabric, taken);
        const auto name = before(fabric) + std::to_string(++it->second);
        out[i] = name;
        const auto other = pairs.partner(i);
        if (!other) continue;
        const auto x = [&](std::size_t k) { return boundsOf(drawing.shapes[k].outline).centre().x; };
        const bool left = (x(i) < x(*other)) != reversed;
        out[i] = name + (left ? " left" : " right");
        out[*other] = name + (left ? " right" : " left");
        nameless[*other] = false; // it has its name now
    }
    return out;
}

Result<std::string> properName(std::string_view name) {
    constexpr std::size_t longest = 200;
    const auto isControl = [](char c) { return static_cast<unsigned char>(c) < 0x20 || c == 0x7F; };
    const auto said = trimmed(name);
    const bool isOne = !said.empty() && said.size() <= longest && isUtf8(said) &&
                       std::none_of(said.begin(), said.end(), isControl);
    if (!isOne) return failure(Code::badName, {asUtf8(said.substr(0, longest))});
    return std::string(said);
}

} // namespace up::edit
