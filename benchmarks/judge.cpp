// SPDX-License-Identifier: GPL-3.0-or-later
// 500 pieces in one drawing: reading it, judging it, and dragging the scale.
// usage: QT_QPA_PLATFORM=offscreen bench_judge
#include "app/dialogs/size_dialog.hpp"
#include "app/look/look.hpp"
#include "core/base/random.hpp"
#include "core/edit/edits.hpp"
#include "core/plan/check_plan.hpp"
#include "intake/svg/svg.hpp"
#include "output/pdf/pdf.hpp"

#include <QApplication>
#include <QDoubleSpinBox>
#include <benchmark/benchmark.h>
#include <cmath>
#include <numbers>

namespace {

using namespace up;

constexpr int pieces = 500;

/// Leaves, stars, boots and blobs on a 40 in page, alike and unlike, turned and mirrored.
std::string drawing() {
    Random random(11);
    std::string out =
        "<svg xmlns='http://www.w3.org/2000/svg' width='40in' height='40in' viewBox='0 0 4000 4000'>";
    const char* shapes[] = {"M0 -60C40 -40 40 40 0 60C-40 40 -40 -40 0 -60Z",
                            "M0 -60L14 -19 57 -19 22 7 35 49 0 23 -35 49 -22 7 -57 -19 -14 -19Z",
                            "M-40 -50H-5V15C20 15 40 25 42 50H-40Z"};
    for (int i = 0; i < pieces; ++i) {
        std::string path;
        if (i % 4 < 3) {
            path = shapes[i % 4];
        } else {
            const std::size_t corners = 12;
            for (std::size_t k = 0; k < corners; ++k) {
                const double angle = 2 * std::numbers::pi * static_cast<double>(k) / corners,
                             r = random.between(30, 60);
                path += (k ? "L" : "M") + std::to_string(r * std::cos(angle)) + " " +
                        std::to_string(r * std::sin(angle));
            }
            path += "Z";
        }
        out += "<path fill='#" + std::to_string(100 + i % 800) + "' d='" + path + "' transform='translate(" +
               std::to_string(100 + i % 25 * 155) + " " + std::to_string(100 + i / 25 * 190) + ") rotate(" +
               std::to_string(i * 37 % 360) + ") scale(" + (i % 5 ? "1" : "-1") + " 1)'/>";
    }
    return out + "</svg>";
}

quilt::Quilt quiltOf(const quilt::Drawing& found) {
    const auto side = measure::Length::ofInches(40, 1);
    auto quilt = edit::addBlock(quilt::emptyQuilt("bench"), "block", side, side);
    return *edit::addDrawing(*quilt, quilt->blocks[0].id, found, {}, 0);
}

void import(benchmark::State& state) {
    const auto text = drawing();
    for (auto _ : state)
        benchmark::DoNotOptimize(intake::readSvg(text, "bench.svg"));
}

void judgeAll(benchmark::State& state) {
    const auto quilt = quiltOf(*intake::readSvg(drawing(), "bench.svg"));
    const auto plan = plan::planBlock(quilt.blocks[0]);
    for (auto _ : state)
        benchmark::DoNotOptimize(plan::judge(quilt.blocks[0], plan));
}

void importAndAllJudgements(benchmark::State& state) {
    const auto text = drawing();
    for (auto _ : state) {
        const auto quilt = quiltOf(*intake::readSvg(text, "bench.svg"));
        const auto plan = plan::planBlock(quilt.blocks[0]);
        const auto judged = plan::judge(quilt.blocks[0], plan);
        benchmark::DoNotOptimize(plan::checkBlock(quilt, quilt.blocks[0], plan, judged));
    }
}

/// One step of the scale, until it is painted.
void dragTheScale(benchmark::State& state) {
    const auto quilt = quiltOf(*intake::readSvg(drawing(), "bench.svg"));
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
    app::look::apply(application, QString::fromStdString(output::dataFolder()));
    for (const auto& [name, work] : {std::pair{"import", &import},
                                     {"judge", &judgeAll},
                                     {"import_and_all_judgements", &importAndAllJudgements},
                                     {"drag_the_scale", &dragTheScale}})
        benchmark::RegisterBenchmark(name, *work)->Unit(benchmark::kMillisecond);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
