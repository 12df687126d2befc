// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/mask.hpp"

#include "core/base/job.hpp"

#include <algorithm>
#include <limits>
#include <memory>
#include <potracelib.h>

namespace up::intake {
namespace {

/// Squared distances along one line, from squared distances across it.
void along(const std::vector<float>& f, std::vector<float>& out, std::vector<int>& place,
           std::vector<float>& border) {
    const int n = static_cast<int>(f.size());
    const auto v = [](int i) { return static_cast<std::size_t>(i); };
    int k = 0;
    place[0] = 0;
    border[0] = -std::numeric_limits<float>::infinity();
    border[1] = std::numeric_limits<float>::infinity();
    for (int q = 1; q < n; ++q) {
        const auto meet = [&](int p) {
            return ((f[v(q)] + static_cast<float>(q) * static_cast<float>(q)) -
                    (f[v(p)] + static_cast<float>(p) * static_cast<float>(p))) /
                   (2.0F * static_cast<float>(q - p));
        };
        float s = meet(place[v(k)]);
        while (k > 0 && s <= border[v(k)])
            s = meet(place[v(--k)]);
        if (s <= border[v(k)]) k = -1; // only for k == 0: q is nearer everywhere
        ++k;
        place[v(k)] = q;
        border[v(k)] = k == 0 ? -std::numeric_limits<float>::infinity() : s;
        border[v(k) + 1] = std::numeric_limits<float>::infinity();
    }
    k = 0;
    for (int q = 0; q < n; ++q) {
        while (border[v(k) + 1] < static_cast<float>(q))
            ++k;
        const auto away = static_cast<float>(q - place[v(k)]);
        out[v(q)] = away * away + f[v(place[v(k)])];
    }
}

} // namespace

std::vector<float> distances(const Mask& mask) {
    breathe();
    constexpr float far = 1e12F;
    const auto w = static_cast<std::size_t>(mask.width), h = static_cast<std::size_t>(mask.height);
    std::vector<float> grid(w * h);
    const std::size_t longest = std::max(w, h);
    std::vector<float> f, out(longest), border(longest + 1);
    std::vector<int> place(longest);
    f.resize(h);
    for (std::size_t x = 0; x < w; ++x) {
        for (std::size_t y = 0; y < h; ++y)
            f[y] = mask.in[y * w + x] ? 0.0F : far;
        along(f, out, place, border);
        for (std::size_t y = 0; y < h; ++y)
            grid[y * w + x] = out[y];
    }
    f.resize(w);
    for (std::size_t y = 0; y < h; ++y) {
        std::copy_n(grid.begin() + static_cast<std::ptrdiff_t>(y * w), w, f.begin());
        along(f, out, place, border);
        for (std::size_t x = 0; x < w; ++x)
            grid[y * w + x] = std::sqrt(out[x]);
    }
    return grid;
}

Blots blotsOf(const Mask& mask) {
    breathe();
    Blots out;
    out.number.assign(mask.in.size(), -1);
    std::vector<std::pair<int, int>> open;
    for (int sy = 0; sy < mask.height; ++sy)
        for (int sx = 0; sx < mask.width; ++sx) {
            if (!mask.in[mask.at(sx, sy)] || out.number[mask.at(sx, sy)] >= 0) continue;
            const auto number = static_cast<std::int32_t>(out.blots.size());
            Blot blot{sx, sy, sx + 1, sy + 1, 0, false};
            out.number[mask.at(sx, sy)] = number;
            open.assign(1, {sx, sy});
            while (!open.empty()) {
                const auto [x, y] = open.back();
                open.pop_back();
                ++blot.dots;
                blot.left = std::min(blot.left, x), blot.right = std::max(blot.right, x + 1);
                blot.top = std::min(blot.top, y), blot.bottom = std::max(blot.bottom, y + 1);
                for (const auto& [nx, ny] : {std::pair{x - 1, y}, {x + 1, y}, {x, y - 1}, {x, y + 1}}) {
                    if (nx < 0 || ny < 0 || nx >= mask.width || ny >= mask.height) {
                        blot.touchesBorder = true;
                        continue;
                    }
                    const auto at = mask.at(nx, ny);
                    if (!mask.in[at] || out.number[at] >= 0) continue;
                    out.number[at] = number;
                    open.emplace_back(nx, ny);
                }
            }
            out.blots.push_back(blot);
        }
    return out;
}

std::vector<shape::Contour> traced(const Mask& mask, int least) {
    breathe();
    using shape::Point;
    constexpr int bits = static_cast<int>(sizeof(potrace_word)) * 8;
    potrace_bitmap_t map{mask.width, mask.height, (mask.width + bits - 1) / bits, nullptr};
    std::vector<potrace_word> words(static_cast<std::size_t>(map.dy) * static_cast<std::size_t>(mask.height),
                                    0);
    map.map = words.data();
    for (int y = 0; y < mask.height; ++y) // the library counts rows from below
        for (int x = 0; x < mask.width; ++x)
            if (mask.in[mask.at(x, mask.height - 1 - y)])
                words[static_cast<std::size_t>(y * map.dy + x / bits)] |= potrace_word{1}
                                                                          << (bits - 1 - x % bits);
    const std::unique_ptr<potrace_param_t, decltype(&potrace_param_free)> settings(potrace_param_default(),
                                                                                   potrace_param_free);
    settings->turdsize = least;
    settings->opttolerance = 0.3;
    const std::unique_ptr<potrace_state_t, decltype(&potrace_state_free)> state(
        potrace_trace(settings.get(), &map), potrace_state_free);
    std::vector<shape::Contour> out;
    if (!state || state->status != POTRACE_STATUS_OK) return out;
    for (const auto* path = state->plist; path; path = path->next) {
        const auto& curve = path->curve;
        const auto point = [&](int i, int k) {
            return Point{curve.c[i][k].x, mask.height - curve.c[i][k].y};
        };
        shape::Contour contour{point(curve.n - 1, 2), {}, true};
        for (int i = 0; i < curve.n; ++i) {
            if (curve.tag[i] == POTRACE_CORNER) {
                contour.lineTo(point(i, 1));
                contour.lineTo(point(i, 2));
            } else {
                contour.curveTo(point(i, 0), point(i, 1), point(i, 2));
            }
        }
        out.push_back(std::move(contour));
    }
    return out;
}

} // namespace up::intake
