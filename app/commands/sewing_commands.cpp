// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/sewing_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/look/text.hpp"
#include "core/edit/sewing.hpp"
#include "words/now_words.hpp"

namespace up::app {

SewingCommands::SewingCommands(Session& session, Asker& asker, QObject* parent)
    : QObject(parent), m_session(session), m_asker(asker) {}

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
    const auto& found = m_session.derived().stitching();
    if (!found.isNewest() || !found.get()) return; // a moment more
    auto plan = *found.get();                      // kept up with what is recorded
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
    if (m_session.apply(std::move(out), what))
        m_session.foundStitching(std::make_shared<const plan::StitchPlan>(std::move(plan)));
}

void SewingCommands::setThread(ThreadId thread) {
    const auto* piece = m_session.piece();
    if (!piece) return;
    m_session.apply(edit::setThread(m_session.quilt(), m_session.blockId(), piece->id, thread),
                    tr("change thread"));
}

void SewingCommands::askStitch() {
    const auto* block = m_session.block();
    if (!block) return;
    const auto pieces = m_session.chosen();
    StitchQuestion question{m_session.quilt().units, block->name, block->edge, true, {}, block->jump};
    if (!pieces.empty()) {
        question.of = words::piecesWords(*block, pieces);
        question.isBlock = false;
        question.asBlock = block->edge;
        question.edge = plan::stitchOf(*block, the(block->pieces, pieces.back()));
    }
    answered(
        m_session, tr("how edges are stitched"), m_asker.stitch(question),
        [](const quilt::Quilt& quilt, const StitchAnswer& answer, BlockId of,
           const std::vector<PieceId>& those) {
            if (!those.empty()) return edit::setOwnEdge(quilt, of, those, answer.edge);
            return edit::setEdge(quilt, of, answer.edge.value_or(quilt::EdgeStitch{}))
                .and_then([&](const quilt::Quilt& with) { return edit::setJump(with, of, answer.jump); });
        },
        block->id, pieces);
}

} // namespace up::app
