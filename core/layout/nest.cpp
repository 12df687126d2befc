// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/layout/nest.hpp"

#include "core/layout/construct.hpp"
#include "core/layout/mosaic.hpp"
#include "core/layout/rows.hpp"
#include "core/layout/squeeze.hpp"

#include <algorithm>
#include <atomic>
#include <chrono>
#include <cmath>
#include <limits>
#include <map>
#include <memory>
#include <mutex>
#include <set>
#include <thread>
#include <tuple>

namespace up::layout {
namespace {

using shape::Box;
using shape::Point;
using shape::Region;

constexpr double rough = 0.05;           ///< mm that outlines are simplified by, outwards
constexpr std::size_t mostPieces = 3000; ///< that are squeezed: each pair of them has a weight
constexpr int anyNumber = std::numeric_limits<int>::max();

bool better(const NestLayout& a, const NestLayout& b) {
    if (a.unplaced.size() != b.unplaced.size()) return a.unplaced.size() < b.unplaced.size();
    if (a.lastSheet != b.lastSheet) return a.lastSheet < b.lastSheet;
    return a.usedHeight < b.usedHeight - 1e-9;
}

/// Which of all sheets, counted from 1.
int ordinalOf(const NestJob& job, std::pair<std::size_t, int> sheet) {
    int out = sheet.second + 1;
    for (std::size_t i = 0; i < sheet.first; ++i)
        out += job.sheets[i].count;
    return out;
}

/// A layout that is made better step by step.
class Improvement {
public:
    Improvement(const NestJob& job, NestLayout from, std::uint64_t seed)
        : m_job(job), m_half(halfSpacing(job)), m_from(std::move(from)), m_forms(job.parts.size()) {
        for (const auto& placed : m_from.placed)
            if (m_forms[placed.part].points.empty())
                m_forms[placed.part] = paddedForm(job.parts[placed.part], m_half, rough);
        auto there = bays();
        m_squeezer = std::make_unique<Squeezer>(pieces(), std::move(there), places(), seed);
    }
    bool round(int most, const Squeezer::Enough& enough) { return m_squeezer->round(most, enough); }
    /// Nothing can be better any more.
    [[nodiscard]] bool isDone() const { return m_squeezer->isDone(); }
    [[nodiscard]] int steps() const { return m_squeezer->steps(); }
    [[nodiscard]] NestLayout layout() const;

private:
    [[nodiscard]] std::vector<Piece> pieces() const {
        std::vector<Piece> out;
        for (const auto& placed : m_from.placed)
            out.push_back({&m_forms[placed.part], m_job.parts[placed.part].rotations,
                           m_job.parts[placed.part].fixed.has_value()});
        return out;
    }
    [[nodiscard]] std::vector<Place> places() const {
        std::vector<Place> out;
        for (const auto& placed : m_from.placed)
            out.push_back({bayOf(placed), turnOf(placed.rotation), {placed.x + m_half, placed.y + m_half}});
        return out;
    }
    [[nodiscard]] std::size_t bayOf(const Placed& placed) const {
        const auto at =
            std::find(m_sheets.begin(), m_sheets.end(), std::pair{placed.sheet, placed.sheetIndex});
        return static_cast<std::size_t>(at - m_sheets.begin());
    }
    std::vector<Bay> bays();
    /// What an irregular sheet lacks of its rectangle, and a wide frame round that.
    Laid outsideOf(const Sheet& sheet);

    const NestJob& m_job;
    double m_half;
    NestLayout m_from;
    std::vector<Form> m_forms;                         ///< of the parts
    std::vector<std::pair<std::size_t, int>> m_sheets; ///< of the bays
    std::vector<std::unique_ptr<Form>> m_outsides;     ///< of the sheets' irregular ones
    std::unique_ptr<Squeezer> m_squeezer;
};

std::vector<Bay> Improvement::bays() {
    for (const auto& placed : m_from.placed)
        m_sheets.emplace_back(placed.sheet, placed.sheetIndex);
    std::sort(m_sheets.begin(), m_sheets.end());
    m_sheets.erase(std::unique(m_sheets.begin(), m_sheets.end()), m_sheets.end());
    std::vector<Bay> out;
    for (const auto& [sheet, index] : m_sheets) {
        const auto& s = m_job.sheets[sheet];
        out.push_back({s.width + 2 * m_half, s.height + 2 * m_half, {}});
        if (!s.outline.isEmpty()) out.back().outside = outsideOf(s);
    }
    return out;
}

Laid Improvement::outsideOf(const Sheet& sheet) {
    const Box frame = Box{0, 0, sheet.width + 2 * m_half, sheet.height + 2 * m_half}.grownBy(10);
    const auto there = shape::transformed(sheet.outline, shape::Transform::moveBy(m_half, m_half));
    m_outsides.push_back(std::make_unique<Form>(formOf(shape::subtract(shape::rectangle(frame), there))));
    Laid out;
    out.lay(*m_outsides.back(), {}, {});
    return out;
}

NestLayout Improvement::layout() const {
    NestLayout out = m_from;
    const auto& best = m_squeezer->best();
    for (std::size_t i = 0; i < out.placed.size(); ++i) {
        const auto place = best.place(i);
        auto& placed = out.placed[i];
        std::tie(placed.sheet, placed.sheetIndex) = m_sheets[place.bay];
        if (m_job.parts[placed.part].fixed) continue;
        placed.rotation = measure::Angle::ofDegrees(place.turn.degrees).normal().degrees();
        placed.x = place.at.x - m_half, placed.y = place.at.y - m_half;
    }
    std::set<std::pair<std::size_t, int>> used;
    for (const auto& placed : out.placed)
        used.emplace(placed.sheet, placed.sheetIndex);
    out.sheetsUsed = static_cast<int>(used.size());
    out.lastSheet = ordinalOf(m_job, *used.rbegin());
    out.usedHeight = std::max(0.0, m_squeezer->used() - 2 * m_half);
    return out;
}

} // namespace

namespace {

using Enough = Squeezer::Enough;

/// As many layouts as both cores make in that time, at least one; the best few, the very best first.
std::vector<NestLayout> constructed(const NestJob& job, const NestOptions& options, const Job& control,
                                    std::size_t few, const Enough& enough) {
    const bool timed = options.rounds <= 0;
    std::vector<NestLayout> best{
        constructor(job, options.seed, timed ? Care::quick : Care::full)(0, control, false)};
    if (enough()) return best;
    const auto construct = constructor(job, options.seed);
    std::mutex guard;
    std::atomic<int> next{0};
    const auto work = [&] {
        while (!enough()) {
            auto found = construct(next++, control, true);
            const std::lock_guard lock(guard);
            if (control.stopped()) return;
            best.insert(std::upper_bound(best.begin(), best.end(), found, better), std::move(found));
            if (best.size() > few) best.pop_back();
        }
    };
    std::thread helper(work);
    work();
    helper.join();
    return best;
}

/// Few pieces soon come to a dead end, each time another: it pays to begin more than once.
std::size_t beginnings(const NestJob& job, const NestOptions& options) {
    if (options.rounds > 0) return 1;
    int count = 0;
    for (const auto& part : job.parts)
        count += part.copies;
    return count <= 30 ? 4 : count <= 60 ? 2 : 1;
}

} // namespace

NestLayout nest(const NestJob& job, const NestOptions& options, up::Job& control) {
    using Clock = std::chrono::steady_clock;
    const auto start = Clock::now();
    const bool timed = options.rounds <= 0;
    const auto until = [&](double share) -> Enough {
        return [&, share] {
            const double passed = std::chrono::duration<double>(Clock::now() - start).count();
            if (timed) control.progress(std::min(passed / std::max(options.seconds, 1e-3), 1.0));
            return control.stopped() || (timed ? passed >= options.seconds * share : share < 1);
        };
    };
    constexpr double first = 0.06, beginning = 0.4; // of the time
    const auto few = beginnings(job, options);
    auto starts = constructed(job, options, control, few, until(first));
    NestLayout best = starts.front();
    if (best.placed.empty()) return best;
    std::vector<NestLayout> special;
    if (auto rows = rowsOf(job)) special.push_back(std::move(rows->layout));
    if (auto whole = reassembled(job)) special.push_back(std::move(*whole));
    for (auto& found : special)
        if (better(found, best)) best = starts.front() = std::move(found);
    constexpr double full = 0.9995;
    if (best.sheetsUsed == 1 && density(job, best) > full) return best;
    if (best.placed.size() > mostPieces) return best;
    std::unique_ptr<Improvement> leading;
    for (std::size_t i = 0; i < starts.size(); ++i) {
        auto next = std::make_unique<Improvement>(job, starts[i], options.seed + i);
        const auto enough =
            until(starts.size() == 1 ? 0
                                     : first + (beginning - first) * static_cast<double>(i + 1) /
                                                   static_cast<double>(starts.size()));
        while (timed && !next->isDone() && !enough())
            next->round(anyNumber, enough);
        if (!leading || better(next->layout(), leading->layout())) leading = std::move(next);
    }
    const auto inTime = until(1);
    const Enough enough = [&] {
        if (!timed)
            control.progress(std::min(1.0, static_cast<double>(leading->steps() + 1) / options.rounds));
        return inTime() || (!timed && leading->steps() + 1 >= options.rounds);
    };
    while (!leading->isDone() && !enough())
        leading->round(timed ? anyNumber : options.rounds - 1 - leading->steps(), enough);
    NestLayout found = leading->layout();
    if (better(found, best)) best = std::move(found);
    control.progress(1);
    return best;
}

bool hasFixed(const NestJob& job) {
    return std::any_of(job.parts.begin(), job.parts.end(), [](const Part& p) { return p.fixed.has_value(); });
}

double density(const NestJob& job, const NestLayout& layout) {
    double parts = 0, sheets = 0;
    std::map<std::pair<std::size_t, int>, bool> used;
    for (const auto& placed : layout.placed) {
        parts += job.parts[placed.part].shape.area();
        used[{placed.sheet, placed.sheetIndex}] = true;
    }
    for (const auto& [key, _] : used) {
        const bool last = key == used.rbegin()->first;
        sheets += job.sheets[key.first].width * (last ? layout.usedHeight : job.sheets[key.first].height);
    }
    return sheets > 0 ? parts / sheets : 0;
}

} // namespace up::layout
