// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/clip.hpp"

namespace up::intake {
namespace {

using shape::Contour;
using shape::Transform;

constexpr double darkest = 0.02; // luminance: less lets nothing through

std::shared_ptr<const Clip> areaOf(shape::Region region) {
    auto outlines = shape::outlinesOf(region);
    return std::make_shared<const Clip>(Clip{std::move(region), std::move(outlines)});
}

std::shared_ptr<const Clip> clipOf(const std::vector<Contour>& contours, shape::Fill rule, double tolerance) {
    shape::Rings rings;
    for (const auto& contour : contours)
        rings.push_back(flattened(contour, tolerance));
    auto region = shape::regionOf(rings, rule);
    if (contours.size() != 1) return areaOf(std::move(region));
    shape::Outline whole{contours.front(), {}};
    whole.edge.closed = true;
    return std::make_shared<const Clip>(Clip{std::move(region), {std::move(whole)}});
}

/// Gathers the area that lets through.
class Through : public Listener {
public:
    Through(bool isMask, double tolerance) : m_isMask(isMask), m_tolerance(tolerance) {}

    void shape(std::string, std::vector<Contour> contours, const Setting& setting) override {
        const auto& style = setting.style;
        if (m_isMask && !style.fills()) return;
        auto part = clipOf(contours, m_isMask ? style.rule : style.clipRule, m_tolerance);
        if (setting.clip) part = narrowed(part, setting.clip);
        const bool isDark = m_isMask && luminance(*style.fill) < darkest;
        if (isDark)
            m_all = areaOf(shape::subtract(m_all->region, part->region));
        else
            m_all = m_all->region.isEmpty() ? part : areaOf(shape::unite(m_all->region, part->region));
    }
    void leftOut(quilt::Remark) override {}
    void leftOutUnknown(const std::string&) override {}

    [[nodiscard]] std::shared_ptr<const Clip> run() const { return m_all; }

private:
    bool m_isMask;
    double m_tolerance;
    std::shared_ptr<const Clip> m_all = std::make_shared<const Clip>();
};

/// The extent of what an element draws.
class Extent : public Listener {
public:
    void shape(std::string, std::vector<Contour> contours, const Setting&) override {
        for (const auto& contour : contours)
            m_box.take(boundsOf(contour));
    }
    void leftOut(quilt::Remark) override {}
    void leftOutUnknown(const std::string&) override {}
    [[nodiscard]] const shape::Box& box() const { return m_box; }

private:
    shape::Box m_box;
};

/// In the user units of the element itself.
shape::Box boxOf(const Document& document, const pugi::xml_node& node, const Setting& outer, double tolerance,
                 Journey& journey) {
    Extent extent;
    Setting setting = outer;
    setting.at = {};
    setting.clip.reset();
    Walker walker(document, extent, tolerance, journey);
    if (node.first_child())
        walker.children(node, setting);
    else {
        pugi::xml_document alone; // without its transform, which is outside its user units
        auto copy = alone.append_copy(node);
        copy.remove_attribute("transform");
        copy.remove_attribute("clip-path");
        copy.remove_attribute("mask");
        copy.remove_attribute("style");
        copy.remove_attribute("class");
        walker.element(copy, setting);
    }
    return extent.box();
}

} // namespace

std::shared_ptr<const Clip> rectangleClip(double width, double height, const Transform& at,
                                          double tolerance) {
    const auto box = shape::contourThrough({{0, 0}, {width, 0}, {width, height}, {0, height}});
    return clipOf({transformed(box, at)}, shape::Fill::nonZero, tolerance);
}

std::shared_ptr<const Clip> narrowed(const std::shared_ptr<const Clip>& one,
                                     const std::shared_ptr<const Clip>& other) {
    if (!one || !other) return one ? one : other;
    return areaOf(shape::intersect(one->region, other->region));
}

std::shared_ptr<const Clip> clipFrom(const Document& document, const pugi::xml_node& source,
                                     const pugi::xml_node& node, const Setting& outer, double tolerance,
                                     Journey& journey) {
    const bool isMask = localName(source) == "mask";
    Setting setting{{}, outer.at, outer.viewport};
    setting.depth = outer.depth, setting.uses = outer.uses + 1;
    const auto units = source.attribute(isMask ? "maskContentUnits" : "clipPathUnits").value();
    if (std::string_view(units) == "objectBoundingBox") {
        const auto box = boxOf(document, node, setting, tolerance, journey);
        if (box.isEmpty()) return nullptr;
        setting.at =
            setting.at * Transform::moveBy(box.left, box.top) * Transform::scale(box.width(), box.height());
    }
    setting.at = setting.at * transformIn(source.attribute("transform").value()).value_or(Transform{});
    setting.style = styleOf(document, source, {}, setting.viewport.diagonal());
    if (!setting.style.clip.empty() && setting.uses < deepestUse)
        if (const auto further = document.referred(setting.style.clip);
            localName(further) == "clipPath" && !journey.goesRound(source, further)) {
            Setting around = outer; // not what stands in this clip's own units
            around.uses = setting.uses;
            journey.open.push_back(further);
            setting.clip = clipFrom(document, further, node, around, tolerance, journey);
            journey.open.pop_back();
        }
    Through through(isMask, tolerance);
    Walker(document, through, tolerance, journey).children(source, setting);
    return through.run();
}

} // namespace up::intake
