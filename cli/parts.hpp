// SPDX-License-Identifier: GPL-3.0-or-later
// What several verbs write alike.
#pragma once

#include "core/quilt/labels.hpp"

#include <nlohmann/json.hpp>

namespace up::cli {

using Json = nlohmann::ordered_json;

/// [[x, y]…], mm.
[[nodiscard]] inline Json pointsOf(const std::vector<shape::Point>& points) {
    Json out = Json::array();
    for (const auto p : points)
        out.push_back({p.x, p.y});
    return out;
}

/// Pieces by their numbers in the block.
[[nodiscard]] inline Json numbersOf(const quilt::Block& block, const std::vector<PieceId>& pieces) {
    Json out = Json::array();
    for (const auto id : pieces)
        out.push_back(quilt::numberOf(block, id));
    return out;
}

} // namespace up::cli
