// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/layouts.hpp"

#include "tests/support/geos.hpp"

#include <gtest/gtest.h>
#include <map>

namespace up::test {

using layout::NestJob;
using layout::NestLayout;
using layout::Placed;

namespace {

constexpr double hair = 0.02; // mm

void expectEachOnce(const NestJob& job, const NestLayout& layout) {
    std::map<std::pair<std::size_t, int>, int> seen;
    for (const auto& placed : layout.placed)
        ++seen[{placed.part, placed.copy}];
    for (const auto& missing : layout.unplaced)
        ++seen[{missing.part, missing.copy}];
    std::size_t copies = 0;
    for (const auto& part : job.parts)
        copies += static_cast<std::size_t>(part.copies);
    EXPECT_EQ(seen.size(), copies);
    for (const auto& [key, times] : seen)
        EXPECT_EQ(times, 1) << job.parts[key.first].id << " copy " << key.second;
}

void expectOnItsSheet(const NestJob& job, const Placed& placed, const shape::Region& region) {
    const auto& sheet = job.sheets[placed.sheet];
    const auto box = region.bounds();
    EXPECT_LT(placed.sheetIndex, sheet.count);
    EXPECT_GE(box.left, -hair);
    EXPECT_GE(box.top, -hair);
    EXPECT_LE(box.right, sheet.width + hair);
    EXPECT_LE(box.bottom, sheet.height + hair);
    if (!sheet.outline.isEmpty()) {
        EXPECT_LT(shape::subtract(shape::offset(region, -hair, 0.001), sheet.outline).area(), 1e-3);
    }
    const auto& turns = job.parts[placed.part].rotations;
    const bool allowed = turns.empty() || std::any_of(turns.begin(), turns.end(), [&](double turn) {
                             return std::abs(std::remainder(turn - placed.rotation, 360)) < 1e-6;
                         });
    EXPECT_TRUE(allowed) << placed.rotation;
}

/// Without spacing: no deeper in one another than a hair.
void expectApart(const NestJob& job, const shape::Region& a, const shape::Region& b) {
    if (!a.bounds().grownBy(job.spacing).meets(b.bounds())) return;
    if (job.spacing > 0) {
        EXPECT_GE(geosDistance(a, b), job.spacing - hair);
    } else {
        EXPECT_LT(geosArea(shape::offset(a, -hair / 2, 0.001), shape::offset(b, -hair / 2, 0.001),
                           Boolean::intersect),
                  1e-3);
    }
}

} // namespace

NestJob randomJob(std::uint64_t seed, std::size_t count) {
    Random random(seed);
    NestJob job;
    job.sheets = {{"roll", 300, 1500, 1, {}}};
    job.spacing = 6.35;
    for (std::size_t i = 0; i < count; ++i)
        job.parts.push_back({std::to_string(i), shape::regionOf({randomStar(random)}), 1, {}});
    return job;
}

shape::Region where(const NestJob& job, const Placed& placed) {
    const auto map = shape::Transform::moveBy(placed.x, placed.y) *
                     shape::Transform::turn(measure::Angle::ofDegrees(placed.rotation));
    return shape::transformed(job.parts[placed.part].shape, map);
}

void expectValid(const NestJob& job, const NestLayout& layout) {
    expectEachOnce(job, layout);
    std::vector<shape::Region> regions;
    for (std::size_t i = 0; i < layout.placed.size(); ++i) {
        const auto& p = layout.placed[i];
        regions.push_back(where(job, p));
        expectOnItsSheet(job, p, regions.back());
        for (std::size_t j = 0; j < i; ++j)
            if (const auto& q = layout.placed[j]; p.sheet == q.sheet && p.sheetIndex == q.sheetIndex)
                expectApart(job, regions[i], regions[j]);
    }
}

} // namespace up::test
