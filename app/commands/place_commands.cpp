// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/place_commands.hpp"

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
    const auto names =
        pieces.size() == 1 ? "“" + piece->name + "” is" : std::to_string(pieces.size()) + " pieces are";
    const auto free =
        pieces.size() == 1 ? "“" + piece->name + "”" : std::to_string(pieces.size()) + " pieces";
    if (m_session.apply(edit::setLocked(m_session.quilt(), m_session.blockId(), pieces, lock),
                        lock ? "lock" : "unlock"))
        tell(lock ? names + " locked in place." : free + " may be moved again.");
}

void PlaceCommands::move(const std::vector<plan::PieceMove>& moves, const QString& what,
                         const char* already) {
    if (moves.empty()) return tell(already);
    m_session.apply(edit::movePieces(m_session.quilt(), m_session.blockId(), moves), what);
}

void PlaceCommands::lineUp(plan::Line line) {
    const auto pieces = several(2);
    if (pieces.empty()) return;
    move(plan::linedUp(*m_session.block(), m_session.derived().block(), pieces, m_session.piece()->id, line),
         "line up", "They are in line already.");
}

void PlaceCommands::spaceEvenly(bool down) {
    const auto pieces = several(3);
    if (pieces.empty()) return;
    move(plan::spacedEvenly(*m_session.block(), m_session.derived().block(), pieces, down), "space evenly",
         "They are evenly spaced already.");
}

void PlaceCommands::centre(plan::Centre how) {
    const auto* block = filled();
    if (!block) return;
    const auto by = plan::centring(*block, m_session.derived().block(), how);
    if (!by) return tell("This design runs off the block: it lies where its edges are.");
    edit::Moves moves;
    for (const auto& piece : block->pieces)
        moves.emplace_back(piece.id, *by);
    if (!m_session.apply(edit::movePieces(m_session.quilt(), block->id, moves), "centre")) return;
    const auto gaps = plan::gapsOf(*m_session.block(), m_session.derived().block());
    const auto say = [&](double mm) {
        return measure::say(measure::Length::ofMm(mm), m_session.quilt().units);
    };
    tell("Centred. Left " + say(gaps->left) + ", right " + say(gaps->right) + ", top " + say(gaps->top) +
         ", bottom " + say(gaps->bottom) + ".");
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
    if (pieces.empty()) return tell("Everything that is cut is ticked off.");
    m_session.apply(edit::setCounted(m_session.quilt(), block->id, pieces, true), "tick all off");
}

void PlaceCommands::cutMissingAgain() {
    const auto* block = filled();
    if (!block) return;
    const auto pieces = missingIn(*block);
    if (pieces.empty()) return tell("Nothing is missing.");
    const auto names = words::piecesWords(*block, pieces);
    edit::Edited out = m_session.quilt();
    for (const PieceId piece : pieces)
        out = out.and_then([&](const quilt::Quilt& quilt) {
            return edit::ruin(quilt, m_session.blockId(), piece, "lost", m_session.now());
        });
    if (m_session.apply(std::move(out), "cut the missing again"))
        tell("To be traced and cut again: " + names + ".");
}

} // namespace up::app
