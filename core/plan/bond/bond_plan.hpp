// SPDX-License-Identifier: GPL-3.0-or-later
// Chunks of web on cloth: what lies where, what is left, what is missing.
#pragma once

#include "core/bond/bond.hpp"
#include "core/plan/trace/trace_plan.hpp"

namespace up::plan {

/// What is wrong with where a chunk lies.
enum class Lies : std::uint8_t {
    well,
    offCloth,     ///< less than the margin from the cloth's edge, or beyond it
    onAnother,    ///< less than the margin from another chunk
    stripesWrong, ///< the print runs another way than it is to
    otherFabric,  ///< its pieces are of another fabric by now
};

struct ChunkLaid {
    std::size_t chunk = 0; ///< of the trace plan's
    quilt::OnCloth where;
    shape::Region outline;               ///< on the cloth, mm
    std::optional<measure::Angle> wants; ///< in which the print must run there
    Lies lies = Lies::well;
};

struct ClothUse {
    ClothId cloth;
    std::vector<ChunkLaid> chunks;     ///< of this block
    std::vector<shape::Region> others; ///< where chunks of other blocks are to go
    std::vector<shape::Region> left;   ///< when all have been cut from it, edge to edge
};

/// Why a chunk has no cloth.
enum class WhyShort : std::uint8_t {
    notLaid,    ///< there is room for it: nobody has laid it yet
    tooSmall,   ///< no piece of its fabric is large enough, even an empty one
    printWrong, ///< one would be large enough, were the print to run any way
    usedUp,     ///< there would be room where other chunks lie
    notInStash  ///< the stash has nothing of its fabric
};
constexpr auto keysOf(WhyShort) {
    return std::to_array<std::string_view>({"notLaid", "tooSmall", "printWrong", "usedUp", "notInStash"});
}

struct ChunkShort {
    std::size_t chunk = 0;
    WhyShort why{};
    measure::Length width, height;       ///< what it needs, margins and all; the smaller last
    std::optional<press::Patch> largest; ///< the largest cloth of its fabric, as a rectangle round it
};

struct BondPlan {
    std::vector<ClothUse> cloths;    ///< those that something of this block lies on
    std::vector<ChunkShort> missing; ///< not bonded, and on no cloth
};

/// Whether all its pieces are bonded.
[[nodiscard]] bool isBonded(const quilt::Block& block, const Chunk& chunk);

/// In which a cloth's print must run over the chunk as it lies on the web, if that matters: mirrored, as the
/// web lies on the wrong side, and turned with each piece. Source: 180° − grain, by arithmetic.
[[nodiscard]] std::optional<measure::Angle> wantsOf(const quilt::Quilt& quilt, const quilt::Block& block,
                                                    const Chunk& chunk);

/// What `block.onCloth` means.
[[nodiscard]] BondPlan planBonding(const quilt::Quilt& quilt, const quilt::Block& block,
                                   const TracePlan& trace);

/// Lays what is not bonded yet on cloth: pinned chunks stay, cloth that other blocks hold is left alone. Those
/// that find no room are left out. Stops early when `job` says so.
[[nodiscard]] std::vector<quilt::OnCloth> layOnCloth(const quilt::Quilt& quilt, const quilt::Block& block,
                                                     const TracePlan& trace, const bond::Options& options,
                                                     Job& job);

/// The same for what has no place yet; all that has one keeps it.
[[nodiscard]] std::vector<quilt::OnCloth> layTheRest(const quilt::Quilt& quilt, const quilt::Block& block,
                                                     const TracePlan& trace);

/// So far a fabric may be from another to stand in for it: CIEDE2000, and steps of L*. Invented: about what a
/// second dye lot of a colour is away.
inline constexpr double nearColour = 15, nearLightness = 8;
/// The fabric nearest in colour, and as light, of which some cloth has room for the chunk; none: there is none.
[[nodiscard]] FabricId nearFabric(const quilt::Quilt& quilt, const quilt::Block& block, const Chunk& chunk);

/// What is left of the cloths when these chunks (by index) have been cut from where they lie.
[[nodiscard]] std::vector<quilt::ClothLeft> leftWhenBonded(const quilt::Quilt& quilt,
                                                           const quilt::Block& block, const TracePlan& trace,
                                                           const std::vector<std::size_t>& chunks);

} // namespace up::plan
