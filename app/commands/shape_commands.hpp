// SPDX-License-Identifier: GPL-3.0-or-later
// What the buttons do to the shapes of pieces: built-in ones, copies, cuts, edges; and what helps to tell
// them apart.
#pragma once

#include "app/dialogs/asker.hpp"
#include "app/session/session.hpp"

#include <QObject>

namespace up::app {

class ShapeCommands : public QObject {
    Q_OBJECT
public:
    ShapeCommands(Session& session, Asker& asker, QObject* parent = nullptr);

    /// Asks for a built-in shape; makes a block for it if there is none.
    void addShape();
    /// Other measures for the chosen built-in shape.
    void changeMeasures();
    /// Copies, cuts and halves of the chosen piece.
    void arrange();
    void mirror();
    /// Stitching will cover the chosen piece's marks, or not.
    void toggleMarksStitched();
    /// Dotted edges of the chosen piece.
    void setEdges();
    /// By its measures.
    void findPiece();
    /// Shows why it is traced mirrored.
    void showTurning();

private:
    [[nodiscard]] const quilt::Piece* chosen();
    [[nodiscard]] ShapeQuestion questionFor(const quilt::Block& block) const;
    void apply(edit::Edited next, const QString& what);

    Session& m_session;
    Asker& m_asker;
};

} // namespace up::app
