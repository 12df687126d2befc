// SPDX-License-Identifier: GPL-3.0-or-later
// What a change costs before the window shows it: the plans of one block, on the sample quilt's blocks.
// usage: bench_derived QUILT.upstairs
#include "app/session/derived.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/store/quilt_file.hpp"

#include <benchmark/benchmark.h>
#include <cstdio>

namespace {

up::quilt::Quilt quilt;

void perBlock(benchmark::State& state, void (*work)(up::app::Derived&)) {
    const auto& block = quilt.blocks[static_cast<std::size_t>(state.range(0))];
    for (auto _ : state) {
        up::app::Derived derived;
        derived.reset(&quilt, &block);
        work(derived);
    }
    state.SetLabel(block.name + ", " + std::to_string(block.pieces.size()) + " pieces");
}

void stack(benchmark::State& s) {
    perBlock(s, [](auto& d) { benchmark::DoNotOptimize(d.block()); });
}
void flags(benchmark::State& s) {
    perBlock(s, [](auto& d) { benchmark::DoNotOptimize(d.spots()); });
}
void trace(benchmark::State& s) {
    perBlock(s, [](auto& d) { benchmark::DoNotOptimize(d.trace()); });
}
/// Run aside in the window; here for comparison.
void checks(benchmark::State& state) {
    const auto& block = quilt.blocks[static_cast<std::size_t>(state.range(0))];
    const auto plan = up::plan::planBlock(block);
    for (auto _ : state)
        benchmark::DoNotOptimize(up::plan::checkBlock(quilt, block, plan, up::plan::judge(block, plan),
                                                      up::plan::doubtsOf(block, plan)));
    state.SetLabel(block.name);
}

} // namespace

int main(int count, char** words) {
    benchmark::Initialize(&count, words);
    auto read = up::store::loadQuilt(count > 1 ? words[1] : "");
    if (!read) return std::fprintf(stderr, "usage: bench_derived QUILT.upstairs\n"), 2;
    quilt = std::move(*read);
    using Work = void (*)(benchmark::State&);
    const std::pair<const char*, Work> works[] = {
        {"stack", stack}, {"flags", flags}, {"trace", trace}, {"checks", checks}};
    for (const auto& [name, work] : works)
        benchmark::RegisterBenchmark(name, work)
            ->DenseRange(0, static_cast<int>(quilt.blocks.size()) - 1, 4)
            ->Unit(benchmark::kMillisecond);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
