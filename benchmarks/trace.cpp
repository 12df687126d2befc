// SPDX-License-Identifier: GPL-3.0-or-later
// 500 pieces of 12 fabrics on web: what the window's thread does when Trace opens, and at every step of a
// drag. usage: bench_trace
#include "benchmarks/many.hpp"
#include "core/plan/trace/by_hand.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "core/plan/trace/trace_plan.hpp"
#include "intake/svg/svg.hpp"

#include <benchmark/benchmark.h>

namespace {

using namespace up;

const quilt::Quilt& quilt() {
    static const quilt::Quilt laidOut = [] {
        auto out = bench::quiltOf(*intake::readSvg(bench::drawing(12), "bench.svg"));
        Job job;
        auto layout = plan::layOut(out, out.blocks[0], {0, 1, 1}, job);
        out.blocks[0].layout = std::move(*layout);
        return out;
    }();
    return laidOut;
}

const quilt::Block& block() {
    return quilt().blocks[0];
}

quilt::Layout moved() {
    const auto& layout = *block().layout;
    return plan::movedByHand(block(), layout, {layout.traced[7].piece}, 2, 0, {});
}

void openTrace(benchmark::State& state) {
    (void)quilt(); // laid out before the clock starts
    for (auto _ : state)
        benchmark::DoNotOptimize(plan::planTrace(quilt(), block()));
}
void planAfterAMove(benchmark::State& state) {
    const auto before = plan::planTrace(quilt(), block());
    const auto layout = moved();
    for (auto _ : state)
        benchmark::DoNotOptimize(plan::planTrace(quilt(), block(), layout, &before));
}
void move(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(moved());
}
void tooClose(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(plan::tooClose(quilt(), block(), *block().layout));
}

BENCHMARK(openTrace)->Unit(benchmark::kMillisecond);
BENCHMARK(planAfterAMove)->Unit(benchmark::kMillisecond);
BENCHMARK(move)->Unit(benchmark::kMillisecond);
BENCHMARK(tooClose)->Unit(benchmark::kMillisecond);

} // namespace

BENCHMARK_MAIN();
