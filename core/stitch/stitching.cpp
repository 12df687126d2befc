// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/stitch/stitching.hpp"

#include "core/stitch/later.hpp"
#include "core/stitch/whole_network.hpp"

#include <algorithm>
#include <map>
#include <numeric>

namespace up::stitch {
namespace {

class Planning {
public:
    Planning(WholeNetwork network, const Field& field, const Wishes& wishes)
        : m_network(std::move(network)), m_field(field), m_wishes(wishes) {}

    Stitching run() {
        if (m_network.arcs().empty()) return {};
        if (m_network.arcs().size() <= fewArcs) {
            Arcs all(m_network.arcs().size());
            std::iota(all.begin(), all.end(), 0);
            const auto ways = waysFor(all);
            m_out.threadChanges = ways.threadChanges;
            m_out.fewestChanges = m_out.fewestTies = ways.fewest;
            if (ways.fewest) return std::move(m_out);
            m_out = {}; // else one thread after the other
        }
        byTurns();
        return std::move(m_out);
    }

private:
    void byTurns() {
        TurnsJob job;
        job.on = m_wishes.on, job.quick = m_wishes.quick;
        for (const auto& arc : m_network.arcs()) {
            for (const auto first : arc.first)
                job.before.emplace_back(first, job.thread.size());
            job.thread.push_back(arc.thread);
        }
        const auto orders = turnsOf(job);
        const auto turns = withFewestTies(orders, job);
        const bool fewest = orders.fewest;
        m_out.fewestChanges = m_out.fewestTies = fewest;
        m_out.threadChanges = std::max(0, static_cast<int>(turns.size()) - 1);
        std::map<int, int> timesOn;
        for (const auto& turn : turns) {
            // What is stitched in two turns of a thread might have been one trail in one of them.
            if (++timesOn[turn.thread] > 1) m_out.fewestTies = false;
            for (const auto& part : m_network.partsOf(turn.things))
                m_out.fewestTies = waysFor(part).fewest && m_out.fewestTies;
        }
    }

    /// Of all orders that were found.
    [[nodiscard]] std::vector<Turn> withFewestTies(const Turns& orders, const TurnsJob& job) const {
        const TiesOf ties = [&](const Arcs& arcs) { return leastTiesOf(m_network.only(arcs)); };
        const PartsOf parts = [&](const Arcs& arcs) { return m_network.partsOf(arcs); };
        std::vector<Turn> best;
        int fewest = 0;
        const auto consider = [&](const std::vector<Turn>& turns) {
            auto later = withPutOff(turns, job.before, ties, parts);
            int all = 0;
            for (const auto& turn : later)
                all += ties(turn.things);
            if (best.empty() || all < fewest) best = std::move(later), fewest = all;
        };
        consider(orders.turns);
        const std::size_t most = job.thread.size() > 100 ? 3 : orders.others.size();
        for (std::size_t i = 0; i < most && i < orders.others.size(); ++i)
            consider(orders.others[i]);
        return best;
    }

    Ways waysFor(const Arcs& part) {
        auto network = m_network.only(part);
        network.on = m_wishes.on, network.quick = m_wishes.quick;
        auto ways = waysOf(network);
        tell(ways, part);
        return ways;
    }

    void tell(const Ways& ways, const Arcs& part) {
        m_out.jump += ways.jump;
        m_out.leastTies += ways.leastTies;
        std::size_t here = 0; // place
        for (const auto& step : ways.steps) {
            const auto& arc = m_network.arcs()[part[step.arc]];
            const auto from = step.back ? arc.to : arc.from;
            if (step.begins)
                m_out.trails.push_back({arc.thread, {}, step.back ? arc.hiddenTo : arc.hiddenFrom});
            else if (from != here)
                travel(here, from);
            Stitched stitched{m_network.runOf(part[step.arc]), step.back};
            for (int i = 0; i < step.times; ++i) { // a closed one goes on round
                if (i > 0 && arc.from != arc.to) stitched.back = !stitched.back;
                m_out.trails.back().steps.emplace_back(stitched);
            }
            here = stitched.back ? arc.from : arc.to;
            m_out.trails.back().hiddenEnd = stitched.back ? arc.hiddenFrom : arc.hiddenTo;
        }
    }
    void travel(std::size_t from, std::size_t to) {
        auto way = wayBetween(m_field, m_network.at(from), m_network.at(to));
        for (auto& travel : way->travels)
            m_out.trails.back().steps.emplace_back(std::move(travel));
    }

    WholeNetwork m_network;
    const Field& m_field;
    const Wishes& m_wishes;
    Stitching m_out;
};

} // namespace

Stitching stitchingOf(const Runs& runs, const std::vector<Line>& lines, const std::vector<bool>& done,
                      const Field& field, const Wishes& wishes) {
    return Planning(WholeNetwork(runs, lines, done, field), field, wishes).run();
}

} // namespace up::stitch
