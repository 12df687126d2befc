// SPDX-License-Identifier: GPL-3.0-or-later
// Looking through a large stash, and parting a chunk that finds no room.
#include "benchmarks/many.hpp"
#include "core/edit/cloths.hpp"
#include "core/edit/edits.hpp"
#include "core/plan/bond/parting.hpp"
#include "core/plan/bond/turning.hpp"
#include "core/plan/stash/stash_search.hpp"
#include "core/plan/trace/lay_out.hpp"

#include <benchmark/benchmark.h>

namespace up::bench {
namespace {

/// "green, at least 9 × 2" among cloths with an odd corner.
void searched(benchmark::State& state) {
    std::vector<plan::AtHand> all;
    for (int i = 0; i < state.range(0); ++i) {
        const double wide = 100 + i * 37 % 400, high = 60 + i * 53 % 300;
        all.push_back({"cloth", Colour{60, 100, 60},
                       shape::subtract(shape::rectangle({0, 0, wide, high}),
                                       shape::rectangle({wide * 0.7, high * 0.5, wide, high}))});
    }
    plan::StashSearch search;
    search.colours = {{"green", plan::ColourWord::green}};
    search.atLeast = measure::Size{measure::Length::ofInches(9, 1), measure::Length::ofInches(2, 1)};
    for (auto _ : state) {
        std::size_t found = 0;
        for (const auto& thing : all)
            found += plan::suits(search, thing);
        state.counters["found"] = static_cast<double>(found);
    }
}
BENCHMARK(searched)->Arg(40)->Arg(300)->Unit(benchmark::kMillisecond);

/// Pieces of one fabric laid out as one chunk, and scraps of which none has room for it.
struct TooLarge {
    explicit TooLarge(int pieces) : quilt(overlapping(pieces)) {
        auto& block = quilt.blocks.front();
        quilt.webs.front().stock = quilt::Roll{measure::Length::ofInches(400, 1)};
        const auto fabric = quilt.fabrics.front().id;
        for (auto& piece : block.pieces)
            piece.fabric = fabric;
        Job job;
        quilt =
            edit::setLayout(quilt, block.id, plan::layOut(quilt, block, {0, 4, 1}, job).value(), 0).value();
        for (int i = 0; i < 12; ++i) {
            quilt::Cloth cloth{};
            cloth.name = "scrap", cloth.fabric = fabric;
            cloth.outline = shape::rectangle({0, 0, 150.0 + 20 * i, 260}).rings;
            quilt = edit::putCloth(quilt, std::move(cloth)).value();
        }
    }
    quilt::Quilt quilt;
};

template<class Ask> void asked(benchmark::State& state, Ask ask) {
    const TooLarge with(static_cast<int>(state.range(0)));
    const auto& block = with.quilt.blocks.front();
    const auto trace = plan::planTrace(with.quilt, block);
    for (auto _ : state)
        state.counters["found"] = static_cast<bool>(ask(with.quilt, block, trace, trace.chunks.front()));
}
void partedChunk(benchmark::State& state) {
    asked(state, plan::parted);
}
void pieceTurned(benchmark::State& state) {
    asked(state, plan::withPieceTurned);
}
void mayBeParted(benchmark::State& state) {
    asked(state, plan::mayBeParted);
}
BENCHMARK(partedChunk)->Arg(10)->Arg(40)->Unit(benchmark::kMillisecond)->Iterations(1);
BENCHMARK(pieceTurned)->Arg(10)->Arg(40)->Unit(benchmark::kMillisecond)->Iterations(1);
BENCHMARK(mayBeParted)->Arg(10)->Arg(40)->Unit(benchmark::kMillisecond)->Iterations(1);

} // namespace
} // namespace up::bench

BENCHMARK_MAIN();
