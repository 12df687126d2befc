// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/picture.hpp"

#include "intake/scan/unpacked.hpp"

#include <algorithm>
#include <gdk-pixbuf/gdk-pixbuf.h>

namespace up::intake {
namespace {

Picture greyOf(const GdkPixbuf* pixbuf) {
    Picture out;
    out.width = gdk_pixbuf_get_width(pixbuf), out.height = gdk_pixbuf_get_height(pixbuf);
    const int channels = gdk_pixbuf_get_n_channels(pixbuf), stride = gdk_pixbuf_get_rowstride(pixbuf);
    const bool clear = gdk_pixbuf_get_has_alpha(pixbuf);
    const guint8* rows = gdk_pixbuf_read_pixels(pixbuf);
    out.grey.reserve(static_cast<std::size_t>(out.width) * static_cast<std::size_t>(out.height));
    for (int y = 0; y < out.height; ++y) {
        const guint8* p = rows + static_cast<std::ptrdiff_t>(y) * stride;
        for (int x = 0; x < out.width; ++x, p += channels) {
            // Weights of Rec. 601 luma, in 256ths.
            int grey = (77 * p[0] + 150 * p[1] + 29 * p[2]) >> 8;
            if (clear) grey = 255 - (255 - grey) * p[3] / 255;
            out.grey.push_back(static_cast<std::uint8_t>(grey));
        }
    }
    return out;
}

} // namespace

Result<Picture> decodePicture(const std::string& bytes, const std::string& file) {
    return unpacked(bytes, file).map([](const Unpacked& picture) {
        auto out = greyOf(picture.dots.get());
        out.dpi = picture.dpi;
        out.cutShort = picture.cutShort;
        return out;
    });
}

Picture shrunk(const Picture& picture, int by) {
    if (by < 2) return picture;
    Picture out;
    out.width = picture.width / by, out.height = picture.height / by;
    out.dpi = picture.dpi / by;
    out.grey.reserve(static_cast<std::size_t>(out.width) * static_cast<std::size_t>(out.height));
    for (int y = 0; y < out.height; ++y)
        for (int x = 0; x < out.width; ++x) {
            int sum = 0;
            for (int v = 0; v < by; ++v)
                for (int u = 0; u < by; ++u)
                    sum += picture.at(x * by + u, y * by + v);
            out.grey.push_back(static_cast<std::uint8_t>(sum / (by * by)));
        }
    return out;
}

Picture doubled(const Picture& picture) {
    Picture out;
    out.width = picture.width * 2, out.height = picture.height * 2;
    out.dpi = picture.dpi * 2;
    out.grey.reserve(static_cast<std::size_t>(out.width) * static_cast<std::size_t>(out.height));
    for (int y = 0; y < out.height; ++y) {
        const int y0 = std::clamp((y - 1) / 2, 0, picture.height - 1),
                  y1 = std::min(y0 + (y > 0 ? 1 : 0), picture.height - 1);
        const int wy = y % 2 ? 1 : 3; // quarters of the way to the lower row
        for (int x = 0; x < out.width; ++x) {
            const int x0 = std::clamp((x - 1) / 2, 0, picture.width - 1),
                      x1 = std::min(x0 + (x > 0 ? 1 : 0), picture.width - 1);
            const int wx = x % 2 ? 1 : 3;
            const int top = picture.at(x0, y0) * (4 - wx) + picture.at(x1, y0) * wx;
            const int low = picture.at(x0, y1) * (4 - wx) + picture.at(x1, y1) * wx;
            out.grey.push_back(static_cast<std::uint8_t>((top * (4 - wy) + low * wy + 8) / 16));
        }
    }
    return out;
}

} // namespace up::intake
