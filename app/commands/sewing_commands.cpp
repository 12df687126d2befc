// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/sewing_commands.hpp"

#include "app/look/text.hpp"
#include "core/edit/sewing.hpp"

namespace up::app {

SewingCommands::SewingCommands(Session& session, QObject* parent) : QObject(parent), m_session(session) {}

void SewingCommands::legDone() {
    const auto now = m_session.next();
    if (now.stitch) record(now.stitch->at, now.stitch->at.leg + 1, tr("stitched"));
}

void SewingCommands::trailDone() {
    const auto* block = m_session.block();
    const auto now = m_session.next();
    if (!block || !now.stitch) return m_session.complain(tr("Nothing is left to be stitched here."));
    record(now.stitch->at, now.stitch->legs, tr("trail stitched"));
}

void SewingCommands::record(plan::AtLeg from, std::size_t end, const QString& what) {
    auto plan = m_session.derived().stitch(); // a copy, which is kept up with what is recorded
    const auto legs = plan::legsOf(plan, plan.trails[from.trail]);
    edit::Edited out = m_session.quilt();
    for (std::size_t i = from.leg; i < end && i < legs.size() && out; ++i) {
        const auto& leg = legs[i];
        if (leg.done) continue;
        auto& run = plan.runs[leg.run];
        out = edit::sew(*out, m_session.blockId(),
                        {run.piece, run.line, leg.times, plan::finishesPiece(plan, leg)}, m_session.now());
        run.sewn += leg.times;
    }
    m_session.apply(std::move(out), what);
}

void SewingCommands::setThread(ThreadId thread) {
    const auto* piece = m_session.piece();
    if (!piece) return;
    m_session.apply(edit::setThread(m_session.quilt(), m_session.blockId(), piece->id, thread),
                    tr("change thread"));
}

void SewingCommands::setJump(quilt::Length jump) {
    m_session.apply(edit::setJump(m_session.quilt(), m_session.blockId(), jump), tr("jumps"));
}

} // namespace up::app
