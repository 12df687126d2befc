// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/stack_commands.hpp"

#include "core/edit/stacking.hpp"
#include "core/mend/mend.hpp"
#include "core/stack/ordering.hpp"
#include "words/lay_words.hpp"
#include "words/now_words.hpp"

#include <algorithm>
#include <map>

namespace up::app {

StackCommands::StackCommands(Session& session, QObject* parent) : QObject(parent), m_session(session) {}

void StackCommands::tell(const std::string& sentence) {
    emit told(QString::fromStdString(sentence));
}

/// The block, if there is anything in it.
const quilt::Block* StackCommands::filled() {
    const auto* block = m_session.block();
    if (block && !block->pieces.empty()) return block;
    tell("There are no pieces yet: bring a drawing in under Draw.");
    return nullptr;
}

const quilt::Piece* StackCommands::chosen() {
    if (!filled()) return nullptr;
    const auto* piece = m_session.piece();
    if (!piece) tell("Choose a piece first: click it on the mat or in the rail.");
    return piece;
}

void StackCommands::numberAnew() {
    const auto* block = filled();
    if (!block) return;
    const auto before = *block;
    if (!m_session.apply(mend::numberedAnew(m_session.quilt(), block->id), "number anew")) return;
    const auto& after = m_session.block()->pieces;
    const bool same = std::equal(after.begin(), after.end(), before.pieces.begin(),
                                 [](const auto& a, const auto& b) { return a.id == b.id; });
    tell(same ? "The numbers go by step, fabric and place already."
              : "Numbered anew by step, fabric and place. Numbers already written on paper no longer hold.");
}

/// Tells what was decided, and why.
void StackCommands::tuckAll(plan::Below below) {
    const auto* block = filled();
    if (!block) return;
    const auto plan = plan::planUnderlap(m_session.quilt(), *block, m_session.derived().block(), below);
    const auto before = m_session.quilt();
    const auto underlap = measure::say(block->underlap, before.units);
    if (!m_session.apply(mend::tuckedUnder(before, block->id, below), "tuck all under")) return;
    if (m_session.quilt() == before) return tell("Every piece reaches far enough under as it is.");
    std::map<stack::Reason, int> reasons;
    for (const auto& border : plan.borders)
        ++reasons[border.reason];
    std::string why;
    for (const auto& [reason, count] : reasons)
        why +=
            (why.empty() ? "" : "; ") + words::reasonWords(reason) + " " + std::to_string(count) + " times";
    std::vector<PieceId> again;
    const auto& were = quilt::find(before.blocks, m_session.blockId())->pieces;
    for (const auto& piece : m_session.block()->pieces)
        if (quilt::find(were, piece.id)->work.step > piece.work.step) again.push_back(piece.id);
    tell("Lower pieces now reach " + underlap + " beneath the upper ones. Why one lies below: " + why + "." +
         (again.empty() ? ""
                        : " To be traced again: " + words::numbersWords(*m_session.block(), again) + "."));
}

void StackCommands::line() {
    const auto* piece = chosen();
    if (!piece) return;
    if (piece->liningOf) return tell("This is a lining already.");
    const auto name = piece->name;
    if (m_session.apply(mend::lined(m_session.quilt(), m_session.blockId(), piece->id), "line"))
        tell("“" + name + "” has a lining now, one number before it and a little smaller all round.");
}

void StackCommands::toggleLock() {
    const auto* piece = chosen();
    if (!piece) return;
    const bool lock = !piece->locked;
    const auto name = piece->name;
    m_session.apply(edit::setLocked(m_session.quilt(), m_session.blockId(), {piece->id}, lock),
                    lock ? "lock" : "unlock");
    tell("“" + name + (lock ? "” is locked where it lies." : "” may be moved again."));
}

void StackCommands::toggleUnit() {
    const auto* piece = chosen();
    const auto* block = m_session.block();
    if (!piece || !block) return;
    if (piece->unit != 0) {
        std::vector<PieceId> members;
        for (const auto& other : block->pieces)
            if (other.unit == piece->unit) members.push_back(other.id);
        m_session.apply(edit::setUnit(m_session.quilt(), block->id, members, false), "let the unit go");
        return tell("The unit is let go; its pieces have numbers of their own again.");
    }
    for (const auto& unit : plan::suggestedUnits(*block, m_session.derived().block())) {
        if (std::find(unit.begin(), unit.end(), piece->id) == unit.end()) continue;
        if (!m_session.apply(mend::madeUnit(m_session.quilt(), block->id, unit), "make a unit")) return;
        return tell(words::piecesWords(*m_session.block(), unit) +
                    " are one unit: fuse them on a pressing sheet first.");
    }
    tell("“" + piece->name + "” belongs to no group of pieces that could be fused by themselves first.");
}

void StackCommands::centre(plan::Centre how) {
    const auto* block = filled();
    if (!block) return;
    const auto by = plan::centring(*block, m_session.derived().block(), how);
    if (!by) return tell("This design runs off the block: it lies where its edges are.");
    edit::Moves moves;
    for (const auto& piece : block->pieces)
        if (!piece.liningOf) moves.emplace_back(piece.id, *by); // a lining goes with its piece
    if (!m_session.apply(edit::movePieces(m_session.quilt(), block->id, moves), "centre")) return;
    const auto gaps = plan::gapsOf(*m_session.block(), m_session.derived().block());
    const auto say = [&](double mm) {
        return measure::say(measure::Length::ofMm(mm), m_session.quilt().units);
    };
    tell("Centred. Left " + say(gaps->left) + ", right " + say(gaps->right) + ", top " + say(gaps->top) +
         ", bottom " + say(gaps->bottom) + ".");
}

} // namespace up::app
