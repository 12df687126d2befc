// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/dxf/dxf.hpp"

#include "core/base/spoken.hpp"
#include "intake/dxf/gather.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace up::intake {
namespace {

using quilt::Remark;
using shape::Transform;

constexpr std::size_t deepestInsert = 16;

/// Source: DXF reference, values of $INSUNITS that a drawing for cloth may have.
std::optional<double> mmPerUnit(int units) {
    switch (units) {
    case 1: return 25.4;
    case 2: return 304.8;
    case 4: return 1;
    case 5: return 10;
    case 6: return 1000;
    case 8: return 25.4e-6;
    case 9: return 0.0254;
    case 10: return 914.4;
    case 13: return 0.001;
    case 14: return 100;
    default: return std::nullopt;
    }
}

/// The numbered colours: 1 to 9 fixed, 250 to 255 greys, between them 24 hues in five shades, pale ones odd.
/// Source: from memory of the palette in common use.
Colour numbered(int index) {
    constexpr std::array<Colour, 10> first{{{0, 0, 0},
                                            {255, 0, 0},
                                            {255, 255, 0},
                                            {0, 255, 0},
                                            {0, 255, 255},
                                            {0, 0, 255},
                                            {255, 0, 255},
                                            {0, 0, 0},
                                            {128, 128, 128},
                                            {192, 192, 192}}};
    if (index < 10) return first[static_cast<std::size_t>(std::max(index, 0))];
    if (index >= 250) {
        const auto grey = static_cast<std::uint8_t>(51 + (std::min(index, 255) - 250) * 40);
        return {grey, grey, grey};
    }
    constexpr std::array<double, 5> shades{1, 0.65, 0.5, 0.3, 0.15};
    const double shade = shades[static_cast<std::size_t>(index % 10 / 2)], pale = index % 2 ? 0.5 : 0;
    const double hue = (index - 10) / 10 * 15.0;
    const auto channel = [&](double offset) {
        const double away = std::abs(std::remainder(hue - offset, 360.0));
        const double full = std::clamp((120 - away) / 60, 0.0, 1.0);
        return static_cast<std::uint8_t>(std::lround(255 * shade * (pale + (1 - pale) * full)));
    };
    return {channel(0), channel(120), channel(240)};
}

class Reader {
public:
    Reader(const DxfFile& file, Collector& out) : m_file(file), m_out(out) {}

    void group(const DxfGroup& group, const Transform& at) {
        for (const auto& line : group.lines) {
            if (m_out.isFull()) return;
            put(line, at);
        }
        for (const auto& text : group.texts)
            m_out.addLabel(text.text, at(text.at));
        for (const auto& insert : group.inserts) {
            if (m_out.isFull() || m_inserted > mostShapes) return;
            const auto block = m_file.blocks.find(insert.block);
            if (block == m_file.blocks.end())
                m_out.leaveOut(Remark::missingLeftOut);
            else if (isOpen(block->second) || m_open.size() >= deepestInsert || ++m_inserted > mostShapes)
                m_out.leaveOut(Remark::endlessLeftOut);
            else
                insertBlock(block->second, at * insert.place);
        }
    }

private:
    /// A block within itself has no end.
    [[nodiscard]] bool isOpen(const DxfGroup& block) const {
        return std::find(m_open.begin(), m_open.end(), &block) != m_open.end();
    }
    void insertBlock(const DxfGroup& block, const Transform& at) {
        m_open.push_back(&block);
        group(block, at * Transform::moveBy(-block.base.x, -block.base.y));
        m_open.pop_back();
    }
    void put(const DxfLine& line, const Transform& at) {
        const auto layer = m_file.layerColours.find(line.layer);
        const int layerColour = layer == m_file.layerColours.end() ? 7 : layer->second;
        if (layerColour < 0) return m_out.leaveOut(Remark::hiddenLeftOut);
        Painted painted;
        painted.name = line.layer == "0" ? "" : line.layer;
        painted.contours = {transformed(line.contour, at)};
        for (const auto& island : line.islands)
            painted.contours.push_back(transformed(island, at));
        painted.rule = shape::Fill::evenOdd;
        const Colour colour =
            line.colour < 0 ? Colour{static_cast<std::uint8_t>((-1 - line.colour) >> 16 & 0xff),
                                     static_cast<std::uint8_t>((-1 - line.colour) >> 8 & 0xff),
                                     static_cast<std::uint8_t>((-1 - line.colour) & 0xff)}
                            : numbered(line.colour == 256 || line.colour == 0 ? layerColour : line.colour);
        (line.filled ? painted.fill : painted.pen) = colour;
        m_out.add(std::move(painted));
    }
    const DxfFile& m_file;
    Collector& m_out;
    std::vector<const DxfGroup*> m_open; ///< blocks within blocks
    std::size_t m_inserted = 0;
};

} // namespace

Result<quilt::Drawing> readDxf(const std::string& text, const std::string& file, Options options) {
    const auto found = gatherDxf(text, file);
    if (!found) return tl::unexpected(found.error());
    options.largeBeneath = true;
    Collector collector(std::move(options));
    if (found->cutShort) collector.remark(Remark::cutShort);
    if (found->wrongLetters) collector.remark(Remark::wrongLetters);
    auto unit = mmPerUnit(found->units);
    if (!unit) {
        const bool inches = found->hasMeasurement && !found->metric;
        unit = inches ? 25.4 : 1;
        collector.remark(Remark::unitAssumed, {inches ? "1 in" : "1 mm"});
    }
    Reader(*found, collector).group(found->model, Transform::scale(*unit, -*unit));
    for (const auto& [kind, count] : found->unknown)
        for (int i = 0; i < count; ++i)
            collector.leaveOutUnknown(kind);
    auto drawing = collector.isFull() ? std::nullopt : collector.finish();
    if (!drawing) return failure(Code::tooLarge, {file, spoken("{0} shapes", {std::to_string(mostShapes)})});
    if (drawing->shapes.empty()) return failure(Code::emptyDrawing, {file});
    return std::move(*drawing);
}

} // namespace up::intake
