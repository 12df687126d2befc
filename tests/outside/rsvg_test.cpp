// SPDX-License-Identifier: GPL-3.0-or-later
// The sample drawings: silhouettes of our pieces against librsvg's picture of the same file.
#include "core/shape/region.hpp"
#include "intake/svg/svg.hpp"
#include "tests/support/files.hpp"
#include "tests/support/shapes.hpp"
#include "tests/support/tool.hpp"

#include <cairo.h>
#include <cstring>
#include <filesystem>
#include <gtest/gtest.h>

namespace up::intake {
namespace {

constexpr int side = 600; // pixels

/// Even-odd inside test of pixel middles, row by row; no code of the project's.
std::vector<bool> silhouette(const quilt::Drawing& drawing) {
    std::vector<bool> out(side * side, false);
    const double mm = drawing.width / side;
    for (const auto& drawn : drawing.shapes) {
        const auto rings = flattened(drawn.outline, 0.01);
        for (int row = 0; row < side; ++row) {
            const double y = (row + 0.5) * mm;
            std::vector<double> crossings;
            for (const auto& ring : rings)
                for (std::size_t i = 0, j = ring.size() - 1; i < ring.size(); j = i++)
                    if ((ring[i].y > y) != (ring[j].y > y))
                        crossings.push_back(ring[i].x + (ring[j].x - ring[i].x) * (y - ring[i].y) /
                                                            (ring[j].y - ring[i].y));
            std::sort(crossings.begin(), crossings.end());
            for (std::size_t i = 0; i + 1 < crossings.size(); i += 2)
                for (int x = std::max(0, static_cast<int>(std::ceil(crossings[i] / mm - 0.5)));
                     x < side && (x + 0.5) * mm < crossings[i + 1]; ++x)
                    out[static_cast<std::size_t>(row * side + x)] = true;
        }
    }
    return out;
}

/// Where rsvg paints at least half a pixel.
std::vector<bool> painted(const std::string& svg, const test::TempDir& dir) {
    const auto png = dir.file("picture.png");
    const auto said = test::tool("rsvg-convert -w 600 -h 600 '" + svg + "' -o '" + png + "'");
    EXPECT_EQ(said.code, 0) << said.out;
    auto* surface = cairo_image_surface_create_from_png(png.c_str());
    std::vector<bool> out(side * side, false);
    if (cairo_image_surface_get_width(surface) == side && cairo_image_surface_get_height(surface) == side) {
        const int stride = cairo_image_surface_get_stride(surface);
        const unsigned char* bytes = cairo_image_surface_get_data(surface);
        for (int y = 0; y < side; ++y)
            for (int x = 0; x < side; ++x) {
                std::uint32_t pixel = 0;
                std::memcpy(&pixel, bytes + y * stride + 4 * x, 4);
                out[static_cast<std::size_t>(y * side + x)] = (pixel >> 24) >= 128;
            }
    }
    cairo_surface_destroy(surface);
    return out;
}

TEST(AgainstRsvg, TheSampleDrawingsHaveTheSameSilhouettes) {
    const test::TempDir dir;
    int seen = 0;
    for (const auto& entry : std::filesystem::directory_iterator(test::source("demo/drawings"))) {
        const auto path = entry.path().string();
        const auto drawing = test::must(readSvg(test::readAll(path), path));
        const auto ours = silhouette(drawing), theirs = painted(path, dir);
        double both = 0, either = 0;
        for (std::size_t i = 0; i < ours.size(); ++i)
            both += ours[i] && theirs[i], either += ours[i] || theirs[i];
        EXPECT_GE(both / either, 0.99) << path;
        ++seen;
    }
    EXPECT_EQ(seen, 13);
}

} // namespace
} // namespace up::intake
