// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/labels.hpp"

namespace up::quilt {

int numberOf(const Block& block, PieceId piece) {
    for (std::size_t i = 0; i < block.pieces.size(); ++i)
        if (block.pieces[i].id == piece) return static_cast<int>(i) + 1;
    return 0;
}

std::string labelOf(const Block& block, PieceId id) {
    const auto& pieces = block.pieces;
    const auto joins = [&](std::size_t i) {
        return i > 0 && i < pieces.size() && pieces[i].unit != 0 && pieces[i].unit == pieces[i - 1].unit;
    };
    int number = 0, member = 0;
    for (std::size_t i = 0; i < pieces.size(); ++i) {
        joins(i) ? ++member : (member = 0, ++number);
        if (pieces[i].id != id) continue;
        std::string label = std::to_string(number);
        if (!joins(i) && !joins(i + 1)) return label;
        constexpr int letters = 26;
        if (member < letters) return label + static_cast<char>('a' + member);
        return label + "." + std::to_string(member + 1);
    }
    return "";
}

std::string calledOf(const Block& block, const Piece& piece) {
    return labelOf(block, piece.id) + " " + piece.name;
}

} // namespace up::quilt
