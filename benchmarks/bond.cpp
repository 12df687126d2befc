// SPDX-License-Identifier: GPL-3.0-or-later
// Chunks of one fabric onto its cloths: how long it takes, and how many cloths it cuts into.
#include "core/bond/bond.hpp"
#include "core/base/random.hpp"

#include <benchmark/benchmark.h>
#include <cmath>
#include <numbers>

namespace up::bond {
namespace {

/// A round thing with bays in it, as chunks of several pieces are.
shape::Region blob(Random& random, double size) {
    shape::Ring ring;
    constexpr int corners = 18;
    for (int i = 0; i < corners; ++i) {
        const double at = 2 * std::numbers::pi * i / corners, far = size / 2 * random.between(0.6, 1);
        ring.push_back({far * std::cos(at), far * std::sin(at) * 0.7});
    }
    return shape::offset(shape::regionOf({ring}), 3);
}

Task taskOf(std::size_t chunks, std::size_t cloths, std::uint64_t seed) {
    Random random(seed);
    Task task;
    for (std::size_t i = 0; i < chunks; ++i)
        task.chunks.push_back({blob(random, random.between(30, 130)), std::nullopt, false});
    for (std::size_t i = 0; i < cloths; ++i) {
        const double width = random.between(80, 320), height = random.between(60, 260);
        auto area = shape::rectangle({0, 0, width, height});
        if (random.below(2) == 0)
            area = shape::subtract(area, shape::rectangle({width * 0.6, height * 0.5, width, height}));
        task.cloths.push_back({area, std::nullopt, random.below(3) != 0});
    }
    return task;
}

/// {cloths cut into, missing}
void onCloths(benchmark::State& state) {
    const auto task =
        taskOf(static_cast<std::size_t>(state.range(0)), static_cast<std::size_t>(state.range(1)),
               static_cast<std::uint64_t>(state.range(2)));
    Options options;
    if (state.range(3) > 0) options.tries = static_cast<int>(state.range(3));
    for (auto _ : state) {
        Job job;
        const auto found = bond(task, options, job);
        std::vector<bool> used(task.cloths.size(), false);
        double cloths = 0;
        for (const auto& lying : found.lying)
            cloths += used[lying.cloth] ? 0 : 1, used[lying.cloth] = true;
        state.counters["cloths"] = cloths;
        state.counters["missing"] = static_cast<double>(found.missing.size());
    }
}
BENCHMARK(onCloths)
    ->ArgNames({"chunks", "cloths", "seed", "tries"})
    ->ArgsProduct({{60}, {40}, {1, 2, 3, 4, 5, 6}, {0, 2000, 8000}})
    ->Args({8, 6, 1, 0})
    ->Args({1, 14, 1, 0})
    ->Unit(benchmark::kMillisecond)
    ->Iterations(1);

/// One chunk on the cloths of its fabric: asked for each that lies nowhere after every change.
void hasRoomOn(benchmark::State& state) {
    auto task = taskOf(1, static_cast<std::size_t>(state.range(0)), 3);
    if (state.range(1) == 0)
        for (auto& cloth : task.cloths)
            cloth.area = shape::rectangle({0, 0, 40, 30});
    for (auto _ : state)
        benchmark::DoNotOptimize(hasRoom(task));
}
BENCHMARK(hasRoomOn)
    ->ArgNames({"cloths", "room"})
    ->ArgsProduct({{1, 4, 14}, {0, 1}})
    ->Unit(benchmark::kMillisecond);

} // namespace
} // namespace up::bond
