// SPDX-License-Identifier: GPL-3.0-or-later
// How long it takes to plan the stitches and the floss of words: what is asked for after each change of a line.
#include "core/base/random.hpp"
#include "core/hand/floss.hpp"
#include "core/pattern/written.hpp"
#include "core/plan/finish/line_plan.hpp"

#include <benchmark/benchmark.h>

namespace up {
namespace {

/// So many lines of a dozen letters, half an inch high.
quilt::Block blockOf(int lines) {
    quilt::Block out{};
    const auto strokes = pattern::bent(*pattern::singleLines("slow water 12", 12.7), {});
    for (int i = 0; i < lines; ++i) {
        quilt::Line line;
        line.id = LineId{static_cast<std::uint32_t>(i) + 1};
        line.strokes = strokes;
        out.lines.push_back(std::move(line));
    }
    return out;
}

void planning(benchmark::State& state) {
    const auto block = blockOf(static_cast<int>(state.range(0)));
    std::size_t parts = 0;
    for (auto _ : state) {
        const auto plan = plan::planLines(block);
        parts = plan.parts.size();
    }
    state.counters["parts"] = static_cast<double>(parts);
}
BENCHMARK(planning)->Arg(1)->Arg(4)->Arg(16)->Arg(64)->Unit(benchmark::kMillisecond);

/// Lines of any length in two, four or six strands; `over`: what is cut against what is needed at least.
void flossOnly(benchmark::State& state) {
    Random random(static_cast<std::uint64_t>(state.range(0)));
    std::vector<hand::Demand> demands(static_cast<std::size_t>(state.range(0)));
    for (auto& demand : demands)
        demand = {20 + static_cast<double>(random.below(280)), 2 + 2 * static_cast<int>(random.below(3))};
    double over = 0;
    for (auto _ : state) {
        const auto plan = hand::flossFor(demands);
        over = plan.left() / (6 * plan.length());
    }
    state.counters["left"] = over;
}
BENCHMARK(flossOnly)->Arg(8)->Arg(9)->Arg(20)->Arg(60)->Arg(200)->Unit(benchmark::kMillisecond);

} // namespace
} // namespace up

BENCHMARK_MAIN();
