// SPDX-License-Identifier: GPL-3.0-or-later
// What the buttons, keys and menus do to the quilt; asks what must be asked, once.
#pragma once

#include "app/commands/cloth_commands.hpp"
#include "app/commands/finish_commands.hpp"
#include "app/commands/import_commands.hpp"
#include "app/commands/line_commands.hpp"
#include "app/commands/press_commands.hpp"
#include "app/commands/sewing_commands.hpp"
#include "app/commands/trace_commands.hpp"
#include "app/dialogs/asker.hpp"
#include "app/session/layout_job.hpp"
#include "app/session/session.hpp"

namespace up::app {

class Commands : public QObject {
    Q_OBJECT
public:
    Commands(Session& session, LayoutJob& layout, Asker& asker, ImportCommands& imports,
             TraceCommands& tracing, ClothCommands& cloths, PressCommands& presses, SewingCommands& sewing,
             FinishCommands& finishing, LineCommands& lines, QObject* parent = nullptr);

    /// Now's big button.
    void doNow();
    /// One step on these pieces, in this order. Says what comes first when it may not be done yet, and asks
    /// before marks are lost.
    void doStep(const std::vector<PieceId>& pieces, quilt::Step step);

    void newBlock();
    /// "9", "9 1/2", "9 x 12", "24cm"; says so when traced pieces go back to be traced.
    void resize(const QString& size);
    /// Asks for another size of the block or the chosen piece, and for the edge stitch.
    void askSize();
    void setCameReversed(bool reversed);
    void renameBlock();
    void removeBlock();
    void removePiece();
    void renameQuilt();
    void restack(int by);

private:
    [[nodiscard]] Result<void> mayDoAll(const std::vector<PieceId>& pieces, quilt::Step step) const;
    /// Applies what makes every template another one, and says what becomes of the work done.
    void redraw(edit::Edited next, const QString& what, BlockId block);

    Session& m_session;
    LayoutJob& m_layout;
    Asker& m_asker;
    ImportCommands& m_imports;
    TraceCommands& m_tracing;
    ClothCommands& m_cloths;
    PressCommands& m_presses;
    SewingCommands& m_sewing;
    FinishCommands& m_finishing;
    LineCommands& m_lines;
};

} // namespace up::app
