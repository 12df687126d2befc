// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/place_commands.hpp"

#include "app/look/text.hpp"
#include "core/edit/saying.hpp"
#include "core/edit/stacking.hpp"
#include "core/plan/lay/roll_call.hpp"
#include "words/now_words.hpp"

#include <algorithm>

namespace up::app {

void PlaceCommands::toggleLock() {
    const auto* piece = chosen();
    if (!piece) return;
    const bool lock = !piece->locked;
    const auto pieces = m_session.chosen();
    const words::Plural locked = N2_("“{1}” is locked in place.", "{0} pieces are locked in place."),
                        free = N2_("“{1}” may be moved again.", "{0} pieces may be moved again.");
    const auto says = words::said(lock ? locked : free, pieces.size(), {piece->name});
    if (m_session.apply(
            edit::set(m_session.quilt(), m_session.blockId(), pieces, &quilt::Piece::locked, lock),
            lock ? tr("lock") : tr("unlock")))
        m_session.tell(q(says));
}

void PlaceCommands::move(const Finding& find, const QString& what, const QString& already,
                         Mending::Saying then) {
    constexpr std::size_t many = 60; // it takes a while to see what hundreds then lie on
    const auto moves = find(*m_session.block(), m_session.derived().block());
    if (moves.empty()) return m_session.tell(already);
    if (moves.size() > many)
        return m_mending.start(
            what,
            [find, id = m_session.blockId()](const quilt::Quilt& quilt) {
                const auto& block = quilt::the(quilt.blocks, id);
                return edit::movePieces(quilt, id, find(block, plan::planBlock(block)));
            },
            std::move(then));
    const auto before = m_session.quilt();
    if (!m_session.apply(edit::movePieces(before, m_session.blockId(), moves), what) || !then) return;
    m_session.tell(q(then(before, m_session.quilt())));
}

void PlaceCommands::lineUp(plan::Line line) {
    const auto pieces = several(2);
    if (pieces.empty()) return;
    move(
        [pieces, with = m_session.piece()->id, line](const quilt::Block& block, const plan::BlockPlan& plan) {
            return plan::linedUp(block, plan, pieces, with, line);
        },
        tr("line up"), tr("They are in line already."));
}

void PlaceCommands::spaceEvenly(bool down) {
    const auto pieces = several(3);
    if (pieces.empty()) return;
    move(
        [pieces, down](const quilt::Block& block, const plan::BlockPlan& plan) {
            return plan::spacedEvenly(block, plan, pieces, down);
        },
        tr("space evenly"), tr("They are evenly spaced already."));
}

void PlaceCommands::centre(plan::Centre how) {
    const auto* block = filled();
    if (!block) return;
    const auto find = [how](const quilt::Block& of, const plan::BlockPlan& plan) {
        edit::Moves moves;
        if (const auto by = plan::centring(of, plan, how))
            for (const auto& piece : of.pieces)
                moves.emplace_back(piece.id, *by);
        return moves;
    };
    move(find, tr("centre"), tr("This design runs off the block: it lies where its edges are."),
         [this, of = block->id](const quilt::Quilt&, const quilt::Quilt& quilt) {
             if (m_session.blockId() != of) return std::string(); // another one is looked at by now
             const auto gaps = plan::gapsOf(*m_session.block(), m_session.derived().block());
             const auto say = [&](double mm) {
                 return q(measure::say(measure::Length::ofMm(mm), quilt.units));
             };
             return tr("Centred. Left %1, right %2, top %3, bottom %4.")
                 .arg(say(gaps->left), say(gaps->right), say(gaps->top), say(gaps->bottom))
                 .toStdString();
         });
}

namespace {
std::vector<PieceId> missingIn(const quilt::Block& block) {
    std::vector<PieceId> out;
    for (const auto& piece : block.pieces)
        if (plan::presenceOf(piece) == plan::Presence::missing) out.push_back(piece.id);
    return out;
}
} // namespace

void PlaceCommands::tickAll() {
    const auto* block = filled();
    if (!block) return;
    const auto pieces = missingIn(*block);
    if (pieces.empty()) return m_session.tell(tr("Everything that is cut is ticked off."));
    m_session.apply(edit::set(m_session.quilt(), block->id, pieces, &quilt::Piece::counted, true),
                    tr("tick all off"));
}

void PlaceCommands::cutMissingAgain() {
    const auto* block = filled();
    if (!block) return;
    const auto pieces = missingIn(*block);
    if (pieces.empty()) return m_session.tell(tr("Nothing is missing."));
    const auto names = words::piecesWords(*block, pieces);
    edit::Edited out = m_session.quilt();
    for (const PieceId piece : pieces)
        out = out.and_then([&](const quilt::Quilt& quilt) {
            return edit::ruin(quilt, m_session.blockId(), piece, words::tr("lost"), m_session.now());
        });
    if (m_session.apply(std::move(out), tr("cut the missing again")))
        m_session.tell(tr("To be traced and cut again: %1.").arg(q(names)));
}

} // namespace up::app
