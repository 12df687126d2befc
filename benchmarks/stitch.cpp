// SPDX-License-Identifier: GPL-3.0-or-later
// The way of the needle over a block: first, and after a piece has moved.
#include "benchmarks/many.hpp"
#include "core/base/random.hpp"
#include "core/edit/edits.hpp"
#include "core/plan/stitch/stitch_plan.hpp"

#include <benchmark/benchmark.h>

namespace up::bench {
namespace {

/// So many pieces on 12 in, stitched in so many passes; of one thread, or as their fabrics are.
quilt::Quilt many(benchmark::State& state) {
    auto quilt = overlapping(static_cast<int>(state.range(0)), static_cast<std::uint64_t>(state.range(3)));
    const auto size = measure::Length::ofInches(12, 1);
    quilt = edit::resizeBlock(quilt, quilt.blocks.front().id, size, size).value();
    auto& block = quilt.blocks.front();
    block.edge.passes = static_cast<int>(state.range(2));
    for (auto& piece : block.pieces)
        if (state.range(1) != 0) piece.thread = block.pieces.front().thread;
    return quilt;
}

void planned(benchmark::State& state) {
    const auto quilt = many(state);
    const auto& block = quilt.blocks.front();
    const auto plan = plan::planBlock(block);
    for (auto _ : state) {
        const auto found = plan::planStitching(block, plan);
        state.counters["runs"] = static_cast<double>(found.runs.size());
        state.counters["trails"] = static_cast<double>(found.trails.size());
        state.counters["least"] = found.leastTies;
        state.counters["changes"] = found.threadChanges;
        state.counters["fewest"] = found.fewest;
    }
}

/// Sixty pieces in fourteen threads: is it proved that no fewer changes do?
void fourteenThreads(benchmark::State& state) {
    auto quilt = overlapping(60, static_cast<std::uint64_t>(state.range(0)));
    auto& block = quilt.blocks.front();
    Random random(static_cast<std::uint64_t>(state.range(0)));
    for (auto& piece : block.pieces)
        piece.thread = ThreadId{static_cast<std::uint32_t>(1000 + random.below(14))};
    const auto plan = plan::planBlock(block);
    for (auto _ : state) {
        const auto found = plan::planStitching(block, plan);
        state.counters["runs"] = static_cast<double>(found.runs.size());
        state.counters["changes"] = found.threadChanges;
        state.counters["fewest"] = found.fewest;
    }
}
BENCHMARK(fourteenThreads)->DenseRange(1, 6)->Unit(benchmark::kMillisecond)->Iterations(2);

/// The tenth piece goes aside by an inch.
void plannedAgain(benchmark::State& state) {
    const auto quilt = many(state);
    const auto& block = quilt.blocks.front();
    const auto before = plan::planStitching(block, plan::planBlock(block));
    const auto by = measure::Length::ofInches(1, 1);
    const auto moved = edit::movePiece(quilt, block.id, block.pieces[10].id, by, by).value();
    const auto& after = moved.blocks.front();
    const auto plan = plan::planBlock(after);
    for (auto _ : state)
        benchmark::DoNotOptimize(plan::planStitching(after, plan, {&before, {}, true}));
}

void everyBlock(benchmark::internal::Benchmark* bench) {
    bench->ArgNames({"pieces", "oneThread", "passes", "seed"})
        ->ArgsProduct({{20, 40, 80}, {0, 1}, {1, 3}, {1, 2}})
        ->Unit(benchmark::kMillisecond)
        ->Iterations(2);
}
BENCHMARK(planned)->Apply(everyBlock);
BENCHMARK(plannedAgain)->Apply(everyBlock);

} // namespace
} // namespace up::bench

BENCHMARK_MAIN();
