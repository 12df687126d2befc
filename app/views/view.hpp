// SPDX-License-Identifier: GPL-3.0-or-later
// What a view shows: a scene for the mat and rows for the list beside it; both follow from the quilt.
#pragma once

#include "app/canvas/scene.hpp"
#include "app/session/session.hpp"

namespace up::app {

/// What views look at. `block` is the current one.
struct Look {
    const quilt::Quilt& quilt;
    const quilt::Block& block;
    Derived& derived;
    const plan::Now& next;
    PieceId chosen;                 ///< the one chosen last
    std::vector<PieceId> allChosen; ///< that one among them
    bool templates;
    const Session::Pointed& pointed;
    Session::Section section;
    Laying laying;
    std::size_t layStep;
};

struct Row {
    std::string text, detail;
    std::uint32_t tag = 0; ///< a piece's id (a block's on the Landing); 0 = nothing to choose
    bool done = false, next = false;
    std::optional<Colour> swatch{};
    bool operator==(const Row&) const = default;
};

struct Rows {
    std::string title;
    std::vector<Row> rows;
};

struct ViewParts {
    Scene scene;
    Rows rows;
};

/// Tags of the section's ends on the mat, A and B; no piece has such an id.
inline constexpr std::uint32_t sectionEndA = 0xFFFFFFF0, sectionEndB = 0xFFFFFFF1;

/// The current view; Landing, Stash and Logbook don't need a block.
[[nodiscard]] ViewParts partsFor(Session& session);

// One room each; app/views/<name>.cpp.
[[nodiscard]] ViewParts landingParts(const quilt::Quilt& quilt, BlockId chosen);
[[nodiscard]] ViewParts drawParts(const Look& look);
[[nodiscard]] ViewParts traceParts(const Look& look);
[[nodiscard]] ViewParts bondParts(const Look& look);
[[nodiscard]] ViewParts cutParts(const Look& look);
[[nodiscard]] ViewParts layParts(const Look& look);
[[nodiscard]] ViewParts fuseParts(const Look& look);
[[nodiscard]] ViewParts stitchParts(const Look& look);
[[nodiscard]] ViewParts finishParts(const Look& look);
[[nodiscard]] ViewParts stashParts(const quilt::Quilt& quilt);

} // namespace up::app
