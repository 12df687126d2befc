// SPDX-License-Identifier: GPL-3.0-or-later
// What a drawn thing, a panel or a row stands for: what a click on it means.
#pragma once

#include "core/base/id.hpp"

#include <variant>

namespace up::sheet {

/// What a hand may take hold of that is no part of the document.
enum class Handle : std::uint8_t { sectionFrom, sectionTo };

/// Empty: nothing to click.
using Tag = std::variant<std::monostate, PieceId, BlockId, OffCutId, ClothId, WebId, ThreadId, IronId,
                         SupplyId, WantId, FabricId, LineId, Handle>;

[[nodiscard]] inline bool isSet(const Tag& tag) {
    return tag.index() != 0;
}
/// The piece; none when it stands for something else.
[[nodiscard]] inline PieceId pieceOf(const Tag& tag) {
    const auto* piece = std::get_if<PieceId>(&tag);
    return piece ? *piece : PieceId{};
}

/// The line; none when it stands for something else.
[[nodiscard]] inline LineId lineOf(const Tag& tag) {
    const auto* line = std::get_if<LineId>(&tag);
    return line ? *line : LineId{};
}

} // namespace up::sheet
