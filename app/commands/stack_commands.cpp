// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/stack_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/look/text.hpp"

#include "core/edit/saying.hpp"
#include "core/edit/stacking.hpp"
#include "core/mend/mend.hpp"
#include "words/lay_words.hpp"
#include "words/now_words.hpp"

#include <algorithm>
#include <map>

namespace up::app {

using quilt::Quilt;

StackCommands::StackCommands(Session& session, Mending& mending, Asker& asker, QObject* parent)
    : BlockCommands(session, parent), m_mending(mending), m_asker(asker) {}

void StackCommands::numberAnew() {
    const auto* block = filled();
    if (!block) return;
    m_mending.start(
        tr("number anew"), [id = block->id](const Quilt& quilt) { return mend::numberedAnew(quilt, id); },
        [](const Quilt& before, const Quilt& after) {
            return std::string(
                before == after
                    ? words::tr("The numbers go by step, fabric and place already.")
                    : words::tr("Numbered anew by step, fabric and place. Numbers already written "
                                "on paper no longer hold."));
        });
}

namespace {

/// What was decided, and why; what must be traced again.
std::string tuckedWords(const Quilt& before, const Quilt& after, BlockId id, const plan::UnderlapPlan& plan) {
    if (after == before) return words::tr("Every piece reaches far enough under as it is.");
    const auto& block = quilt::the(after.blocks, id);
    std::map<stack::Reason, int> reasons;
    for (const auto& border : plan.borders)
        ++reasons[border.reason];
    std::string why;
    for (const auto& [reason, count] : reasons) {
        const auto one = words::said(N2_("{1} {0} time", "{1} {0} times"), static_cast<std::size_t>(count),
                                     {words::reasonWords(reason)});
        why = why.empty() ? one : words::said(N_("{0}; {1}"), {why, one});
    }
    std::vector<PieceId> again;
    const auto& were = quilt::the(before.blocks, block.id).pieces;
    for (const auto& piece : block.pieces)
        if (quilt::the(were, piece.id).work.step > piece.work.step) again.push_back(piece.id);
    auto out = words::said(N_("Lower pieces now reach {0} beneath the upper ones. Why one lies below: {1}."),
                           {measure::say(block.underlap, before.units), why});
    if (!again.empty())
        out += " " + words::said(N_("To be traced again: {0}."), {words::numbersWords(block, again)});
    return out;
}

} // namespace

void StackCommands::tuckAll(plan::Below below) {
    const auto* block = filled();
    if (!block) return;
    const auto planned = std::make_shared<plan::UnderlapPlan>();
    m_mending.start(
        tr("tuck all under"),
        [id = block->id, below, planned](const Quilt& quilt) {
            const auto& owner = quilt::the(quilt.blocks, id);
            *planned = plan::planUnderlap(quilt, owner, plan::planBlock(owner), below);
            return mend::tuckedUnder(quilt, id, below);
        },
        [id = block->id, planned](const Quilt& before, const Quilt& after) {
            return tuckedWords(before, after, id, *planned);
        });
}

void StackCommands::askUnderlap() {
    const auto* block = filled();
    if (!block) return;
    const auto id = block->id;
    const auto answer = m_asker.underlap({m_session.quilt(), id, m_session.derived().block()});
    if (!answer) return;
    const auto planned = std::make_shared<plan::UnderlapPlan>();
    m_mending.start(
        tr("tuck all under"),
        [id, tucking = *answer, planned](const Quilt& quilt) {
            auto said = edit::setOvers(quilt, id, tucking.over);
            if (!said) return said;
            const auto& owner = quilt::the(said->blocks, id);
            *planned = plan::planUnderlap(*said, owner, plan::planBlock(owner), tucking.below);
            return mend::tuckedUnder(quilt, id, tucking);
        },
        [id, planned](const Quilt& before, const Quilt& after) {
            return tuckedWords(before, after, id, *planned);
        });
}

void StackCommands::putOver() {
    const auto pieces = several(2);
    if (pieces.empty()) return;
    if (pieces.size() > 2)
        return m_session.tell(tr("Choose just two pieces: the one chosen last goes over the other."));
    const auto upper = m_session.piece()->id, lower = pieces[0] == upper ? pieces[1] : pieces[0];
    m_mending.start(
        tr("put over"),
        [id = m_session.blockId(), upper, lower](const Quilt& quilt) {
            return mend::restackedOver(quilt, id, upper, lower);
        },
        [id = m_session.blockId(), upper, lower](const Quilt&, const Quilt& after) {
            const auto& block = quilt::the(after.blocks, id);
            return words::said(N_("{0} goes over {1} now."),
                               {quilt::calledOf(block, quilt::the(block.pieces, upper)),
                                quilt::calledOf(block, quilt::the(block.pieces, lower))});
        });
}

void StackCommands::line() {
    const auto* piece = chosen();
    if (!piece) return;
    if (piece->liningOf) return m_session.tell(tr("This is a lining already."));
    m_mending.start(
        tr("line"),
        [block = m_session.blockId(), id = piece->id](const Quilt& quilt) {
            return mend::lined(quilt, block, id);
        },
        [name = piece->name](const Quilt&, const Quilt&) {
            return words::said(
                N_("“{0}” has a lining now, one number before it and a little smaller all round."), {name});
        });
}

void StackCommands::makeUnit(const std::vector<PieceId>& pieces) {
    m_mending.start(
        tr("make a unit"),
        [block = m_session.blockId(), pieces](const Quilt& quilt) {
            return mend::madeUnit(quilt, block, pieces);
        },
        [block = m_session.blockId(), pieces](const Quilt&, const Quilt& after) {
            return words::said(N_("{0} are one unit: fuse them on a pressing sheet first."),
                               {words::piecesWords(quilt::the(after.blocks, block), pieces)});
        });
}

void StackCommands::toggleMelts() {
    const auto* piece = chosen();
    if (!piece) return;
    const bool melts = !piece->melts;
    if (m_session.apply(edit::set(m_session.quilt(), m_session.blockId(), m_session.chosen(),
                                  &quilt::Piece::melts, melts),
                        tr("melts")))
        m_session.tell(
            melts ? tr("The iron keeps away from it now: it is fastened without, as its own leaflet says.")
                  : tr("It may be pressed like the others."));
}

void StackCommands::askJoining() {
    const auto* block = filled();
    if (!block) return;
    auto pieces = m_session.chosen();
    auto of = words::piecesWords(*block, pieces);
    if (pieces.empty()) {
        of = words::said(N_("all pieces of {0}"), {block->name});
        for (const auto& piece : block->pieces)
            pieces.push_back(piece.id);
    }
    answered(
        m_session, tr("how pieces are joined"), m_asker.fastening({m_session.quilt(), block->id, pieces, of}),
        [](const Quilt& quilt, const FasteningAnswer& answer, BlockId id, const std::vector<PieceId>& those) {
            auto known = answer.how ? edit::join(quilt, id, those, *answer.how) : edit::Edited(quilt);
            return known.and_then(
                [&](const Quilt& joined) { return edit::setQuiltedFirst(joined, id, answer.quiltedFirst); });
        },
        block->id, pieces);
}

void StackCommands::toggleUnit() {
    const auto* piece = chosen();
    const auto* block = m_session.block();
    if (!piece || !block) return;
    const auto together = m_session.chosen();
    const bool oneUnit = std::all_of(together.begin(), together.end(), [&](PieceId id) {
        return quilt::the(block->pieces, id).unit == piece->unit;
    });
    if (piece->unit != 0 && oneUnit) {
        std::vector<PieceId> members;
        for (const auto& other : block->pieces)
            if (other.unit == piece->unit) members.push_back(other.id);
        m_session.apply(edit::setUnit(m_session.quilt(), block->id, members, false), tr("let the unit go"));
        return m_session.tell(tr("The unit is let go; its pieces have numbers of their own again."));
    }
    if (together.size() > 1) return makeUnit(together);
    for (const auto& unit : plan::suggestedUnits(*block, m_session.derived().block()))
        if (std::find(unit.begin(), unit.end(), piece->id) != unit.end()) return makeUnit(unit);
    m_session.tell(
        tr("“%1” belongs to no group of pieces that could be fused by themselves first. Choose the pieces "
           "of a unit with Ctrl.")
            .arg(q(piece->name)));
}

void StackCommands::offerUnits() {
    const auto* block = filled();
    if (!block) return;
    const auto found = plan::suggestedUnits(*block, m_session.derived().block());
    if (found.empty())
        return m_session.tell(tr("No pieces here could be fused together by themselves first."));
    std::vector<std::pair<std::vector<PieceId>, QString>> choices;
    for (const auto& unit : found)
        choices.emplace_back(unit, q(words::piecesWords(*block, unit)));
    const auto chosen = m_asker.oneOf(
        tr("Units"), tr("These could be fused together on a pressing sheet first. Make one a unit?"),
        choices);
    if (chosen) makeUnit(*chosen);
}

void StackCommands::askGround() {
    const auto* block = m_session.block();
    if (!block) return m_session.tell(tr("There is no block yet: add one first."));
    answered(
        m_session, tr("change the background"), m_asker.ground({m_session.quilt(), block->id}),
        [](const Quilt& quilt, const GroundAnswer& answer, BlockId of) {
            auto next = edit::Edited(quilt);
            if (answer.background) // a quilt may have no fabric yet
                next = edit::setBackground(quilt, of, answer.background);
            return next.and_then([&](const Quilt& on) { return edit::setGround(on, of, answer.ground); });
        },
        m_session.blockId());
}

} // namespace up::app
