// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/block_commands.hpp"

#include "app/look/text.hpp"

namespace up::app {

const quilt::Block* BlockCommands::filled() {
    const auto* block = m_session.block();
    if (block && !block->pieces.empty()) return block;
    m_session.tell(tr("There are no pieces yet: bring a drawing in under Draw."));
    return nullptr;
}

const quilt::Piece* BlockCommands::chosen() {
    if (!filled()) return nullptr;
    const auto* piece = m_session.piece();
    if (!piece) m_session.tell(tr("Choose a piece first: click it on the mat or in the rail."));
    return piece;
}

std::vector<PieceId> BlockCommands::several(std::size_t least) {
    if (!filled()) return {};
    auto pieces = m_session.chosen();
    if (pieces.size() >= least) return pieces;
    m_session.tell(
        tr("Choose %1 pieces or more first: hold Ctrl while you click them, or draw a frame round them on "
           "the "
           "mat.")
            .arg(least));
    return {};
}

} // namespace up::app
