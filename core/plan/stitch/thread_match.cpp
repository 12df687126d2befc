// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/plan/stitch/thread_match.hpp"

#include <algorithm>
#include <cmath>

namespace up::plan {

Light strandOf(Colour spool) {
    const auto light = lightOf(spool);
    const auto once = [](double channel) { return std::pow(channel, 1 / 1.25); };
    return {once(light.red), once(light.green), once(light.blue)};
}

bool isDarkOnDark(Colour strand, Colour cloth) {
    constexpr double dark = 30;
    return labOf(strand).lightness < dark && labOf(cloth).lightness < dark;
}

namespace {
/// Of a variegated one, the mean of its shades.
double offFrom(const quilt::Thread& thread, Colour cloth) {
    double sum = difference(labOf(strandOf(thread.colour)), labOf(cloth));
    for (const auto shade : thread.shades)
        sum += difference(labOf(strandOf(shade)), labOf(cloth));
    return sum / static_cast<double>(thread.shades.size() + 1);
}
} // namespace

std::vector<ThreadMatch> threadsFor(const std::vector<quilt::Thread>& threads, Colour cloth) {
    std::vector<ThreadMatch> out;
    for (const auto& thread : threads)
        out.push_back({thread.id, offFrom(thread, cloth)});
    std::stable_sort(out.begin(), out.end(),
                     [](const ThreadMatch& a, const ThreadMatch& b) { return a.off < b.off; });
    return out;
}

} // namespace up::plan
