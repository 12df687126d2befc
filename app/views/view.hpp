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
    LayMode mode;
    std::size_t placementShown;
    bool heat, stitches;
    LineId line; ///< that is chosen
};

struct Row {
    std::string text, detail;
    sheet::Tag tag; ///< what is chosen by a click on it
    bool done = false, next = false;
    std::optional<Colour> swatch{};
    Shared<quilt::Swatch> picture{}; ///< of what the swatch is of
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
[[nodiscard]] ViewParts stashParts(const quilt::Quilt& quilt, const std::string& looked);

} // namespace up::app
