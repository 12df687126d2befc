// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bond/tight.hpp"

#include "core/layout/attempt.hpp"

#include <algorithm>
#include <atomic>

namespace up::bond {

using measure::Angle;
using shape::Region;
using shape::Transform;

namespace {

constexpr double sag = 0.01, rough = 0.05; // mm, outwards

/// One cloth and its chunks as the layout engine takes them.
class Bench {
public:
    Bench(const Task& task, const Shelf& shelf, const std::vector<std::size_t>& chunks)
        : m_task(task), m_shelf(shelf), m_chunks(chunks) {
        m_forms.reserve(chunks.size()); // pieces refer to them
        for (const auto chunk : chunks) {
            const auto grown = shape::offset(task.chunks[chunk].outline, task.margin / 2 + sag, sag);
            m_forms.push_back(layout::formOf(shape::coveringSimplified(grown, rough)));
        }
        for (std::size_t i = 0; i < chunks.size(); ++i)
            m_pieces.push_back({&m_forms[i], turnsOf(chunks[i]), task.chunks[chunks[i]].pinned.has_value()});
        const Region room = shape::transformed(
            shape::offset(task.cloths[shelf.cloth].area, -task.margin / 2, sag), toShelf());
        m_bay.width = shelf.width, m_bay.height = shelf.height;
        constexpr double beyond = 10;
        m_outside = layout::formOf(shape::subtract(
            shape::rectangle(shape::Box{0, 0, shelf.width, shelf.height}.grownBy(beyond)), room));
        m_bay.outside.lay(m_outside, {}, {});
    }

    std::optional<std::vector<Lying>> run(int steps, std::uint64_t seed, const Job& job) {
        layout::Attempt attempt(m_pieces, {m_bay}, {m_pieces, places()}, seed);
        std::atomic<int> most{steps};
        attempt.go(most, [&] { return job.stopped(); });
        if (attempt.state() != layout::Attempt::State::found) return std::nullopt;
        std::vector<Lying> out;
        for (std::size_t i = 0; i < m_chunks.size(); ++i)
            out.push_back(lyingAt(i, attempt.arrangement().place(i)));
        return out;
    }

private:
    [[nodiscard]] Transform toShelf() const {
        return Transform::moveBy(-m_shelf.corner.x, -m_shelf.corner.y) *
               Transform::turn(Angle::ofDegrees(m_shelf.frame));
    }
    [[nodiscard]] std::vector<double> turnsOf(std::size_t chunk) const {
        const auto& what = m_task.chunks[chunk];
        const auto& cloth = m_task.cloths[m_shelf.cloth];
        if (!what.stripes || !cloth.stripes) return {};
        const double along = *cloth.stripes + m_shelf.frame - *what.stripes;
        if (what.oneWay) return {along};
        return {along, along + 180};
    }
    /// Where it lies; in the middle what does not lie there yet.
    [[nodiscard]] std::vector<layout::Place> places() const {
        std::vector<layout::Place> out;
        for (std::size_t i = 0; i < m_chunks.size(); ++i) {
            const auto at = std::find_if(m_shelf.lying.begin(), m_shelf.lying.end(),
                                         [&](const Lying& l) { return l.chunk == m_chunks[i]; });
            const double degrees = at != m_shelf.lying.end()   ? at->turn + m_shelf.frame
                                   : m_pieces[i].turns.empty() ? 0
                                                               : m_pieces[i].turns.front();
            const auto turn = layout::turnOf(Angle::ofDegrees(degrees).normal().degrees());
            if (at != m_shelf.lying.end()) {
                out.push_back({0, turn, toShelf()({at->x, at->y})});
                continue;
            }
            const auto middle = layout::boxOf(m_forms[i], turn).centre();
            out.push_back({0, turn, shape::Point{m_shelf.width / 2, m_shelf.height / 2} - middle});
        }
        return out;
    }
    [[nodiscard]] Lying lyingAt(std::size_t i, const layout::Place& place) const {
        const auto home = toShelf().inverse()(place.at);
        return {m_chunks[i], m_shelf.cloth,
                Angle::ofDegrees(place.turn.degrees - m_shelf.frame).normal().degrees(), home.x, home.y};
    }

    const Task& m_task;
    const Shelf& m_shelf;
    const std::vector<std::size_t>& m_chunks;
    std::vector<layout::Form> m_forms;
    std::vector<layout::Piece> m_pieces;
    layout::Form m_outside;
    layout::Bay m_bay;
};

} // namespace

std::optional<std::vector<Lying>> pushedIn(const Task& task, const Shelf& shelf,
                                           const std::vector<std::size_t>& chunks, int steps,
                                           std::uint64_t seed, const Job& job) {
    return Bench(task, shelf, chunks).run(steps, seed, job);
}

} // namespace up::bond
