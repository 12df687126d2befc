// SPDX-License-Identifier: GPL-3.0-or-later
// Findings as they are told of: like ones in one row, the dearest to ignore first.
#pragma once

#include "core/check/finding.hpp"

namespace up::check {

/// Kinds that are told of in one row: what shows already, and what will show when a piece lies a thread off.
[[nodiscard]] constexpr Kind rowOf(Kind kind) {
    return kind == Kind::nearlyPeeks ? Kind::peeks : kind;
}

/// At least one, all of one row's kinds and one block, the worst first.
struct Row {
    std::vector<Finding> findings;

    [[nodiscard]] const Finding& worst() const { return findings.front(); }
    [[nodiscard]] std::size_t count() const { return findings.size(); }
    /// What can be done about any of them, in the order of the worst; each once.
    [[nodiscard]] std::vector<Fix> fixes() const;
    /// Those that `fix` is for.
    [[nodiscard]] std::vector<Finding> with(Fix fix) const;
    [[nodiscard]] shape::Region where() const;
    [[nodiscard]] std::vector<shape::Point> spots() const;
};

[[nodiscard]] std::vector<Row> rowsOf(std::vector<Finding> findings);

} // namespace up::check
