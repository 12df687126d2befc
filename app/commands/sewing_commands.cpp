// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/sewing_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "core/edit/sewing.hpp"
#include "core/plan/stitch/stitch_amounts.hpp"
#include "core/plan/stitch/stitch_lines.hpp"
#include "core/plan/stitch/thread_match.hpp"
#include "core/sheet/sheet.hpp"
#include "words/now_words.hpp"
#include "words/stitch_words.hpp"

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
    const auto* block = m_session.block();
    edit::Edited out = m_session.quilt();
    for (std::size_t i = from.leg; i < end && i < legs.size() && out; ++i) {
        const auto& leg = legs[i];
        if (leg.done) continue;
        auto& run = plan.runs[leg.run];
        const auto use = plan::useOfLeg(*block, m_session.derived().block(), plan, leg);
        out = edit::sew(*out, m_session.blockId(),
                        {run.piece, run.line, leg.times, plan::finishesPiece(plan, leg), use.needle,
                         use.bobbin, use.needleMinutes, run.of},
                        m_session.now());
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

void SewingCommands::tryThreads() {
    const auto* block = m_session.block();
    const auto now = m_session.next();
    const auto* plan = m_session.derived().stitching().get();
    const auto* piece = m_session.piece();
    if (block && !piece && now.stitch) piece = quilt::find(block->pieces, now.stitch->run.piece);
    if (!block || !piece || !plan) return m_session.complain(tr("Click a piece first."));
    const auto& quilt = m_session.quilt();
    const auto colour = [&](FabricId id) {
        const auto* fabric = quilt::find(quilt.fabrics, id);
        return fabric ? fabric->colour : look::webPaper;
    };
    ThreadsQuestion question;
    question.of = words::piecesWords(*block, {piece->id});
    question.cloth = colour(piece->fabric), question.ground = colour(block->background);
    const auto at = static_cast<std::size_t>(quilt::numberOf(*block, piece->id)) - 1;
    for (const auto& outline : shape::outlinesOf(m_session.derived().block().visible.at(at)))
        for (auto& contour : sheet::contoursOf(outline))
            question.piece.push_back(std::move(contour));
    question.chosen = piece->thread;
    for (const auto& run : plan->runs) {
        if (run.piece != piece->id) continue;
        for (auto& line : plan::stitchLines(*block, m_session.derived().block(), run))
            question.stitches.push_back(std::move(line));
        question.twice = question.twice || run.allowed.front() > 1;
    }
    for (const auto& match : plan::threadsFor(quilt.threads, question.cloth)) {
        const auto& thread = quilt::the(quilt.threads, match.thread);
        ThreadTried tried{thread.id, thread.name, colourOf(plan::strandOf(thread.colour)), match.off};
        for (const auto shade : thread.shades)
            tried.more.push_back(colourOf(plan::strandOf(shade)));
        tried.shadeLength = thread.shadeLength;
        question.threads.push_back(std::move(tried));
    }
    if (question.threads.empty())
        return m_session.complain(tr("The quilt has no thread yet: add one under Stash."));
    answered(
        m_session, tr("change thread"), m_asker.threads(question),
        [](const quilt::Quilt& now, ThreadId thread, BlockId of, PieceId id) {
            return edit::setThread(now, of, id, thread);
        },
        block->id, piece->id);
}

void SewingCommands::askStitch() {
    const auto* block = m_session.block();
    if (!block) return;
    const auto pieces = m_session.chosen();
    StitchQuestion question;
    question.units = m_session.quilt().units;
    question.of = block->name;
    question.edge = block->edge;
    question.jump = block->jump, question.beneath = block->beneath;
    question.battingHolds = block->battingHolds;
    if (!pieces.empty()) {
        question.of = words::piecesWords(*block, pieces);
        question.isBlock = false;
        question.asBlock = block->edge;
        question.edge = quilt::stitchOf(*block, the(block->pieces, pieces.back()));
    }
    answered(
        m_session, tr("how edges are stitched"), m_asker.stitch(question),
        [](const quilt::Quilt& quilt, const StitchAnswer& answer, BlockId of,
           const std::vector<PieceId>& those) {
            if (!those.empty()) return edit::setOwnEdge(quilt, of, those, answer.edge);
            return edit::setEdge(quilt, of, answer.edge.value_or(quilt::EdgeStitch{}))
                .and_then([&](const quilt::Quilt& with) { return edit::setJump(with, of, answer.jump); })
                .and_then([&](const quilt::Quilt& with) {
                    return edit::setBeneath(with, of, answer.beneath, answer.battingHolds);
                });
        },
        block->id, pieces);
}

void SewingCommands::askStretch() {
    const auto* block = m_session.block();
    const auto now = m_session.next();
    if (!block || !now.stitch) return m_session.complain(tr("Nothing is left to be stitched here."));
    const auto& run = now.stitch->run;
    if (run.of) return m_session.complain(tr("That is a line of its own: change it by Words and lines…"));
    StitchQuestion question;
    question.units = m_session.quilt().units;
    question.of = words::legWords(m_session.quilt(), *block, run, 1);
    question.edge = run.edge;
    question.isBlock = false, question.isStretch = true;
    question.asBlock = quilt::stitchOf(*block, the(block->pieces, run.piece));
    answered(
        m_session, tr("how a stretch is stitched"), m_asker.stitch(question),
        [](const quilt::Quilt& quilt, const StitchAnswer& answer, BlockId of, PieceId piece,
           const shape::Polyline& line) { return edit::setStretch(quilt, of, piece, line, answer.edge); },
        block->id, run.piece, run.line);
}

void SewingCommands::newNeedle() {
    m_session.apply(edit::withNewNeedle(m_session.quilt()), tr("new needle"));
}

} // namespace up::app
