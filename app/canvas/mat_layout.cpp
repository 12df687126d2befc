// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/canvas/mat_layout.hpp"

#include <cmath>

namespace up::app {
namespace {

double wordsHeight(const Panel& panel) {
    return (panel.caption.empty() ? 0 : captionHeight) + (panel.below.empty() ? 0 : belowHeight) +
           (panel.hasStair ? stairHeight : 0);
}

double scaleIn(const Panel& panel, double width, double height) {
    const double w = std::max(panel.box.width(), 1.0), h = std::max(panel.box.height(), 1.0);
    return std::max(0.01, std::min(width / w, (height - wordsHeight(panel)) / h));
}

struct Columns {
    int count;
    double scale; ///< the least of all panels
};

Columns bestColumns(const Scene& scene, const QRectF& room) {
    Columns best{1, 0};
    const int n = static_cast<int>(scene.panels.size());
    if (scene.columns > 0) return {scene.columns, 1};
    for (int columns = 1; columns <= n; ++columns) {
        const int rows = (n + columns - 1) / columns;
        const double width = (room.width() - gap * (columns - 1)) / columns,
                     height = std::max(scene.leastHeight, (room.height() - gap * (rows - 1)) / rows);
        if (columns > 1 && width < narrowest) break;
        double least = 1e9, sum = 0;
        for (const auto& panel : scene.panels) {
            const double scale = scaleIn(panel, width, height);
            least = std::min(least, scale);
            sum += std::min(scale * panel.box.width(), width) * scale * panel.box.height();
        }
        const double worth = scene.sameScale ? least : sum;
        if (worth > best.scale * (1 + 1e-9)) best = {columns, worth};
    }
    return best;
}

/// Pixels that its longest line of words takes, about.
double wordsWidth(const Panel& panel) {
    constexpr double letter = 7.6;
    std::size_t longest = 0, now = 0;
    for (const auto* words : {&panel.caption, &panel.below}) {
        for (const char c : *words)
            now = c == '\n' ? 0 : now + ((c & 0xC0) != 0x80), longest = std::max(longest, now);
        now = 0;
    }
    return letter * static_cast<double>(longest);
}

/// Rows of panels at that scale, as many in each as go into the width; nothing when they are too high.
std::vector<Shelf> flowed(const Scene& scene, const QRectF& room, double scale) {
    std::vector<Shelf> out;
    double left = room.left(), top = room.top(), high = 0;
    std::size_t begun = 0; // the first of the row
    const auto endRow = [&] {
        const double right = out.empty() ? room.left() : out.back().whole.right();
        const double aside = (room.right() - right) / 2; // rows stand in the middle
        for (; begun < out.size(); ++begun)
            out[begun].whole.translate(aside, 0), out[begun].drawing.translate(aside, 0);
        top += high + gap, left = room.left(), high = 0;
    };
    for (const auto& panel : scene.panels) {
        const double w = panel.box.width() * scale, h = panel.box.height() * scale;
        const double width = std::max(w, panel.caption.empty() ? 0 : std::max(narrowest, wordsWidth(panel))),
                     height = h + wordsHeight(panel);
        if (left > room.left() && left + width > room.right() + 1e-6) endRow();
        const QRectF whole(left, top, width, height);
        const double down = panel.caption.empty() ? 0 : captionHeight;
        out.push_back({whole, QRectF(whole.center().x() - w / 2, top + down, w, h), scale});
        left += width + 2 * gap, high = std::max(high, height);
    }
    endRow();
    const double free = room.bottom() - (top - gap);
    if (free < -1e-6) return scale <= scene.leastScale ? out : std::vector<Shelf>{};
    for (auto& shelf : out)
        shelf.whole.translate(0, free / 2), shelf.drawing.translate(0, free / 2);
    return out;
}

/// At the largest scale at which they all have room.
std::vector<Shelf> largestFlow(const Scene& scene, const QRectF& room) {
    double most = 1e9;
    for (const auto& panel : scene.panels)
        most = std::min(most, scaleIn(panel, room.width(), room.height()));
    constexpr double less = 0.97;
    for (int i = 0; i < 150 && most > scene.leastScale; ++i, most *= less)
        if (auto shelves = flowed(scene, room, most); !shelves.empty()) return shelves;
    return flowed(scene, room, std::min(most, scene.leastScale));
}

} // namespace

std::vector<Shelf> shelvesFor(const Scene& scene, const QRectF& room) {
    if (scene.flowing && !scene.panels.empty())
        if (auto shelves = largestFlow(scene, room); !shelves.empty()) return shelves;
    const int columns = bestColumns(scene, room).count, n = static_cast<int>(scene.panels.size());
    const int rows = std::max(1, (n + columns - 1) / columns);
    const double width = (room.width() - gap * (columns - 1)) / columns,
                 height = std::max(scene.leastHeight, (room.height() - gap * (rows - 1)) / rows);
    double least = 1e9;
    for (const auto& panel : scene.panels)
        least = std::min(least, scaleIn(panel, width, height));
    std::vector<Shelf> out;
    for (int i = 0; i < n; ++i) {
        const auto& panel = scene.panels[static_cast<std::size_t>(i)];
        const double scale = scene.sameScale ? least : scaleIn(panel, width, height);
        const QRectF whole(room.left() + (i % columns) * (width + gap),
                           room.top() + (i / columns) * (height + gap), width, height);
        const double w = panel.box.width() * scale, h = panel.box.height() * scale;
        const double top = whole.top() + (panel.caption.empty() ? 0 : captionHeight);
        const double free = std::max(0.0, whole.height() - wordsHeight(panel) - h);
        out.push_back({whole, QRectF(whole.center().x() - w / 2, top + free / 2, w, h), scale});
    }
    return out;
}

} // namespace up::app
