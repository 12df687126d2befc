// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bond/bond.hpp"

#include "core/base/random.hpp"
#include "core/bond/tight.hpp"

#include <algorithm>
#include <memory>
#include <numeric>
#include <tuple>

namespace up::bond {

using shape::Region;

namespace {

constexpr int pushes = 30; // steps, until chunks are given up that do not go in

/// A shelf that does not change any more, and what it leaves.
struct Filled {
    Shelf shelf;
    double free = 0; ///< mm² of the largest rectangle
};
using Kept = std::shared_ptr<const Filled>;

/// What lies where.
struct State {
    std::vector<Kept> shelves; ///< by cloth; untouched ones too
    std::vector<std::size_t> missing;
};

/// Less is better.
using Score = std::tuple<double, int, int, double, double, double>;

/// In which order cloths are begun.
enum class Opening { smallest, largest, any };

class Searcher {
public:
    Searcher(const Task& task, const Options& options, Job& job)
        : m_task(task), m_shelves(task), m_random(options.seed), m_most(options.tries), m_job(job) {
        for (std::size_t c = 0; c < task.cloths.size(); ++c)
            m_empty.push_back(kept(m_shelves.empty(c, 0)));
    }

    Bonding run() {
        std::vector<std::size_t> all;
        for (std::size_t c = 0; c < m_task.chunks.size(); ++c)
            if (!m_task.chunks[c].pinned) all.push_back(c);
        sortBySize(all, 0);
        m_best = filled({m_empty, {}}, all, Opening::smallest, {});
        keepIfBetter(filled({m_empty, {}}, all, Opening::largest, {}));
        m_tries = 0;
        constexpr int mostRounds = 150; // with few cloths everything has been tried by then
        for (int round = 0; round < mostRounds && m_tries < m_most && !m_job.stopped(); ++round) {
            m_job.progress(
                std::max(static_cast<double>(m_tries) / m_most, static_cast<double>(round) / mostRounds));
            breathe();
            ruinAndRecreate();
        }
        moveTogether();
        lookCloser();
        return answer();
    }

private:
    [[nodiscard]] Kept kept(Shelf shelf) const {
        const double free = m_shelves.largestFree(shelf);
        return std::make_shared<const Filled>(Filled{std::move(shelf), free});
    }
    [[nodiscard]] static bool isUsed(const Kept& kept) { return !kept->shelf.lying.empty(); }

    [[nodiscard]] Score scoreOf(const State& state) const {
        double missing = 0, best = 0, bestOpened = 0, opened = 0;
        int used = 0, good = 0;
        for (const auto chunk : state.missing)
            missing += m_shelves.areaOf(chunk);
        for (std::size_t c = 0; c < state.shelves.size(); ++c) {
            best = std::max(best, state.shelves[c]->free);
            if (!isUsed(state.shelves[c])) continue;
            ++used;
            good += !m_task.cloths[c].scrap;
            opened += m_shelves.roomOf(c);
            bestOpened = std::max(bestOpened, state.shelves[c]->free);
        }
        return {missing, used, good, -best, opened, -bestOpened};
    }
    bool keepIfBetter(State state) {
        if (scoreOf(m_best) < scoreOf(state)) return false;
        m_best = std::move(state);
        return true;
    }

    /// The largest first; `unrest` 0…1: how far chance goes into it.
    void sortBySize(std::vector<std::size_t>& chunks, double unrest) {
        std::vector<std::pair<double, std::size_t>> keys;
        for (const auto chunk : chunks)
            keys.emplace_back(-m_shelves.areaOf(chunk) * (1 - unrest * m_random.unit()), chunk);
        std::sort(keys.begin(), keys.end());
        std::transform(keys.begin(), keys.end(), chunks.begin(), [](const auto& key) { return key.second; });
    }

    /// Cloths in the order in which a chunk is tried on them.
    [[nodiscard]] std::vector<std::size_t> cloths(const State& state, Opening opening,
                                                  const std::vector<std::size_t>& closed) {
        std::vector<std::tuple<int, double, std::size_t>> keys;
        for (std::size_t c = 0; c < state.shelves.size(); ++c) {
            const double room = m_shelves.roomOf(c);
            if (isUsed(state.shelves[c]))
                keys.emplace_back(0, room - state.shelves[c]->shelf.taken, c);
            else if (std::find(closed.begin(), closed.end(), c) == closed.end())
                keys.emplace_back(m_task.cloths[c].scrap || opening == Opening::any ? 1 : 2,
                                  opening == Opening::smallest  ? room
                                  : opening == Opening::largest ? -room
                                                                : m_random.unit(),
                                  c);
        }
        std::sort(keys.begin(), keys.end());
        std::vector<std::size_t> out;
        for (const auto& key : keys)
            out.push_back(std::get<2>(key));
        return out;
    }

    /// The chunks one after the other where there is room; `closed` cloths are not begun.
    [[nodiscard]] State filled(State state, const std::vector<std::size_t>& chunks, Opening opening,
                               const std::vector<std::size_t>& closed) {
        std::vector<bool> touched(state.shelves.size(), false);
        for (const auto chunk : chunks) {
            bool lies = false;
            for (const auto c : cloths(state, opening, closed)) {
                ++m_tries;
                const auto spot = m_shelves.find(state.shelves[c]->shelf, chunk);
                if (!spot) continue;
                auto next = state.shelves[c]->shelf;
                m_shelves.put(next, *spot);
                state.shelves[c] = std::make_shared<const Filled>(Filled{std::move(next), 0});
                lies = touched[c] = true;
                break;
            }
            if (!lies) state.missing.push_back(chunk);
        }
        for (std::size_t c = 0; c < touched.size(); ++c)
            if (touched[c]) state.shelves[c] = kept(state.shelves[c]->shelf);
        return state;
    }

    [[nodiscard]] std::vector<std::size_t> usedCloths() const {
        std::vector<std::size_t> out;
        for (std::size_t c = 0; c < m_best.shelves.size(); ++c)
            if (isUsed(m_best.shelves[c])) out.push_back(c);
        return out;
    }

    /// Takes what is not pinned off the cloth.
    void clear(State& state, std::size_t cloth, std::vector<std::size_t>& off) const {
        for (const auto& lying : state.shelves[cloth]->shelf.lying)
            if (!m_task.chunks[lying.chunk].pinned) off.push_back(lying.chunk);
        state.shelves[cloth] = m_empty[cloth];
    }

    void ruinAndRecreate() {
        auto used = usedCloths();
        if (used.empty()) return;
        State next = m_best;
        auto off = std::exchange(next.missing, {});
        m_random.shuffle(used);
        constexpr std::size_t most = 3;
        used.resize(std::min(used.size(), 1 + m_random.below(most)));
        for (const auto cloth : used)
            clear(next, cloth, off);
        constexpr double unrest = 0.6;
        sortBySize(off, unrest * m_random.unit());
        const auto opening = static_cast<Opening>(m_random.below(3));
        if (m_random.below(2) == 0) used.clear(); // else they stay closed
        keepIfBetter(filled(std::move(next), off, opening, used));
    }

    /// All that lies on one cloth goes to another one, or is pushed into another corner of its own, when that
    /// leaves more.
    void moveTogether() {
        for (const auto from : usedCloths()) {
            std::vector<std::size_t> off;
            State bare = m_best;
            clear(bare, from, off);
            sortBySize(off, 0);
            const double area = std::accumulate(off.begin(), off.end(), 0.0, [&](double sum, std::size_t c) {
                return sum + m_shelves.areaOf(c);
            });
            std::vector<std::size_t> others{from};
            for (const auto c : cloths(bare, Opening::smallest, {}))
                if (c != from && !isUsed(bare.shelves[c]) && m_shelves.roomOf(c) >= area) others.push_back(c);
            constexpr std::size_t most = 8;
            others.resize(std::min(others.size(), most));
            for (const auto to : others)
                for (int quarter = 0; quarter < 4 && !m_job.stopped(); ++quarter)
                    tryTogether(bare, off, to, quarter);
        }
    }
    void tryTogether(const State& bare, const std::vector<std::size_t>& chunks, std::size_t to, int quarter) {
        breathe();
        auto shelf = m_shelves.empty(to, quarter);
        for (const auto chunk : chunks) {
            const auto spot = m_shelves.find(shelf, chunk);
            if (!spot) return;
            m_shelves.put(shelf, *spot);
        }
        State next = bare;
        next.shelves[to] = kept(std::move(shelf));
        keepIfBetter(std::move(next));
    }

    /// What is missing is tried once more, to the line and at any turn, with what lies there moving aside.
    void lookCloser() {
        auto missing = std::exchange(m_best.missing, {});
        sortBySize(missing, 0);
        int left = 40; // tries: a few hundredths of a second each
        for (const auto chunk : missing)
            if (!pushIn(chunk, left)) m_best.missing.push_back(chunk);
    }
    bool pushIn(std::size_t chunk, int& left) {
        for (const auto c : cloths(m_best, Opening::smallest, {})) {
            const auto& there = m_best.shelves[c]->shelf;
            if (m_shelves.areaOf(chunk) > m_shelves.roomOf(c) - there.taken || !m_shelves.mayGoOn(chunk, c))
                continue;
            if (left-- <= 0 || m_job.stopped()) return false;
            std::vector<std::size_t> chunks{chunk};
            for (const auto& lying : there.lying)
                chunks.push_back(lying.chunk);
            const auto found = pushedIn(m_task, there, chunks, pushes, m_random.next(), m_job);
            if (!found) continue;
            auto shelf = m_shelves.empty(c, 0);
            for (const auto& lying : *found)
                if (!m_task.chunks[lying.chunk].pinned) m_shelves.put(shelf, lying);
            m_best.shelves[c] = kept(std::move(shelf));
            return true;
        }
        return false;
    }

    [[nodiscard]] Bonding answer() const {
        Bonding out;
        for (const auto& shelf : m_best.shelves)
            out.lying.insert(out.lying.end(), shelf->shelf.lying.begin(), shelf->shelf.lying.end());
        std::sort(out.lying.begin(), out.lying.end(),
                  [](const Lying& a, const Lying& b) { return a.chunk < b.chunk; });
        out.missing = m_best.missing;
        std::sort(out.missing.begin(), out.missing.end());
        return out;
    }

    const Task& m_task;
    Shelves m_shelves;
    Random m_random;
    int m_most, m_tries = 0;
    Job& m_job;
    std::vector<Kept> m_empty;
    State m_best;
};

} // namespace

Bonding bond(const Task& task, const Options& options, Job& job) {
    return Searcher(task, options, job).run();
}

bool hasRoom(const Task& task) {
    Shelves shelves(task);
    std::vector<std::size_t> tight;
    for (std::size_t c = 0; c < task.cloths.size(); ++c) {
        if (!shelves.mayGoOn(0, c)) continue;
        if (shelves.find(shelves.empty(c, 0), 0)) return true;
        tight.push_back(c);
    }
    Job job;
    return std::any_of(tight.begin(), tight.end(), [&](std::size_t c) {
        return pushedIn(task, shelves.empty(c, 0), {0}, pushes, 1, job).has_value();
    });
}

std::vector<Region> leftOf(const Region& cloth, const std::vector<Region>& chunks) {
    return shape::islands(shape::subtract(cloth, shape::unite(chunks)));
}

shape::Box largestRectangle(const Region& region, int cells) {
    if (region.isEmpty()) return {};
    const auto box = region.bounds();
    const double cell = std::max(0.5, std::max(box.width(), box.height()) / cells);
    const auto columns = static_cast<int>(box.width() / cell), rows = static_cast<int>(box.height() / cell);
    layout::Grid grid(columns + 1, rows + 1);
    grid.blockOutside(shape::transformed(region, shape::Transform::moveBy(-box.left, -box.top)), cell);
    const auto free = layout::largestFree(grid, columns, rows);
    const double left = box.left + free.column * cell, top = box.top + free.row * cell;
    return {left, top, left + free.columns * cell, top + free.rows * cell};
}

shape::Transform placing(const Lying& lying) {
    return shape::Transform::moveBy(lying.x, lying.y) *
           shape::Transform::turn(measure::Angle::ofDegrees(lying.turn));
}

} // namespace up::bond
