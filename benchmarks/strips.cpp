// SPDX-License-Identifier: GPL-3.0-or-later
// How long it takes to lay strips at 45° on cloth, and how much of it they use; how long leading takes.
#include "core/base/random.hpp"
#include "core/lead/tapes.hpp"
#include "core/plan/finish/leading_plan.hpp"
#include "core/strips/cutting.hpp"

#include <benchmark/benchmark.h>

namespace up {
namespace {

std::vector<strips::Strip> stripsOf(std::size_t count) {
    Random random(count);
    std::vector<strips::Strip> out(count);
    for (auto& strip : out)
        strip = {random.below(3) == 0 ? 19.05 : 31.75, random.between(50, 450)};
    return out;
}

/// `used`: of the cloth between the first cut and the last, what becomes strips.
void fromOneCloth(benchmark::State& state) {
    const auto strips = stripsOf(static_cast<std::size_t>(state.range(0)));
    double needed = 0;
    for (const auto& strip : strips)
        needed += strip.wide * strip.length;
    const strips::Cloth half{1066.8, 457.2 + 12.7 * static_cast<double>(state.range(0))};
    strips::Cutting cut;
    for (auto _ : state)
        cut = strips::cutStrips({half}, strips);
    state.counters["used"] = needed / cut.area;
    state.counters["unmet"] = static_cast<double>(cut.unmet.size());
}
BENCHMARK(fromOneCloth)
    ->Arg(3)
    ->Arg(6)
    ->Arg(7)
    ->Arg(12)
    ->Arg(20)
    ->Arg(40)
    ->Arg(80)
    ->Unit(benchmark::kMillisecond);

void offTheBolt(benchmark::State& state) {
    const auto strips = stripsOf(static_cast<std::size_t>(state.range(0)));
    for (auto _ : state)
        benchmark::DoNotOptimize(strips::lengthFor(1066.8, strips, 25.4 / 8));
}
BENCHMARK(offTheBolt)->Arg(3)->Arg(6)->Arg(20)->Arg(40)->Unit(benchmark::kMillisecond);

/// Panes in rows and columns that meet.
void leadingOfPanes(benchmark::State& state) {
    std::vector<shape::Region> panes;
    const auto across = static_cast<int>(state.range(0));
    const double each = 200.0 / across;
    for (int i = 0; i < across * across; ++i)
        panes.push_back(shape::rectangle({14 + each * (i % across), 14 + each * (i / across),
                                          14 + each * (i % across + 1), 14 + each * (i / across + 1)}));
    std::size_t tapes = 0;
    for (auto _ : state)
        tapes = lead::leadingOf(plan::bordersOf(panes, {0, 0, 228.6, 228.6})).tapes.size();
    state.counters["tapes"] = static_cast<double>(tapes);
}
BENCHMARK(leadingOfPanes)->Arg(3)->Arg(6)->Arg(12)->Unit(benchmark::kMillisecond);

} // namespace
} // namespace up

BENCHMARK_MAIN();
