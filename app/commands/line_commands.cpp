// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/line_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/look/text.hpp"
#include "core/edit/lines.hpp"
#include "intake/letters/letters.hpp"
#include "intake/letters/written.hpp"

#include <algorithm>
#include <tuple>

namespace up::app {

LineCommands::LineCommands(Session& session, Asker& asker, QObject* parent)
    : QObject(parent), m_session(session), m_asker(asker) {}

void LineCommands::ask() {
    const auto* line = m_session.line();
    ask(line && line->laid);
}

void LineCommands::askLaid() {
    ask(true);
}

void LineCommands::ask(bool lays) {
    if (!m_session.block()) return m_session.complain(tr("Make a block first: a line lies on one."));
    const auto block = m_session.blockId();
    const auto* line = m_session.line();
    const auto id = line && line->laid.has_value() == lays ? line->id : LineId{};
    const auto along = m_session.piece() ? m_session.piece()->id : PieceId{};
    LineQuestion question{m_session.quilt(), block, id, {}, lays, along, intake::written};
    for (const auto& family : intake::families())
        question.families << q(family);
    const auto fresh = LineId{m_session.quilt().nextId};
    const auto what = lays ? (id ? tr("change what is laid on") : tr("lay something on"))
                           : (id ? tr("change a line") : tr("add a line"));
    const bool changed = answered(
        m_session, what, m_asker.line(question),
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

void LineCommands::laid() {
    const auto now = m_session.next();
    if (!now.laid) return;
    const auto [quilt, block, line] = std::tuple{m_session.quilt(), m_session.blockId(), now.laid->line};
    const auto count =
        static_cast<int>(now.laid->strip ? now.laid->number : std::max<std::size_t>(1, now.laid->things));
    if (now.laid->lies)
        m_session.apply(edit::lineSewn(quilt, block, line, m_session.now()), tr("trimming stitched"));
    else
        m_session.apply(edit::lineLaid(quilt, block, line, count, m_session.now()), tr("trimming laid"));
}

void LineCommands::sewn() {
    const auto now = m_session.next();
    if (now.line)
        m_session.apply(
            edit::lineSewn(m_session.quilt(), m_session.blockId(), now.line->part.line, m_session.now()),
            tr("line stitched"));
}

} // namespace up::app
