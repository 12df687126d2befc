// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/svg/svg.hpp"

#include "intake/svg/walker.hpp"

#include "core/base/spoken.hpp"
#include <algorithm>
#include <cmath>

namespace up::intake {
namespace {

using quilt::Remark;
using shape::Transform;

constexpr double mmPerUnit = 25.4 / 96;

/// Hands what is painted to the collector.
class Page : public Listener {
public:
    Page(Collector& out, bool printed) : m_out(out), m_printed(printed) {}

    void shape(std::string name, std::vector<shape::Contour> contours, const Setting& setting) override {
        const Style& style = setting.style;
        if (!style.fills() && !style.strokes()) return;
        if (m_printed && setting.isGlyph && isSmall(contours)) return;
        Painted painted;
        if (!m_printed) painted.name = std::move(name); // printers' programs make up names of their own
        painted.contours = std::move(contours);
        if (style.fills()) painted.fill = style.fill;
        if (style.strokes()) painted.pen = style.stroke;
        painted.rule = style.rule;
        painted.penWidth = style.penWidth * std::sqrt(std::abs(setting.at.determinant()));
        painted.cap = style.cap, painted.join = style.join, painted.dashed = style.dashed;
        painted.clip = setting.clip;
        m_out.add(std::move(painted));
    }
    void wrote(int letters, bool mirrored) override { m_out.addReading(letters, mirrored); }
    void leftOut(Remark what) override { m_out.leaveOut(what); }
    void leftOutUnknown(const std::string& element) override { m_out.leaveOutUnknown(element); }
    [[nodiscard]] bool isFull() const override { return m_out.isFull(); }

private:
    static bool isSmall(const std::vector<shape::Contour>& contours) {
        shape::Box box;
        for (const auto& contour : contours)
            box.take(boundsOf(contour));
        return box.height() < leastLetter;
    }
    Collector& m_out;
    bool m_printed;
};

} // namespace

Result<quilt::Drawing> readSvg(const std::string& text, const std::string& file, Options options) {
    Document document;
    if (auto loaded = document.load(text, file); !loaded) return tl::unexpected(loaded.error());
    const auto root = document.root();
    const auto& amiss = document.remarks();
    const auto size = pageSizeOf(root);
    const bool printed = options.printed;
    Collector collector(std::move(options));
    for (const auto remark : amiss)
        collector.remark(remark);
    if (!size.physical) collector.remark(Remark::sizeAssumed);
    collector.setPage(size.width * mmPerUnit, size.height * mmPerUnit);
    Setting setting{{}, Transform::scale(mmPerUnit, mmPerUnit), viewportOf(root, size.width, size.height)};
    setting.at = setting.at * setting.viewport.place;
    setting.style = styleOf(document, root, {}, setting.viewport.diagonal());
    Page page(collector, printed);
    Journey journey;
    if (setting.style.shown) Walker(document, page, collector.tolerance(), journey).children(root, setting);
    auto drawing = collector.isFull() ? std::nullopt : collector.finish();
    if (!drawing) return failure(Code::tooLarge, {file, spoken("{0} shapes", {std::to_string(mostShapes)})});
    if (!drawing->shapes.empty()) return std::move(*drawing);
    const bool tangled = std::any_of(drawing->warnings.begin(), drawing->warnings.end(),
                                     [](const auto& w) { return w.remark == Remark::tangledLeftOut; });
    if (std::find(amiss.begin(), amiss.end(), Remark::cutShort) != amiss.end())
        return failure(Code::notSvg, {file, spoken("it is cut short before its first shape")});
    return failure(tangled ? Code::crossing : Code::emptyDrawing, {file});
}

} // namespace up::intake
