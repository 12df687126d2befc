// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/trace_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/look/text.hpp"

#include "core/edit/saying.hpp"
#include "core/edit/tracing.hpp"
#include "core/measure/say.hpp"
#include "core/plan/block/block_plan.hpp"
#include "core/plan/trace/by_hand.hpp"
#include "core/plan/trace/remains.hpp"
#include "words/trace_words.hpp"

#include <algorithm>

namespace up::app {

TraceCommands::TraceCommands(Session& session, LayoutJob& layout, Asker& asker, QObject* parent)
    : QObject(parent), m_session(session), m_layout(layout), m_asker(asker) {}

void TraceCommands::startOrStop() {
    if (m_layout.isRunning()) return m_layout.stop();
    m_layout.start({});
}

void TraceCommands::compare() {
    m_layout.compare({});
}

void TraceCommands::choose(const Way& way) {
    if (!m_session.block()) return;
    m_session.derived().foresee(way.plan);
    m_session.apply(
        edit::chooseLayout(m_session.quilt(), m_session.blockId(), way.school, way.layout, m_session.now()),
        tr("lay out: %1").arg(q(words::schoolName(way.school))));
}

void TraceCommands::togglePin() {
    const auto* block = m_session.block();
    const auto* piece = m_session.piece();
    const auto pieces = block && block->layout && piece ? plan::chunkAround(*block->layout, piece->id)
                                                        : std::vector<PieceId>{};
    if (pieces.empty())
        return m_session.complain(tr("Choose a piece on the web first: its chunk is pinned."));
    const auto& traced = block->layout->traced;
    const bool pinned = std::any_of(traced.begin(), traced.end(), [&](const quilt::Traced& t) {
        return t.pinned && std::find(pieces.begin(), pieces.end(), t.piece) != pieces.end();
    });
    m_session.apply(edit::pin(m_session.quilt(), block->id, pieces, !pinned),
                    pinned ? tr("let go") : tr("pin"));
}

void TraceCommands::setStripes() {
    const auto* piece = m_session.piece();
    if (!piece || !piece->fabric)
        return m_session.complain(tr("Choose a piece first: its fabric's print is asked for."));
    const auto id = piece->id;
    const auto fabric = piece->fabric;
    const auto block = m_session.blockId();
    answered(
        m_session, tr("stripes"), m_asker.stripes({m_session.quilt(), block, id}),
        [](const quilt::Quilt& quilt, const StripesAnswer& answer, FabricId cloth, BlockId of, PieceId laid) {
            return edit::setPrint(quilt, cloth, answer.print, answer.tolerance)
                .and_then([&](const quilt::Quilt& printed) {
                    return edit::setGrain(printed, of, laid, answer.grain);
                });
        },
        fabric, block, id);
}

void TraceCommands::toggleWindow() {
    const auto* piece = m_session.piece();
    if (!piece) return m_session.complain(tr("Choose a piece first: it may have a window, or not."));
    const bool may = !piece->mayHaveWindow;
    const auto name = piece->name;
    if (m_session.apply(
            edit::set(m_session.quilt(), m_session.blockId(), {piece->id}, &quilt::Piece::mayHaveWindow, may),
            tr("window")))
        m_session.tell((may ? tr("“%1” may have a window when pieces are laid out in windows.")
                            : tr("“%1” keeps its web whole."))
                           .arg(q(name)));
}

void TraceCommands::putAway() {
    const auto* block = m_session.block();
    if (!block) return;
    const auto remains = plan::remainsOf(*block, m_session.derived().trace());
    std::size_t kept = 0;
    measure::Length roll;
    for (const auto& rest : remains)
        kept += rest.offCuts.size(), roll = roll + rest.used;
    if (remains.empty())
        return m_session.complain(tr("Nothing can be put away yet: rough cut all pieces of a sheet first."));
    if (!m_session.apply(edit::putAway(m_session.quilt(), block->id, remains, m_session.now()),
                         tr("put away")))
        return;
    const auto stash =
        kept == 0
            ? tr("Nothing worth keeping was left.")
            : q(words::said(N2_("One off-cut is in the stash.", "{0} off-cuts are in the stash."), kept));
    const auto off = tr("%1 came off the roll.").arg(q(measure::say(roll, m_session.quilt().units)));
    m_session.tell(roll.mm() > 0 ? stash + " " + off : stash);
}

void TraceCommands::throwAway(OffCutId offCut) {
    const auto& all = m_session.quilt().offCuts;
    const auto at = std::find_if(all.begin(), all.end(), [&](const auto& o) { return o.id == offCut; });
    if (at == all.end()) return;
    const auto number = at - all.begin() + 1;
    if (m_asker.yes(tr("Off-cut"), tr("Is off-cut %1 used up or not worth keeping?").arg(number),
                    tr("Throw it away")))
        m_session.apply(edit::removeOffCut(m_session.quilt(), offCut), tr("throw an off-cut away"));
}

void TraceCommands::askLeastOffCut() {
    const auto now = measure::say(m_session.quilt().leastOffCut, m_session.quilt().units);
    answered(m_session, tr("off-cuts worth keeping"),
             m_asker.text(tr("Off-cuts"),
                          tr("Web left over is kept when a circle so wide fits on it.\nHow wide?"), q(now)),
             [](const quilt::Quilt& quilt, const QString& said) {
                 return measure::readLength(said.trimmed().toStdString(), quilt.units)
                     .and_then([&](measure::Length width) { return edit::setLeastOffCut(quilt, width); });
             });
}

} // namespace up::app
