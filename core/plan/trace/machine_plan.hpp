// SPDX-License-Identifier: GPL-3.0-or-later
// Pieces that a cutting machine cuts: laid out on its mats, already reversed.
#pragma once

#include "core/base/error.hpp"
#include "core/base/job.hpp"
#include "core/quilt/quilt.hpp"

#include <cstdint>
#include <optional>

namespace up::plan {

/// Small pieces are the fiddly ones. Common practice, no source.
inline constexpr measure::Length usualMachineLimit = measure::Length::ofInches(3, 2);

struct MachineOptions {
    measure::Length matWidth = measure::Length::ofInches(12, 1), matHeight = measure::Length::ofInches(12, 1);
    /// Only pieces whose longer side is no more; none: all.
    std::optional<measure::Length> below = usualMachineLimit;
    bool byFabric = true;                                      ///< each mat holds one fabric
    measure::Length between = measure::Length::ofInches(1, 8); ///< pieces
    double seconds = 1;                                        ///< for all mats together
    int rounds = 0;                                            ///< as layout::NestOptions
    std::uint64_t seed = 1;
    bool operator==(const MachineOptions&) const = default;
};

/// One mat: reversed outlines, mm from its corner.
struct Mat {
    FabricId fabric; ///< none: several
    std::vector<std::pair<PieceId, shape::Outline>> lines;
};

struct MachinePlan {
    std::vector<Mat> mats;
    std::vector<PieceId> byHand;   ///< larger than the limit
    std::vector<PieceId> tooLarge; ///< for the mat
};

/// Pieces of one fabric lie on as few mats as they need; stripes agree on each mat where the fabric is
/// printed. Errors: Code::nothingToDo when the block has no pieces.
[[nodiscard]] Result<MachinePlan> planMachine(const quilt::Quilt& quilt, const quilt::Block& block,
                                              const MachineOptions& options, up::Job& control);

} // namespace up::plan
