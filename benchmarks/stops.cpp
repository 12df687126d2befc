// SPDX-License-Identifier: GPL-3.0-or-later
// How long work goes on after it has been stopped: each kind on a large block, stopped at ten moments on its way.
// usage: bench_stops [PIECES]
#include "core/base/job.hpp"
#include "core/mend/mend.hpp"
#include "core/plan/block/doubts.hpp"
#include "core/plan/block/judge_plan.hpp"
#include "core/plan/check/check_plan.hpp"
#include "core/plan/work/which_plan.hpp"
#include "tests/support/blobs.hpp"

#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <functional>
#include <thread>

namespace {

using Clock = std::chrono::steady_clock;

double secondsSince(Clock::time_point from) {
    return std::chrono::duration<double>(Clock::now() - from).count();
}

void tried(const char* what, const std::function<void()>& work) {
    const auto begun = Clock::now();
    work();
    const double whole = secondsSince(begun);
    double worst = 0;
    for (int i = 1; i < 10; ++i) {
        up::Job job;
        Clock::time_point told;
        std::thread stops([&] {
            std::this_thread::sleep_for(std::chrono::duration<double>(whole * i / 10));
            told = Clock::now();
            job.stop();
        });
        const bool ended = up::unlessStopped(job, [&] { return work(), true; }).has_value();
        const auto back = Clock::now();
        stops.join();
        if (!ended) worst = std::max(worst, std::chrono::duration<double>(back - told).count());
    }
    std::printf("%-22s %8.3f s in all, stops within %6.3f s\n", what, whole, worst);
}

} // namespace

int main(int count, char** words) {
    const auto quilt = up::test::blobs(count > 1 ? std::atoi(words[1]) : 300);
    const auto& block = quilt.blocks[0];
    const auto plan = up::plan::planBlock(block);
    const auto doubts = up::plan::doubtsOf(block, plan);
    const auto judged = up::plan::judge(block, plan);
    tried("plan of the block", [&] { (void)up::plan::planBlock(block); });
    tried("what is doubtful", [&] { (void)up::plan::doubtsOf(block, plan); });
    tried("judging shapes", [&] { (void)up::plan::judge(block, plan); });
    tried("checks", [&] { (void)up::plan::checkBlock(quilt, block, plan, judged, doubts); });
    tried("which piece is this", [&] { (void)up::plan::whichPiece(quilt, block.id, 40, 30); });
    tried("numbering anew", [&] { (void)up::mend::numberedAnew(quilt, block.id); });
}
