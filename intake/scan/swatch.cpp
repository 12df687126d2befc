// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/swatch.hpp"

#include "core/base/lab.hpp"
#include "intake/scan/unpacked.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <gdk-pixbuf/gdk-pixbuf.h>
#include <vector>

namespace up::intake {
namespace {

/// Dots of a picture small enough to look at one by one.
struct Labs {
    int width = 0, height = 0;
    std::vector<Lab> dots;
    [[nodiscard]] std::size_t index(int x, int y) const {
        return static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x);
    }
};

/// What is clear counts as white.
Colour dotAt(const GdkPixbuf* pixbuf, int x, int y) {
    const int channels = gdk_pixbuf_get_n_channels(pixbuf);
    const guint8* p = gdk_pixbuf_read_pixels(pixbuf) +
                      static_cast<std::ptrdiff_t>(y) * gdk_pixbuf_get_rowstride(pixbuf) + x * channels;
    const int shown = gdk_pixbuf_get_has_alpha(pixbuf) ? p[3] : 255;
    const auto over = [&](int c) { return static_cast<std::uint8_t>(255 - (255 - p[c]) * shown / 255); };
    return {over(0), over(1), over(2)};
}

Labs labsOf(const GdkPixbuf* pixbuf) {
    Labs out{gdk_pixbuf_get_width(pixbuf), gdk_pixbuf_get_height(pixbuf), {}};
    out.dots.reserve(out.index(0, out.height));
    for (int y = 0; y < out.height; ++y)
        for (int x = 0; x < out.width; ++x)
            out.dots.push_back(labOf(dotAt(pixbuf, x, y)));
    return out;
}

/// CIE 1976: enough to tell paper from what lies on it.
double apart(const Lab& one, const Lab& other) {
    return std::hypot(one.lightness - other.lightness, one.a - other.a, one.b - other.b);
}

double middle(std::vector<double> values) {
    const auto half = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), half, values.end());
    return *half;
}

/// The places of the border, two dots wide.
std::vector<std::size_t> borderOf(const Labs& labs) {
    std::vector<std::size_t> out;
    for (int y = 0; y < labs.height; ++y)
        for (int x = 0; x < labs.width; ++x)
            if (std::min({x, y, labs.width - 1 - x, labs.height - 1 - y}) < 2)
                out.push_back(labs.index(x, y));
    return out;
}

/// The paper's colour, if the border is of paper.
std::optional<Lab> paperIn(const Labs& labs, const std::vector<std::size_t>& border) {
    std::array<std::vector<double>, 3> parts;
    for (const auto i : border) {
        const auto& lab = labs.dots[i];
        parts[0].push_back(lab.lightness), parts[1].push_back(lab.a), parts[2].push_back(lab.b);
    }
    const Lab paper{middle(parts[0]), middle(parts[1]), middle(parts[2])};
    constexpr double lightest = 75, palest = 14, alike = 10, share = 0.6; // invented, no source
    const auto near = std::count_if(border.begin(), border.end(),
                                    [&](std::size_t i) { return apart(labs.dots[i], paper) < alike; });
    const bool is = paper.lightness >= lightest && std::hypot(paper.a, paper.b) <= palest &&
                    static_cast<double>(near) >= share * static_cast<double>(border.size());
    return is ? std::optional(paper) : std::nullopt;
}

/// Which dots are of the paper: like it, and joined to the border through such.
std::vector<bool> paperDots(const Labs& labs, const std::vector<std::size_t>& border, const Lab& paper) {
    constexpr double like = 13; // with its shadows
    std::vector<bool> out(labs.dots.size(), false);
    std::vector<std::size_t> open;
    const auto take = [&](std::size_t i) {
        if (out[i] || apart(labs.dots[i], paper) > like) return;
        out[i] = true;
        open.push_back(i);
    };
    for (const auto i : border)
        take(i);
    const auto wide = static_cast<std::size_t>(labs.width);
    while (!open.empty()) {
        const auto i = open.back();
        open.pop_back();
        if (i % wide > 0) take(i - 1);
        if (i % wide + 1 < wide) take(i + 1);
        if (i >= wide) take(i - wide);
        if (i + wide < labs.dots.size()) take(i + wide);
    }
    return out;
}

struct Frame {
    int left = 0, top = 0, width = 0, height = 0;
};

/// Round all that is not paper, then drawn in until hardly any paper is in it.
Frame frameIn(const Labs& labs, const std::vector<bool>& paper) {
    int left = labs.width, top = labs.height, right = -1, bottom = -1;
    for (int y = 0; y < labs.height; ++y)
        for (int x = 0; x < labs.width; ++x)
            if (!paper[labs.index(x, y)])
                left = std::min(left, x), right = std::max(right, x), top = std::min(top, y),
                bottom = std::max(bottom, y);
    Frame frame{left, top, right - left + 1, bottom - top + 1};
    const auto paperShare = [&] {
        int count = 0;
        for (int y = 0; y < frame.height; ++y)
            for (int x = 0; x < frame.width; ++x)
                count += paper[labs.index(frame.left + x, frame.top + y)];
        return count / static_cast<double>(frame.width * frame.height);
    };
    constexpr double hardly = 0.01;
    constexpr int smallest = 8; // dots
    while (std::min(frame.width, frame.height) > smallest && paperShare() > hardly) {
        const int x = std::max(1, frame.width / 24), y = std::max(1, frame.height / 24);
        frame = {frame.left + x, frame.top + y, frame.width - 2 * x, frame.height - 2 * y};
    }
    return frame;
}

Colour meanOf(const Labs& labs, const std::vector<bool>& paper) {
    Lab sum;
    double count = 0;
    const auto wide = static_cast<std::size_t>(labs.width);
    for (std::size_t i = 0; i < labs.dots.size(); ++i) {
        const bool atPaper = paper[i] || (i > 0 && paper[i - 1]) || (i + 1 < paper.size() && paper[i + 1]) ||
                             (i >= wide && paper[i - wide]) || (i + wide < paper.size() && paper[i + wide]);
        if (atPaper) continue; // its edge is a mixture
        sum.lightness += labs.dots[i].lightness, sum.a += labs.dots[i].a, sum.b += labs.dots[i].b;
        ++count;
    }
    return colourOf(lightOfLab(Lab{sum.lightness / count, sum.a / count, sum.b / count}));
}

Pixbuf scaledTo(const GdkPixbuf* pixbuf, int longest) {
    const int width = gdk_pixbuf_get_width(pixbuf), height = gdk_pixbuf_get_height(pixbuf);
    const double by = std::min(1.0, longest / static_cast<double>(std::max(width, height)));
    const auto to = [&](int side) { return std::max(1, static_cast<int>(std::lround(side * by))); };
    return Pixbuf(gdk_pixbuf_scale_simple(pixbuf, to(width), to(height), GDK_INTERP_BILINEAR));
}

std::string pngOf(GdkPixbuf* pixbuf) {
    gchar* buffer = nullptr;
    gsize size = 0;
    std::string out;
    if (gdk_pixbuf_save_to_buffer(pixbuf, &buffer, &size, "png", nullptr, nullptr)) out.assign(buffer, size);
    g_free(buffer);
    return out;
}

} // namespace

Result<SwatchRead> readSwatch(const std::string& bytes, const std::string& file) {
    const auto whole = unpacked(bytes, file);
    if (!whole) return tl::unexpected(whole.error());
    constexpr int lookedAt = 480, kept = 160; // dots
    const auto small = scaledTo(whole->dots.get(), lookedAt);
    const auto labs = labsOf(small.get());
    const auto border = borderOf(labs);
    SwatchRead out{};
    std::vector<bool> paper(labs.dots.size(), false);
    if (const auto colour = paperIn(labs, border)) {
        auto found = paperDots(labs, border, *colour);
        const auto cloth = std::count(found.begin(), found.end(), false);
        constexpr double least = 0.02; // of the picture: less is dust on white cloth
        out.paper = static_cast<double>(cloth) > least * static_cast<double>(found.size());
        if (out.paper) paper = std::move(found);
    }
    out.colour = meanOf(labs, paper);
    const auto frame = frameIn(labs, paper);
    const Pixbuf part(
        gdk_pixbuf_new_subpixbuf(small.get(), frame.left, frame.top, frame.width, frame.height));
    out.png = pngOf(scaledTo(part.get(), kept).get());
    if (whole->dpi > 0)
        out.across = frame.width / whole->dpi * 25.4 * gdk_pixbuf_get_width(whole->dots.get()) / labs.width;
    return out;
}

} // namespace up::intake
