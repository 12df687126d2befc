// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/flatten.hpp"

#include "core/base/job.hpp"
#include "core/measure/paper.hpp"
#include "core/shape/ring.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <numeric>

namespace up::intake {
namespace {

using shape::Point;
using Corners = std::array<Point, 4>; // top left, top right, bottom right, bottom left

constexpr int roughSide = 400;         // dots of the picture that the page is first looked for in
constexpr double leastShare = 0.2;     // of the picture that a page takes
constexpr double mostShare = 0.93;     // more fills the picture: a scan
constexpr double leastContrast = 1.25; // page to table
constexpr double mostDpi = 400;

/// Between dark and bright. Source: Otsu, "A Threshold Selection Method from Gray-Level Histograms", 1979.
int thresholdOf(const Picture& picture) {
    std::array<double, 256> count{};
    for (const auto grey : picture.grey)
        ++count[grey];
    const double all = static_cast<double>(picture.grey.size());
    double sum = 0, below = 0, sumBelow = 0, best = -1;
    for (std::size_t i = 0; i < 256; ++i)
        sum += static_cast<double>(i) * count[i];
    int out = 128;
    for (std::size_t i = 0; i < 256; ++i) {
        below += count[i], sumBelow += static_cast<double>(i) * count[i];
        if (below == 0 || below == all) continue;
        const double apart = sumBelow / below - (sum - sumBelow) / (all - below);
        if (const double between = below * (all - below) * apart * apart; between > best)
            best = between, out = static_cast<int>(i);
    }
    return out;
}

/// The bright dots that hang together with most others, as a mask.
std::vector<char> largestBright(const Picture& picture, int threshold) {
    const auto w = static_cast<std::size_t>(picture.width), n = picture.grey.size();
    std::vector<int> part(n, 0);
    std::vector<std::size_t> stack;
    int parts = 0, best = 0;
    std::size_t most = 0;
    for (std::size_t seed = 0; seed < n; ++seed) {
        if (part[seed] || picture.grey[seed] <= threshold) continue;
        ++parts;
        std::size_t size = 0;
        stack.push_back(seed), part[seed] = parts;
        while (!stack.empty()) {
            const auto at = stack.back();
            stack.pop_back(), ++size;
            const auto visit = [&](std::size_t next) {
                if (!part[next] && picture.grey[next] > threshold) part[next] = parts, stack.push_back(next);
            };
            if (at % w > 0) visit(at - 1);
            if (at % w + 1 < w) visit(at + 1);
            if (at >= w) visit(at - w);
            if (at + w < n) visit(at + w);
        }
        if (size > most) most = size, best = parts;
    }
    std::vector<char> out(n);
    for (std::size_t i = 0; i < n; ++i)
        out[i] = best && part[i] == best ? 1 : 0;
    return out;
}

/// The corners of a page are its dots that lie farthest out along the diagonals.
Corners cornersOf(const std::vector<char>& mask, int width) {
    Corners out{};
    std::array<double, 4> best{-1e18, -1e18, -1e18, -1e18};
    for (std::size_t i = 0; i < mask.size(); ++i) {
        if (!mask[i]) continue;
        const double x = static_cast<double>(i % static_cast<std::size_t>(width)),
                     y = static_cast<double>(i / static_cast<std::size_t>(width));
        const std::array<double, 4> far{-x - y, x - y, x + y, y - x};
        for (std::size_t k = 0; k < 4; ++k)
            if (far[k] > best[k]) best[k] = far[k], out[k] = {x + 0.5, y + 0.5};
    }
    return out;
}

double brightness(const Picture& picture, double x, double y) {
    const double left = std::clamp(x - 0.5, 0.0, picture.width - 1.001),
                 top = std::clamp(y - 0.5, 0.0, picture.height - 1.001);
    const int i = static_cast<int>(left), j = static_cast<int>(top);
    const double u = left - i, v = top - j;
    const int right = std::min(i + 1, picture.width - 1), below = std::min(j + 1, picture.height - 1);
    return (picture.at(i, j) * (1 - u) + picture.at(right, j) * u) * (1 - v) +
           (picture.at(i, below) * (1 - u) + picture.at(right, below) * u) * v;
}

struct Line {
    Point through, way;
};

/// The side of the page between two corners: where it grows dark, walked across it at many places.
Line sideOf(const Picture& picture, Point a, Point b, double reach, int threshold) {
    const Point way = (b - a) * (1 / shape::distance(a, b)), out{way.y, -way.x}; // away from the page
    std::vector<Point> edge;
    constexpr int places = 60;
    for (int i = 0; i < places; ++i) {
        const Point on = a + (b - a) * (0.06 + 0.88 * i / (places - 1));
        double before = brightness(picture, on.x - out.x * reach, on.y - out.y * reach);
        for (double d = -reach + 0.5; d <= reach; d += 0.5) {
            const double now = brightness(picture, on.x + out.x * d, on.y + out.y * d);
            if (before > threshold && now <= threshold) {
                const double back = 0.5 * (threshold - now) / std::max(before - now, 1e-9);
                edge.push_back(on + out * (d - back));
                break;
            }
            before = now;
        }
    }
    // A straight line through them; those far off (a thumb, a fold) are dropped once.
    Line line{(a + b) * 0.5, way};
    for (int round = 0; round < 2 && edge.size() > 8; ++round) {
        Point middle{};
        for (const Point p : edge)
            middle = middle + p * (1.0 / static_cast<double>(edge.size()));
        double xx = 0, xy = 0, yy = 0;
        for (const Point p : edge) {
            const Point d = p - middle;
            xx += d.x * d.x, xy += d.x * d.y, yy += d.y * d.y;
        }
        const double turn = std::atan2(2 * xy, xx - yy) / 2;
        line = {middle, {std::cos(turn), std::sin(turn)}};
        std::erase_if(edge, [&](Point p) {
            return std::abs(shape::cross(line.through, line.through + line.way, p)) >
                   std::max(2.0, reach / 4);
        });
    }
    return line;
}

Point crossingOf(const Line& a, const Line& b) {
    const double det = a.way.x * b.way.y - a.way.y * b.way.x;
    if (std::abs(det) < 1e-9) return a.through;
    const Point d = b.through - a.through;
    return a.through + a.way * ((d.x * b.way.y - d.y * b.way.x) / det);
}

/// From (u, v) in the unit square to the four corners.
struct Projection {
    double a, b, c, d, e, f, g, h;
    explicit Projection(const Corners& q) {
        const Point s = q[0] - q[1] + q[2] - q[3], d1 = q[1] - q[2], d2 = q[3] - q[2];
        const double det = d1.x * d2.y - d2.x * d1.y;
        g = (s.x * d2.y - d2.x * s.y) / det, h = (d1.x * s.y - s.x * d1.y) / det;
        a = q[1].x - q[0].x + g * q[1].x, b = q[3].x - q[0].x + h * q[3].x, c = q[0].x;
        d = q[1].y - q[0].y + g * q[1].y, e = q[3].y - q[0].y + h * q[3].y, f = q[0].y;
    }
    [[nodiscard]] Point operator()(double u, double v) const {
        const double w = g * u + h * v + 1;
        return {(a * u + b * v + c) / w, (d * u + e * v + f) / w};
    }
};

/// The corners in the rough picture, if what is bright there is a page.
std::optional<Corners> roughCorners(const Picture& rough, int threshold) {
    const auto mask = largestBright(rough, threshold);
    const auto corners = cornersOf(mask, rough.width);
    const double whole = static_cast<double>(mask.size());
    const double area = std::abs(shape::signedArea({corners.begin(), corners.end()}));
    if (area < leastShare * whole || area > mostShare * whole) return std::nullopt;
    double inside = 0, bright = 0, outside = 0, dark = 0;
    int apart = 0;
    const double border = 0.01 * std::max(rough.width, rough.height);
    for (const Point p : corners)
        apart +=
            p.x > border && p.y > border && p.x < rough.width - border && p.y < rough.height - border ? 1 : 0;
    const shape::Ring quad(corners.begin(), corners.end());
    std::size_t covered = 0;
    for (std::size_t i = 0; i < mask.size(); ++i) {
        const auto w = static_cast<std::size_t>(rough.width);
        const bool in =
            shape::contains(quad, {static_cast<double>(i % w) + 0.5, static_cast<double>(i / w) + 0.5});
        (in ? bright : dark) += rough.grey[i];
        (in ? inside : outside) += 1;
        covered += in && mask[i] ? 1U : 0U;
    }
    // Corners within the picture, brighter than what is round it, and filled but for the lines on it.
    const bool stands = apart >= 3 && outside > 0 && bright / inside > leastContrast * dark / outside;
    if (!stands || static_cast<double>(covered) < 0.8 * inside) return std::nullopt;
    return corners;
}

} // namespace

std::optional<Picture> flattenedPage(const Picture& photo) {
    const int most = std::max(photo.width, photo.height);
    if (most < 200) return std::nullopt;
    const int by = std::max(1, most / roughSide);
    const auto rough = by > 1 ? shrunk(photo, by) : photo;
    const int threshold = thresholdOf(rough);
    auto corners = roughCorners(rough, threshold);
    if (!corners) return std::nullopt;
    for (auto& p : *corners)
        p = p * static_cast<double>(by);
    std::array<Line, 4> sides{};
    for (std::size_t k = 0; k < 4; ++k)
        sides[k] = sideOf(photo, (*corners)[k], (*corners)[(k + 1) % 4], 4.0 * by, threshold);
    Corners exact{};
    for (std::size_t k = 0; k < 4; ++k)
        exact[k] = crossingOf(sides[(k + 3) % 4], sides[k]);
    const double across = (shape::distance(exact[0], exact[1]) + shape::distance(exact[3], exact[2])) / 2;
    const double down = (shape::distance(exact[0], exact[3]) + shape::distance(exact[1], exact[2])) / 2;
    const auto ratio = [](const measure::Paper& p) { return p.height.mm() / p.width.mm(); };
    const double own = std::max(across, down) / std::max(std::min(across, down), 1.0);
    const auto& paper = std::abs(own - ratio(measure::letter)) <= std::abs(own - ratio(measure::a4))
                            ? measure::letter
                            : measure::a4;
    const bool upright = down >= across;
    const double width = (upright ? paper.width : paper.height).mm(),
                 height = (upright ? paper.height : paper.width).mm();
    Picture out;
    out.dpi = std::min(mostDpi, std::max(across / width, down / height) * 25.4);
    out.width = static_cast<int>(std::lround(width * out.dpi / 25.4));
    out.height = static_cast<int>(std::lround(height * out.dpi / 25.4));
    out.grey.reserve(static_cast<std::size_t>(out.width) * static_cast<std::size_t>(out.height));
    const Projection project(exact);
    for (int y = 0; y < out.height; ++y)
        for (int x = 0; x < out.width; ++x) {
            const Point p = project((x + 0.5) / out.width, (y + 0.5) / out.height);
            out.grey.push_back(static_cast<std::uint8_t>(std::lround(brightness(photo, p.x, p.y))));
        }
    return out;
}

} // namespace up::intake
