// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quilt/holes.hpp"

namespace up::quilt {

std::optional<std::size_t> holeBefore(const Block& block, std::size_t index) {
    std::optional<std::size_t> open;
    for (std::size_t i = 0; i < index; ++i) {
        const bool isHole = block.pieces[i].join == Join::reverse;
        if (open && !isHole) return open;
        if (isHole && !open && block.pieces[i].next()) open = i;
    }
    return open && block.pieces[index].join != Join::reverse ? open : std::nullopt;
}

bool waitsToBeStitched(const Block& block, std::size_t index) {
    if (holeBefore(block, index)) return true;
    for (std::size_t i = 0; i < index; ++i)
        if (block.pieces[i].join == Join::turned && block.pieces[i].work.step < Step::stitched) return true;
    return false;
}

} // namespace up::quilt
