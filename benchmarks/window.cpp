// SPDX-License-Identifier: GPL-3.0-or-later
// How long the window is busy after one action, until it is painted: the sample quilt, offscreen.
// usage: QT_QPA_PLATFORM=offscreen bench_window QUILT.upstairs
#include "app/window/window.hpp"
#include "app/canvas/mat.hpp"
#include "app/look/look.hpp"
#include "benchmarks/many.hpp"
#include "core/base/place.hpp"
#include "core/plan/trace/lay_out.hpp"
#include "intake/svg/svg.hpp"
#include "output/pdf/pdf.hpp"

#include <QAbstractButton>
#include <QAction>
#include <QApplication>
#include <QTemporaryDir>
#include <benchmark/benchmark.h>
#include <chrono>
#include <ctime>
#include <thread>

namespace {

up::app::Window* window = nullptr;

/// Everything the action caused in the window's thread, painting too.
void settle() {
    QApplication::processEvents();
    QApplication::processEvents();
}

void chooseLargest() {
    auto& session = window->room().session;
    for (const auto& block : session.quilt().blocks)
        if (!session.block() || block.pieces.size() > session.block()->pieces.size())
            session.chooseBlock(block.id);
    session.choosePiece(session.block()->pieces[2].id);
}

void nudge(benchmark::State& state) {
    chooseLargest();
    window->room().session.goTo(up::app::View::lay);
    int way = 1;
    for (auto _ : state) {
        window->mat().take({{}, false, true});
        window->mat().carry(way * 25.4 / 16, 0);
        settle();
        way = -way;
    }
}

void restack(benchmark::State& state) {
    chooseLargest();
    window->room().session.goTo(up::app::View::draw);
    int way = 1;
    for (auto _ : state) {
        window->room().commands.restack(way);
        settle();
        way = -way;
    }
}

void view(benchmark::State& state) {
    chooseLargest();
    const auto wanted = up::every<up::app::View>()[static_cast<std::size_t>(state.range(0))];
    state.SetLabel(up::app::nameOf(wanted).toStdString());
    for (auto _ : state) {
        window->room().session.goTo(up::app::View::stash);
        const auto begun = std::chrono::steady_clock::now();
        window->room().session.goTo(wanted);
        settle();
        state.SetIterationTime(
            std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count());
    }
}

/// A chunk dragged to and fro on its web, with what lies too close told at every step.
void dragOnWeb(benchmark::State& state) {
    chooseLargest();
    auto& session = window->room().session;
    if (!session.block()->layout) {
        up::Job job;
        auto layout = up::plan::layOut(session.quilt(), *session.block(), {0, 2, 1}, job);
        session.apply(up::edit::setLayout(session.quilt(), session.blockId(), std::move(*layout), 0),
                      "lay out");
    }
    session.goTo(up::app::View::trace);
    const auto piece = session.block()->pieces[4].id;
    double way = 2; // mm
    window->mat().take({piece, false, false});
    for (auto _ : state) {
        window->mat().carry(way, 0);
        settle();
        way = -way;
    }
    state.SetLabel(std::to_string(session.block()->pieces.size()) + " pieces");
}

/// 300 pieces that lie on each other, one of them dragged, with what peeks out and falls short told at every
/// step.
void dragInLay(benchmark::State& state) {
    auto quilt = up::bench::quiltOf(*up::intake::readSvg(up::bench::drawing(12), "many"));
    auto& pieces = quilt.blocks[0].pieces;
    pieces.resize(300);
    for (auto& piece : pieces) {
        const auto middle = boundsOf(*piece.outline).centre();
        piece.place.right = up::measure::Length::ofMm(middle.x * -0.62);
        piece.place.down = up::measure::Length::ofMm(middle.y * -0.62);
    }
    auto& session = window->room().session;
    session.startNew(std::move(quilt));
    session.goTo(up::app::View::lay);
    const auto piece = session.block()->pieces[150].id;
    session.choosePiece(piece);
    while (window->room().checker.isBusy() || window->room().placements.isBusy())
        QApplication::processEvents(QEventLoop::WaitForMoreEvents); // the hand takes hold when all is said
    double way = 2;                                                 // mm
    window->mat().take({piece, false, false});
    for (auto _ : state) {
        window->mat().carry(way, 0);
        settle();
        way = -way;
    }
}

/// Numbering 300 pieces anew and back: how long the window is busy at a stretch while it is worked out aside
/// and taken over.
void numberAnew(benchmark::State& state) {
    auto quilt = up::bench::quiltOf(*up::intake::readSvg(up::bench::drawing(12), "many"));
    quilt.blocks[0].pieces.resize(300);
    auto& session = window->room().session;
    session.startNew(std::move(quilt));
    session.goTo(up::app::View::lay);
    while (window->room().checker.isBusy() || window->room().placements.isBusy())
        QApplication::processEvents(QEventLoop::WaitForMoreEvents);
    double longest = 0, back = 0;
    for (auto _ : state) {
        window->findChild<QAction*>("stack.number")->trigger();
        while (window->room().mending.isBusy() || window->room().checker.isBusy() ||
               window->room().placements.isBusy()) {
            const auto begun = std::chrono::steady_clock::now();
            QApplication::processEvents();
            const std::chrono::duration<double, std::milli> took = std::chrono::steady_clock::now() - begun;
            longest = std::max(longest, took.count());
            std::this_thread::sleep_for(std::chrono::milliseconds(1)); // both cores for what is aside
        }
        const auto begun = std::chrono::steady_clock::now();
        session.undo();
        const std::chrono::duration<double, std::milli> took = std::chrono::steady_clock::now() - begun;
        back = std::max(back, took.count());
    }
    state.counters["undo_ms"] = back;
    state.counters["longest_ms"] = longest;
}

/// 300 pieces: the window from an empty quilt to the view painted, everything worked out from nothing.
void firstLook(benchmark::State& state) {
    const auto wanted = up::every<up::app::View>()[static_cast<std::size_t>(state.range(0))];
    state.SetLabel(up::app::nameOf(wanted).toStdString());
    std::uint64_t seed = 1; // nothing of the one before helps with the next
    for (auto _ : state) {
        const auto quilt = up::bench::overlapping(300, seed++);
        window->room().session.goTo(up::app::View::stash);
        const auto begun = std::chrono::steady_clock::now();
        window->room().session.startNew(quilt);
        window->room().session.goTo(wanted);
        settle();
        state.SetIterationTime(
            std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count());
    }
}

/// 300 pieces lined up at their left ends, so that most lie over each other: the longest stretch in which the window
/// is busy until the view is painted. What they lie on is worked out aside, as the checks are.
void lineUp(benchmark::State& state) {
    const auto wanted = up::every<up::app::View>()[static_cast<std::size_t>(state.range(0))];
    state.SetLabel(up::app::nameOf(wanted).toStdString());
    auto& session = window->room().session;
    session.startNew(up::bench::overlapping(300));
    session.goTo(wanted);
    settle();
    window->findChild<QAction*>("edit.all")->trigger();
    double whole = 0;
    for (auto _ : state) {
        double longest = 0;
        const auto since = std::chrono::steady_clock::now();
        window->room().places.lineUp(up::plan::Line::lefts);
        do {
            std::this_thread::sleep_for(std::chrono::milliseconds(1));
            const auto begun = std::chrono::steady_clock::now();
            QApplication::processEvents();
            longest = std::max(
                longest, std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count());
        } while (window->room().mending.isBusy());
        whole =
            std::max(whole, std::chrono::duration<double>(std::chrono::steady_clock::now() - since).count());
        state.SetIterationTime(longest);
        session.undo();
        settle();
    }
    state.counters["whole_ms"] = whole * 1000;
}

/// 300 pieces laid out by each school, and one way taken after the other: until the web is painted.
void takeWay(benchmark::State& state) {
    auto& session = window->room().session;
    session.startNew(up::bench::overlapping(300));
    session.goTo(up::app::View::trace);
    window->room().layout.start({0, 2, 1});
    while (window->room().layout.isRunning() || window->room().layout.isComparing())
        QApplication::processEvents(QEventLoop::WaitForMoreEvents);
    settle();
    int way = 0;
    for (auto _ : state) {
        auto* card = window->findChild<QAbstractButton*>(way++ % 2 == 0 ? "way.0" : "way.1");
        if (!card) return state.SkipWithError("no ways to choose from");
        const auto begun = std::chrono::steady_clock::now();
        card->click();
        settle();
        state.SetIterationTime(
            std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count());
    }
}

/// 300 pieces in Lay, where most is dashed: the mat painted once, so far zoomed in.
void paintZoomed(benchmark::State& state) {
    auto& session = window->room().session;
    session.startNew(up::bench::overlapping(300));
    session.goTo(up::app::View::lay);
    settle();
    auto& mat = window->mat();
    mat.fit();
    mat.zoomBy(static_cast<double>(state.range(0)));
    settle();
    for (auto _ : state)
        mat.repaint();
    mat.fit();
}

} // namespace

int main(int count, char** words) {
    benchmark::Initialize(&count, words);
    QApplication application(count, words);
    const auto data = QString::fromStdString(up::dataFolder());
    up::app::look::apply(application, data);
    const QTemporaryDir folder;
    up::app::Surroundings around;
    around.folder = folder.path();
    around.sample = count > 1 ? words[1] : data + "/demo/towpath.upstairs";
    around.clock = [] { return static_cast<std::int64_t>(std::time(nullptr)); };
    up::app::DialogAsker asker;
    up::app::Workroom room(std::move(around), asker);
    up::app::Window real(room);
    window = &real;
    room.openSample();
    real.show();
    benchmark::RegisterBenchmark("nudge", static_cast<void (*)(benchmark::State&)>(nudge))
        ->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("restack", static_cast<void (*)(benchmark::State&)>(restack))
        ->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("drag on the web", static_cast<void (*)(benchmark::State&)>(dragOnWeb))
        ->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("number anew, 300 pieces",
                                 static_cast<void (*)(benchmark::State&)>(numberAnew))
        ->Unit(benchmark::kMillisecond)
        ->Iterations(5)
        ->UseRealTime();
    benchmark::RegisterBenchmark("drag in Lay, 300 pieces",
                                 static_cast<void (*)(benchmark::State&)>(dragInLay))
        ->Unit(benchmark::kMillisecond)
        ->UseRealTime();
    benchmark::RegisterBenchmark("view", static_cast<void (*)(benchmark::State&)>(view))
        ->DenseRange(0, 8)
        ->UseManualTime()
        ->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("first look, 300 pieces",
                                 static_cast<void (*)(benchmark::State&)>(firstLook))
        ->DenseRange(0, 8)
        ->UseManualTime()
        ->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("lined up, 300 pieces", static_cast<void (*)(benchmark::State&)>(lineUp))
        ->DenseRange(0, 8)
        ->UseManualTime()
        ->Iterations(3)
        ->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("way taken, 300 pieces", static_cast<void (*)(benchmark::State&)>(takeWay))
        ->UseManualTime()
        ->Iterations(6)
        ->Unit(benchmark::kMillisecond);
    benchmark::RegisterBenchmark("painting, 300 pieces",
                                 static_cast<void (*)(benchmark::State&)>(paintZoomed))
        ->RangeMultiplier(4)
        ->Range(1, 1024)
        ->Unit(benchmark::kMillisecond);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
