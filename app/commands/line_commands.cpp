// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/line_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/look/text.hpp"
#include "core/edit/lines.hpp"
#include "intake/letters/letters.hpp"
#include "intake/letters/written.hpp"

namespace up::app {

LineCommands::LineCommands(Session& session, Asker& asker, QObject* parent)
    : QObject(parent), m_session(session), m_asker(asker) {}

void LineCommands::ask() {
    if (!m_session.block()) return m_session.complain(tr("Make a block first: a line lies on one."));
    const auto block = m_session.blockId();
    const auto id = m_session.line() ? m_session.line()->id : LineId{};
    const auto along = m_session.piece() ? m_session.piece()->id : PieceId{};
    LineQuestion question{m_session.quilt(), block, id, {}, along, intake::written};
    for (const auto& family : intake::families())
        question.families << q(family);
    const auto fresh = LineId{m_session.quilt().nextId};
    const bool changed = answered(
        m_session, id ? tr("change a line") : tr("add a line"), m_asker.line(question),
        [](const quilt::Quilt& quilt, const quilt::Line& wanted, BlockId of) {
            return edit::putLine(quilt, of, wanted);
        },
        block);
    if (changed && !id) m_session.chooseLine(fresh);
}

void LineCommands::remove() {
    if (const auto* line = m_session.line())
        m_session.apply(edit::removeLine(m_session.quilt(), m_session.blockId(), line->id),
                        tr("remove line"));
}

void LineCommands::drawn() {
    const auto now = m_session.next();
    if (now.line)
        m_session.apply(
            edit::linesDrawn(m_session.quilt(), m_session.blockId(), now.line->draw, m_session.now()),
            tr("lines traced"));
}

void LineCommands::sewn() {
    const auto now = m_session.next();
    if (now.line)
        m_session.apply(
            edit::lineSewn(m_session.quilt(), m_session.blockId(), now.line->part.line, m_session.now()),
            tr("line stitched"));
}

} // namespace up::app
