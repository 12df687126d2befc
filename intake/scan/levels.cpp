// SPDX-License-Identifier: GPL-3.0-or-later
#include "intake/scan/levels.hpp"

#include "core/base/job.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace up::intake {
namespace {

constexpr int terms = 6; // 1, x, y, x², xy, y²
using Surface = std::array<double, terms>;

std::array<double, terms> basis(double x, double y) {
    return {1, x, y, x * x, x * y, y * y};
}

double valueOf(const Surface& s, double x, double y) {
    const auto b = basis(x, y);
    double sum = 0;
    for (std::size_t i = 0; i < terms; ++i)
        sum += s[i] * b[i];
    return sum;
}

struct Square {
    double x, y; ///< of its middle, −1…1 over the page
    double bright;
};

/// The 90th hundredth of each of about 40 × 40 squares.
std::vector<Square> brightness(const Picture& picture) {
    std::vector<Square> out;
    const int size = std::max(8, std::max(picture.width, picture.height) / 40);
    std::array<int, 256> counts{};
    for (int top = 0; top < picture.height; top += size)
        for (int left = 0; left < picture.width; left += size) {
            counts.fill(0);
            int all = 0;
            const int bottom = std::min(top + size, picture.height),
                      right = std::min(left + size, picture.width);
            for (int y = top; y < bottom; ++y)
                for (int x = left; x < right; ++x)
                    ++counts[picture.at(x, y)], ++all;
            int level = 255;
            for (int above = 0; level > 0 && (above += counts[static_cast<std::size_t>(level)]) < all / 10;)
                --level;
            out.push_back({(left + right) / static_cast<double>(picture.width) - 1,
                           (top + bottom) / static_cast<double>(picture.height) - 1,
                           static_cast<double>(level)});
        }
    return out;
}

/// Least squares by the normal equations, Gauss's elimination with pivots.
Surface fitted(const std::vector<Square>& squares) {
    std::array<std::array<double, terms + 1>, terms> m{};
    for (const auto& square : squares) {
        const auto b = basis(square.x, square.y);
        for (std::size_t i = 0; i < terms; ++i) {
            for (std::size_t j = 0; j < terms; ++j)
                m[i][j] += b[i] * b[j];
            m[i][terms] += b[i] * square.bright;
        }
    }
    for (std::size_t i = 0; i < terms; ++i)
        m[i][i] += 1e-6;
    for (std::size_t i = 0; i < terms; ++i) {
        std::size_t best = i;
        for (std::size_t r = i + 1; r < terms; ++r)
            if (std::abs(m[r][i]) > std::abs(m[best][i])) best = r;
        std::swap(m[i], m[best]);
        for (std::size_t r = 0; r < terms; ++r) {
            if (r == i) continue;
            const double by = m[r][i] / m[i][i];
            for (std::size_t c = i; c <= terms; ++c)
                m[r][c] -= by * m[i][c];
        }
    }
    Surface out{};
    for (std::size_t i = 0; i < terms; ++i)
        out[i] = m[i][terms] / m[i][i];
    return out;
}

Surface paperOf(const Picture& picture) {
    auto squares = brightness(picture);
    Surface paper = fitted(squares);
    for (int round = 0; round < 6; ++round) { // what is clearly darker than the surface is no paper
        std::vector<Square> bright;
        for (const auto& square : squares)
            if (square.bright > valueOf(paper, square.x, square.y) - 12) bright.push_back(square);
        if (bright.size() < squares.size() / 8 || bright.size() < 12 || bright.size() == squares.size())
            break;
        squares = std::move(bright);
        paper = fitted(squares);
    }
    return paper;
}

/// Each dot and its eight neighbours, near ones counting more: the grain of scanner and paper goes.
Picture smoothed(const Picture& picture) {
    Picture out = picture;
    for (int y = 1; y + 1 < picture.height; ++y)
        for (int x = 1; x + 1 < picture.width; ++x) {
            const int sum = picture.at(x - 1, y - 1) + 2 * picture.at(x, y - 1) + picture.at(x + 1, y - 1) +
                            2 * picture.at(x - 1, y) + 4 * picture.at(x, y) + 2 * picture.at(x + 1, y) +
                            picture.at(x - 1, y + 1) + 2 * picture.at(x, y + 1) + picture.at(x + 1, y + 1);
            out.grey[static_cast<std::size_t>(y) * static_cast<std::size_t>(picture.width) +
                     static_cast<std::size_t>(x)] = static_cast<std::uint8_t>(sum / 16);
        }
    return out;
}

/// Every dot as hundredths of the paper's brightness there, 0…127.
std::vector<std::uint8_t> evened(const Picture& picture, const Surface& paper) {
    std::vector<std::uint8_t> out(picture.grey.size());
    std::size_t i = 0;
    for (int y = 0; y < picture.height; ++y) {
        breathe();
        const double v = 2.0 * (y + 0.5) / picture.height - 1;
        const double a = paper[0] + paper[2] * v + paper[5] * v * v, b = paper[1] + paper[4] * v,
                     c = paper[3];
        for (int x = 0; x < picture.width; ++x, ++i) {
            const double u = 2.0 * (x + 0.5) / picture.width - 1;
            const double bright = std::max(20.0, a + u * (b + u * c));
            out[i] = static_cast<std::uint8_t>(std::clamp(100.0 * picture.grey[i] / bright, 0.0, 127.0));
        }
    }
    return out;
}

/// Half-way between paper and ink, where ink is what stands out of the paper's own grain; 0: there is none.
int thresholdFor(const std::vector<std::uint8_t>& level) {
    std::array<double, 128> counts{};
    for (const auto v : level)
        ++counts[v];
    const auto paper = static_cast<int>(std::max_element(counts.begin() + 40, counts.end()) - counts.begin());
    double above = 0, squares = 0; // the grain, from the side where there is no ink
    for (int v = paper; v < 128; ++v) {
        const auto count = counts[static_cast<std::size_t>(v)] * (v == paper ? 0.5 : 1);
        above += count, squares += count * (v - paper) * (v - paper);
    }
    const double grain = std::sqrt(squares / std::max(above, 1.0));
    const int first = paper - static_cast<int>(std::lround(std::max(8.0, 5 * grain)));
    double ink = 0;
    for (int v = 0; v < first; ++v)
        ink += counts[static_cast<std::size_t>(v)];
    if (first <= 0 || ink < 1e-5 * static_cast<double>(level.size())) return 0;
    double seen = 0; // a dark third of it: lines are paler at their edges
    int darkness = 0;
    while (darkness < first && (seen += counts[static_cast<std::size_t>(darkness)]) < ink / 3)
        ++darkness;
    return std::min(first, (paper + darkness) / 2);
}

} // namespace

Mask inkOf(const Picture& picture) {
    Mask out(picture.width, picture.height);
    const auto smooth = smoothed(picture);
    const auto level = evened(smooth, paperOf(smooth));
    const int threshold = thresholdFor(level);
    for (std::size_t i = 0; i < level.size(); ++i)
        out.in[i] = level[i] < threshold ? 1 : 0;
    return out;
}

} // namespace up::intake
