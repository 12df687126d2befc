// SPDX-License-Identifier: GPL-3.0-or-later
// The piece rail: every piece, lowest at the bottom, with number flag, shape, swatch and progress.
#pragma once

#include "app/session/session.hpp"

#include <QLineEdit>
#include <QListWidget>

class QComboBox;

namespace up::app {

class Rail : public QWidget {
    Q_OBJECT
public:
    explicit Rail(Session& session, QWidget* parent = nullptr);
    void focusFind();

private:
    void refresh(Change change);
    void fill();
    void mark();
    void choose();
    void filter(const QString& text);

    Session& m_session;
    QComboBox* m_block;
    QLineEdit* m_find;
    QListWidget* m_list;
    bool m_filling = false;
    /// What the list was filled from: most changes change nothing in it.
    struct Entry {
        PieceId piece;
        std::string label, name, fabric;
        Colour colour;
        quilt::Step step;
        Shared<shape::Outline> outline;
        bool operator==(const Entry&) const = default;
    };
    std::pair<std::vector<std::string>, std::vector<Entry>> m_filled; ///< the blocks' names, the pieces
    [[nodiscard]] std::vector<Entry> entries() const;
    std::pair<BlockId, std::size_t> m_shown; ///< the block in the list and its number of pieces
};

} // namespace up::app
