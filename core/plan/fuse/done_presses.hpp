// SPDX-License-Identifier: GPL-3.0-or-later
// What of a stage is pressed already, by the record.
#pragma once

#include "core/plan/fuse/press_plan.hpp"

namespace up::plan {

class DonePresses {
public:
    /// Recorded presses of that kind that heated one of the stage's pieces.
    DonePresses(const quilt::Block& block, const PressStage& stage, measure::Length overlap);

    /// Each of them is one of these, and heated all of the stage's pieces that lie there.
    [[nodiscard]] bool areAmong(const std::vector<PlannedPress>& presses) const;
    /// That the iron has stood there.
    [[nodiscard]] double secondsOf(const shape::Ring& under) const;
    /// What of the piece no iron has covered long enough.
    [[nodiscard]] shape::Region openOf(PieceId piece, const shape::Region& region) const;
    /// Those that were long enough, as presses with nothing left to do; `pieces`: the stage's.
    [[nodiscard]] std::vector<PlannedPress> asPlanned(const std::vector<PieceId>& pieces) const;

private:
    /// Everything that was pressed at one place.
    struct Stand {
        shape::Ring under;
        std::vector<PieceId> heated; ///< each time
        double seconds = 0;
    };
    std::vector<Stand> m_stands;
    double m_seconds; ///< that are long enough
    measure::Length m_overlap;
};

} // namespace up::plan
