// SPDX-License-Identifier: GPL-3.0-or-later
// What is cut in which order, of blocks with many pieces: asked after every change while cutting.
#include "benchmarks/many.hpp"
#include "core/plan/cut/cut_plan.hpp"
#include "core/plan/trace/lay_out.hpp"

#include <benchmark/benchmark.h>

namespace up::bench {
namespace {

void cutting(benchmark::State& state) {
    auto quilt = overlapping(static_cast<int>(state.range(0)));
    for (auto& piece : quilt.blocks[0].pieces)
        piece.fabric = quilt.blocks[0].pieces[0].fabric; // all might be mistaken for each other
    Job job;
    plan::TraceOptions options;
    options.seconds = 1;
    quilt.blocks[0].layout = plan::layOut(quilt, quilt.blocks[0], options, job).value();
    for (auto& piece : quilt.blocks[0].pieces)
        piece.work.step = quilt::Step::bonded;
    const auto& block = quilt.blocks.front();
    const auto trace = plan::planTrace(quilt, block);
    const auto before = plan::planCutting(quilt, block, trace);
    for (auto _ : state) {
        const auto plan = plan::planCutting(quilt, block, trace, state.range(1) ? &before : nullptr);
        std::size_t cuts = 0;
        for (const auto& chunk : plan.chunks)
            cuts += chunk.cuts.size();
        state.counters["cuts"] = static_cast<double>(cuts);
        state.counters["alike"] = static_cast<double>(plan.alike.size());
    }
}
BENCHMARK(cutting)
    ->ArgNames({"pieces", "again"})
    ->ArgsProduct({{20, 80, 300}, {0, 1}})
    ->Unit(benchmark::kMillisecond);

} // namespace
} // namespace up::bench

BENCHMARK_MAIN();
