// SPDX-License-Identifier: GPL-3.0-or-later
// 500 pieces in one drawing: reading it, judging it, and dragging the scale.
// usage: QT_QPA_PLATFORM=offscreen bench_judge
#include "app/dialogs/size_dialog.hpp"
#include "app/look/look.hpp"
#include "benchmarks/many.hpp"
#include "core/base/place.hpp"
#include "core/plan/check/check_plan.hpp"
#include "intake/svg/svg.hpp"
#include "output/pdf/pdf.hpp"

#include <QApplication>
#include <QDoubleSpinBox>
#include <benchmark/benchmark.h>

namespace {

using namespace up;

void import(benchmark::State& state) {
    const auto text = bench::drawing(800);
    for (auto _ : state)
        benchmark::DoNotOptimize(intake::readSvg(text, "bench.svg"));
}

void judgeAll(benchmark::State& state) {
    const auto quilt = bench::quiltOf(*intake::readSvg(bench::drawing(800), "bench.svg"));
    const auto plan = plan::planBlock(quilt.blocks[0]);
    for (auto _ : state)
        benchmark::DoNotOptimize(plan::judge(quilt.blocks[0], plan));
}

void importAndAllJudgements(benchmark::State& state) {
    const auto text = bench::drawing(800);
    for (auto _ : state) {
        const auto quilt = bench::quiltOf(*intake::readSvg(text, "bench.svg"));
        const auto plan = plan::planBlock(quilt.blocks[0]);
        const auto judged = plan::judge(quilt.blocks[0], plan);
        benchmark::DoNotOptimize(
            plan::checkBlock(quilt, quilt.blocks[0], plan, judged, plan::doubtsOf(quilt.blocks[0], plan)));
    }
}

/// One step of the scale, until it is painted.
void dragTheScale(benchmark::State& state) {
    const auto quilt = bench::quiltOf(*intake::readSvg(bench::drawing(800), "bench.svg"));
    const auto& block = quilt.blocks[0];
    app::SizeDialog dialog(
        {quilt.units,
         block,
         {},
         std::make_shared<const plan::Judgement>(plan::judge(block, plan::planBlock(block)))});
    dialog.show();
    QApplication::processEvents();
    auto* percent = dialog.findChild<QDoubleSpinBox*>("size.percent");
    double at = 50, longest = 0;
    for (auto _ : state) {
        const auto begun = std::chrono::steady_clock::now();
        percent->setValue(at = at < 99 ? at + 0.7 : 50);
        QApplication::processEvents();
        longest = std::max(longest,
                           std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count());
    }
    state.counters["longest_ms"] = longest * 1000;
}

} // namespace

int main(int count, char** words) {
    benchmark::Initialize(&count, words);
    QApplication application(count, words);
    app::look::apply(application, QString::fromStdString(dataFolder()));
    for (const auto& [name, work] : {std::pair{"import", &import},
                                     {"judge", &judgeAll},
                                     {"import_and_all_judgements", &importAndAllJudgements},
                                     {"drag_the_scale", &dragTheScale}})
        benchmark::RegisterBenchmark(name, *work)->Unit(benchmark::kMillisecond);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
