// SPDX-License-Identifier: GPL-3.0-or-later
// What lies on what: 500 pieces at once and after one has moved, and what is doubtful about them.
#include "benchmarks/many.hpp"
#include "core/edit/edits.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/stack/showing.hpp"
#include "core/stack/units.hpp"
#include "intake/svg/svg.hpp"

#include <benchmark/benchmark.h>

namespace {

using up::measure::Length;

/// The drawing's 500 pieces drawn together until each lies on some three others.
const up::quilt::Quilt& quilt() {
    static const auto made = [] {
        auto out = up::bench::quiltOf(*up::intake::readSvg(up::bench::drawing(12), "many"));
        for (auto& piece : out.blocks[0].pieces) {
            const auto middle = boundsOf(*piece.outline).centre();
            piece.place.right = Length::ofMm(middle.x * -0.62);
            piece.place.down = Length::ofMm(middle.y * -0.62);
        }
        return out;
    }();
    return made;
}

up::quilt::Block moved() {
    auto block = quilt().blocks[0];
    block.pieces[250].place.right = block.pieces[250].place.right + Length::ofMm(1);
    return block;
}

void overlaps(benchmark::State& state) {
    const auto plan = up::plan::planBlock(quilt().blocks[0]);
    std::size_t found = 0;
    for (auto _ : state)
        found = up::stack::overlapsOf(plan.regions).size();
    state.SetLabel(std::to_string(plan.regions.size()) + " pieces, " + std::to_string(found) + " overlaps");
}
BENCHMARK(overlaps)->Unit(benchmark::kMillisecond);

void overlapsAfterAMove(benchmark::State& state) {
    const auto plan = up::plan::planBlock(quilt().blocks[0]);
    std::vector<bool> changed(plan.regions.size(), false);
    changed[250] = true;
    for (auto _ : state) {
        auto known = plan.stack.overlaps;
        benchmark::DoNotOptimize(up::stack::stackOf(
            up::stack::overlapsOf(plan.regions, std::move(known), changed), plan.regions.size()));
    }
}
BENCHMARK(overlapsAfterAMove)->Unit(benchmark::kMillisecond);

void plan(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(up::plan::planBlock(quilt().blocks[0]));
}
BENCHMARK(plan)->Unit(benchmark::kMillisecond);

void planAfterAMove(benchmark::State& state) {
    const auto before = up::plan::planBlock(quilt().blocks[0]);
    const auto after = moved();
    for (auto _ : state)
        benchmark::DoNotOptimize(up::plan::planBlock(after, &before));
}
BENCHMARK(planAfterAMove)->Unit(benchmark::kMillisecond);

void doubts(benchmark::State& state) {
    const auto plan = up::plan::planBlock(quilt().blocks[0]);
    for (auto _ : state)
        benchmark::DoNotOptimize(up::plan::doubtsOf(quilt().blocks[0], plan));
}
BENCHMARK(doubts)->Unit(benchmark::kMillisecond);

void doubtsAfterAMove(benchmark::State& state) {
    const auto before = up::plan::planBlock(quilt().blocks[0]);
    const auto known = up::plan::doubtsOf(quilt().blocks[0], before);
    const auto after = moved();
    const auto now = up::plan::planBlock(after, &before);
    for (auto _ : state)
        benchmark::DoNotOptimize(up::plan::doubtsOf(after, now, &before, &known));
}
BENCHMARK(doubtsAfterAMove)->Unit(benchmark::kMillisecond);

void shortfalls(benchmark::State& state) {
    const auto plan = up::plan::planBlock(quilt().blocks[0]);
    for (auto _ : state)
        for (std::size_t i = 0; i < plan.regions.size(); ++i)
            benchmark::DoNotOptimize(up::stack::shortfalls(up::plan::tuckedIn(plan, i)));
}
BENCHMARK(shortfalls)->Unit(benchmark::kMillisecond);

void allFindings(benchmark::State& state) {
    const auto plan = up::plan::planBlock(quilt().blocks[0]);
    const auto known = up::plan::doubtsOf(quilt().blocks[0], plan);
    for (auto _ : state)
        benchmark::DoNotOptimize(up::plan::stackFindings(quilt(), quilt().blocks[0], plan, known));
}
BENCHMARK(allFindings)->Unit(benchmark::kMillisecond);

void layers(benchmark::State& state) {
    const auto plan = up::plan::planBlock(quilt().blocks[0]);
    for (auto _ : state)
        benchmark::DoNotOptimize(up::stack::layersOf(plan.regions));
}
BENCHMARK(layers)->Unit(benchmark::kMillisecond);

void units(benchmark::State& state) {
    const auto plan = up::plan::planBlock(quilt().blocks[0]);
    for (auto _ : state)
        benchmark::DoNotOptimize(up::stack::unitsIn(plan.regions, plan.stack, 1e5));
}
BENCHMARK(units)->Unit(benchmark::kMillisecond);

} // namespace

BENCHMARK_MAIN();
