// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/gestures.hpp"

#include "app/look/text.hpp"
#include "core/edit/cloths.hpp"
#include "core/edit/lines.hpp"
#include "core/edit/stacking.hpp"
#include "core/edit/tracing.hpp"
#include "core/plan/bond/by_hand.hpp"
#include "core/plan/lay/snap.hpp"
#include "core/plan/trace/by_hand.hpp"
#include "core/quilt/labels.hpp"
#include "words/bond_words.hpp"

#include <algorithm>

namespace up::app {
namespace {

/// No two gestures are one step.
std::string newKey() {
    static std::uint64_t count = 0;
    return "gesture " + std::to_string(++count);
}

} // namespace

EditGesture::EditGesture(Session& session, QString name)
    : m_session(session), m_block(session.blockId()), m_name(std::move(name)), m_key(newKey()),
      m_state(session.state()) {
    session.closeMerge();
}

bool EditGesture::isStale() const {
    return m_session.state() != m_state || m_session.blockId() != m_block;
}

const quilt::Block* EditGesture::block() const {
    return isStale() ? nullptr : m_session.block();
}

void EditGesture::apply(edit::Edited next) {
    if (isStale()) return;
    m_session.apply(std::move(next), m_name, m_key);
    m_state = m_session.state();
}

void EditGesture::done() {
    m_session.closeMerge();
}

void EditGesture::cancelled() {
    m_session.takeBack(m_key);
    m_session.closeMerge();
}

MovePieces::MovePieces(Session& session, bool snaps)
    : EditGesture(session, tr("move")), m_pieces(session.chosen()), m_snaps(snaps) {}

void MovePieces::move(double right, double down) {
    if (!block() || m_pieces.empty()) return;
    edit::Moves moves;
    for (const PieceId piece : m_pieces)
        moves.emplace_back(piece, shape::Point{right, down});
    apply(edit::movePieces(m_session.quilt(), m_block, moves));
}

void MovePieces::moved(double right, double down) {
    move(across(right), down);
}

void MovePieces::done() {
    const auto* owner = block();
    const auto* piece = owner && m_snaps ? m_session.piece() : nullptr;
    if (piece && !piece->locked) {
        const auto number = static_cast<std::size_t>(quilt::numberOf(*owner, piece->id));
        auto& derived = m_session.derived();
        if (const auto by = plan::snapBy(derived.block().regions.at(number - 1), derived.ground()))
            move(by->x, by->y);
    }
    EditGesture::done();
}

MoveLine::MoveLine(Session& session, LineId line) : EditGesture(session, tr("move")), m_line(line) {}

void MoveLine::moved(double right, double down) {
    if (block())
        apply(edit::moveLine(m_session.quilt(), m_block, m_line, measure::Length::ofMm(across(right)),
                             measure::Length::ofMm(down)));
}

MoveOnWeb::MoveOnWeb(Session& session, PieceId piece, bool alone)
    : EditGesture(session, tr("move on the web")) {
    const auto* owner = block();
    if (!owner || !owner->layout || !find(owner->pieces, piece)) return;
    m_pieces = alone ? std::vector{piece} : plan::chunkAround(*owner->layout, piece);
    const bool any = !m_pieces.empty();
    std::erase_if(m_pieces, [&](PieceId id) {
        const auto* moving = find(owner->pieces, id);
        return !moving || moving->work.step != quilt::Step::toTrace;
    });
    if (any && m_pieces.empty())
        m_session.tell(tr("It is on paper already: what has been traced stays where it is."));
    if (m_session.derived().tooClose().empty()) m_free = *owner->layout;
}

void MoveOnWeb::move(double right, double down, double degrees) {
    const auto* owner = block();
    if (!owner || !owner->layout || m_pieces.empty()) return;
    apply(edit::changeLayout(m_session.quilt(), m_block,
                             plan::movedByHand(*owner, *owner->layout, m_pieces, across(right), down,
                                               measure::Angle::ofDegrees(degrees))));
    if (const auto* now = block(); now && now->layout && m_session.derived().tooClose().empty())
        m_free = *now->layout;
}

void MoveOnWeb::moved(double right, double down) {
    move(right, down, 0);
}

void MoveOnWeb::turned(double degrees) {
    move(0, 0, m_session.turnedOver() ? -degrees : degrees);
}

void MoveOnWeb::done() {
    const auto* owner = block();
    if (owner && m_free && !m_session.derived().tooClose().empty()) {
        const auto pair = m_session.derived().tooClose().front();
        const auto label = [&](PieceId id) { return q(quilt::labelOf(*owner, id)); };
        const QString said = pair.other
                                 ? tr("%1 lay too close to %2; it is back where it last had room.")
                                       .arg(label(pair.piece), label(pair.other))
                                 : tr("%1 lay over the edge of the sheet; it is back where it last had room.")
                                       .arg(label(pair.piece));
        apply(edit::changeLayout(m_session.quilt(), m_block, *m_free));
        m_session.tell(said);
    }
    EditGesture::done();
}

MoveOnCloth::MoveOnCloth(Session& session, PieceId piece) : EditGesture(session, tr("move on the cloth")) {
    const auto* owner = block();
    const auto chunk = owner ? plan::chunkNumberOf(*owner, piece) : std::nullopt;
    if (!chunk) return;
    const bool lies = std::any_of(owner->onCloth.begin(), owner->onCloth.end(),
                                  [&](const auto& on) { return on.chunk == *chunk; });
    if (!lies) return;
    m_chunk = chunk;
    if (this->lies() == plan::Lies::well) m_good = owner->onCloth;
}

plan::Lies MoveOnCloth::lies() const {
    const auto& derived = m_session.derived().bonding();
    for (const auto& use : derived.cloths)
        for (const auto& laid : use.chunks)
            if (laid.where.chunk == m_chunk) return laid.lies;
    return plan::Lies::well;
}

void MoveOnCloth::move(double right, double down, double degrees) {
    const auto* owner = block();
    if (!owner || !m_chunk) return;
    apply(edit::layOnCloth(m_session.quilt(), m_block,
                           plan::movedOnCloth(*owner, m_session.derived().trace(), *m_chunk, across(right),
                                              down, measure::Angle::ofDegrees(degrees))));
    if (const auto* now = block(); now && lies() == plan::Lies::well) m_good = now->onCloth;
}

void MoveOnCloth::moved(double right, double down) {
    move(right, down, 0);
}

void MoveOnCloth::turned(double degrees) {
    move(0, 0, m_session.turnedOver() ? -degrees : degrees);
}

void MoveOnCloth::done() {
    if (const auto how = block() && m_chunk ? lies() : plan::Lies::well; how != plan::Lies::well && m_good) {
        apply(edit::layOnCloth(m_session.quilt(), m_block, *m_good));
        m_session.tell(
            tr("It is back where it last lay well: there it was %1.").arg(q(words::liesWords(how))));
    }
    EditGesture::done();
}

MoveSection::MoveSection(Session& session, sheet::Handle end)
    : m_session(session), m_end(end), m_before(session.section()) {}

void MoveSection::moved(double right, double down) {
    if (!m_session.block()) return;
    auto section = m_session.section();
    auto& end = m_end == sheet::Handle::sectionFrom ? section.from : section.to;
    const auto box = quilt::cutBox(*m_session.block());
    end.x = std::clamp(end.x + (m_session.turnedOver() ? -right : right), box.left, box.right);
    end.y = std::clamp(end.y + down, box.top, box.bottom);
    m_session.setSection(section);
}

} // namespace up::app
