// SPDX-License-Identifier: GPL-3.0-or-later
// The pressing plan of a block: first, and after a piece has moved.
#include "benchmarks/many.hpp"
#include "core/edit/edits.hpp"
#include "core/plan/fuse/press_plan.hpp"

#include <benchmark/benchmark.h>

namespace up::bench {
namespace {

/// Twelve inches, 80 pieces.
quilt::Quilt twelveInches(std::uint64_t seed) {
    auto quilt = overlapping(80, seed);
    const auto size = measure::Length::ofInches(12, 1);
    return edit::resizeBlock(quilt, quilt.blocks.front().id, size, size).value();
}

void planned(benchmark::State& state) {
    const auto quilt = twelveInches(static_cast<std::uint64_t>(state.range(1)));
    const auto& block = quilt.blocks.front();
    const auto plan = plan::planBlock(block);
    const auto iron = press::ironOf(static_cast<press::Soleplate>(state.range(0)));
    for (auto _ : state) {
        const auto found = plan::planPressing(quilt, block, plan, {iron});
        state.counters["presses"] = static_cast<double>(found->stages.front().presses.size());
        state.counters["pieces"] = static_cast<double>(block.pieces.size());
    }
}
BENCHMARK(planned)
    ->ArgNames({"iron", "seed"})
    ->ArgsProduct({{0, 1, 2}, {1, 2, 3}})
    ->Unit(benchmark::kMillisecond)
    ->Iterations(1);

/// The tenth piece goes aside by so many sixteenths of an inch.
void plannedAgain(benchmark::State& state) {
    const auto quilt = twelveInches(static_cast<std::uint64_t>(state.range(1)));
    const auto& block = quilt.blocks.front();
    const plan::PressOptions options{press::ironOf(static_cast<press::Soleplate>(state.range(0)))};
    const auto before = plan::planPressing(quilt, block, plan::planBlock(block), options);
    const auto by = measure::Length::ofInches(static_cast<int>(state.range(2)), 16);
    const auto moved = edit::movePiece(quilt, block.id, block.pieces[10].id, by, by).value();
    const auto& after = moved.blocks.front();
    const auto plan = plan::planBlock(after);
    for (auto _ : state) {
        const auto found = plan::planPressing(moved, after, plan, options, &*before);
        state.counters["presses"] = static_cast<double>(found->stages.front().presses.size());
    }
}
BENCHMARK(plannedAgain)
    ->ArgNames({"iron", "seed", "sixteenths"})
    ->ArgsProduct({{0, 1}, {1, 2, 3}, {1, 16}})
    ->Unit(benchmark::kMillisecond)
    ->Iterations(1);

} // namespace
} // namespace up::bench

BENCHMARK_MAIN();
