// SPDX-License-Identifier: GPL-3.0-or-later
// What commands about a block's pieces share: the block and piece they need, and saying so when they are not
// there.
#pragma once

#include "app/session/session.hpp"

namespace up::app {

class BlockCommands : public QObject {
    Q_OBJECT
public:
    explicit BlockCommands(Session& session, QObject* parent = nullptr)
        : QObject(parent), m_session(session) {}

protected:
    /// The block, if there is anything in it.
    [[nodiscard]] const quilt::Block* filled();
    /// The piece chosen last.
    [[nodiscard]] const quilt::Piece* chosen();
    /// All that are chosen, if there are so many; else it says how to choose them.
    [[nodiscard]] std::vector<PieceId> several(std::size_t least);

    Session& m_session;
};

} // namespace up::app
