// SPDX-License-Identifier: GPL-3.0-or-later
// All that is to be stitched on a block as one network, and parts of it.
#pragma once

#include "core/stitch/runs.hpp"
#include "core/stitch/travel.hpp"
#include "core/stitch/ways.hpp"

namespace up::stitch {

using Arcs = std::vector<std::size_t>; ///< of a WholeNetwork

class WholeNetwork {
public:
    /// An arc for each run that is not `done`, in their order.
    WholeNetwork(const Runs& runs, const std::vector<Line>& lines, const std::vector<bool>& done,
                 const Field& field);

    [[nodiscard]] const std::vector<Arc>& arcs() const { return m_arcs; }
    [[nodiscard]] std::size_t runOf(std::size_t arc) const { return m_runOf[arc]; }
    [[nodiscard]] shape::Point at(std::size_t place) const { return m_places[place]; }

    /// Those that hang together, by places or by ways between them, each ascending; the lowest first.
    [[nodiscard]] std::vector<Arcs> partsOf(Arcs arcs) const;
    /// Those by themselves, ascending, with the hops between their places.
    [[nodiscard]] Network only(Arcs arcs) const;

private:
    std::size_t placeOf(shape::Point p);
    void addArc(const Run& run, const Line& line, const Field& field);
    void findHops(const Field& field);

    std::vector<Arc> m_arcs;
    Arcs m_runOf;
    std::vector<shape::Point> m_places;
    std::vector<std::vector<Hop>>
        m_hops; ///< from every place to every other that is near enough, the shortest first
};

} // namespace up::stitch
