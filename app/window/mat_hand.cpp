// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/mat_hand.hpp"

#include "app/commands/stash_commands.hpp"
#include "app/look/text.hpp"
#include "core/edit/lines.hpp"
#include "core/edit/saying.hpp"
#include "core/edit/stacking.hpp"
#include "core/plan/lay/roll_call.hpp"

#include <algorithm>

namespace up::app {

MatHand::MatHand(Session& session, Mat& mat, StashCommands& shelf)
    : QObject(&mat), m_session(session), m_mat(mat), m_view(session.view()), m_block(session.blockId()) {
    connect(&mat, &Mat::clicked, this, &MatHand::press);
    connect(&mat, &Mat::panelClicked, this, [this, &shelf](const sheet::Tag& tag) {
        if (const auto* block = std::get_if<BlockId>(&tag))
            m_session.chooseBlock(*block);
        else
            shelf.open(tag);
    });
    connect(&mat, &Mat::framed, this,
            [this](std::size_t, const shape::Box& box, bool more) { frame(box, more); });
    mat.setTakeUp([this](const Grip& grip) { return gestureFor(grip); });
    connect(&session, &Session::changed, this, &MatHand::follow);
}

/// What was held is not there to be seen any more.
void MatHand::follow() {
    const bool same = m_view == m_session.view() && m_block == m_session.blockId();
    m_view = m_session.view(), m_block = m_session.blockId();
    if (!same) m_mat.letGo();
}

std::unique_ptr<Gesture> MatHand::gestureFor(const Grip& grip) {
    if (const auto* end = std::get_if<sheet::Handle>(&grip.tag))
        return std::make_unique<MoveSection>(m_session, *end);
    if (const auto* line = m_session.line(); line && (grip.byKeys || sheet::lineOf(grip.tag) == line->id))
        return std::make_unique<MoveLine>(m_session, line->id);
    if (m_session.view() == View::trace) {
        const auto piece =
            grip.byKeys ? m_session.piece() ? m_session.piece()->id : PieceId{} : sheet::pieceOf(grip.tag);
        auto gesture = onWeb(piece, grip.alone);
        return gesture->isEmpty() ? nullptr : std::move(gesture);
    }
    if (m_session.view() == View::bond) {
        const auto piece =
            grip.byKeys ? m_session.piece() ? m_session.piece()->id : PieceId{} : sheet::pieceOf(grip.tag);
        auto gesture = std::make_unique<MoveOnCloth>(m_session, piece);
        return gesture->isEmpty() ? nullptr : std::move(gesture);
    }
    if (m_session.view() != View::lay || m_session.chosen().empty()) return nullptr;
    return std::make_unique<MovePieces>(m_session, !grip.byKeys);
}

std::unique_ptr<MoveOnWeb> MatHand::onWeb(PieceId piece, bool alone) {
    return std::make_unique<MoveOnWeb>(m_session, piece, alone);
}

/// One of several that are chosen stays one of them, so that they can be dragged together.
void MatHand::press(const sheet::Tag& tag, bool more) {
    if (std::holds_alternative<sheet::Handle>(tag) || std::holds_alternative<BlockId>(tag) ||
        m_session.view() == View::landing)
        return;
    if (const auto line = sheet::lineOf(tag)) return m_session.chooseLine(line);
    const PieceId piece = sheet::pieceOf(tag);
    if (m_session.view() == View::lay && m_session.layMode() == LayMode::count && piece) return tick(piece);
    if (m_session.view() != View::lay || (!more && !m_session.isChosen(piece)))
        return m_session.choosePiece(piece);
    if (more) return m_session.chooseAlso(piece);
    m_session.choosePieces(m_session.chosen(), piece);
}

/// On the table a piece is there or not; one that is not cut yet nobody looks for.
void MatHand::tick(PieceId id) {
    const auto* piece = m_session.block() ? quilt::find(m_session.block()->pieces, id) : nullptr;
    if (!piece) return;
    if (piece->work.step >= quilt::Step::cleanCut && piece->work.step < quilt::Step::laid)
        m_session.apply(
            edit::set(m_session.quilt(), m_session.blockId(), {id}, &quilt::Piece::counted, !piece->counted),
            piece->counted ? tr("count as missing") : tr("tick off"));
    m_session.choosePiece(id);
}

/// Pieces whose middle lies in the frame.
void MatHand::frame(const shape::Box& box, bool more) {
    const auto* block = m_session.block();
    if (!block) return;
    auto within = box;
    if (m_session.turnedOver()) {
        const double wide = block->width.mm();
        within.left = wide - box.right, within.right = wide - box.left;
    }
    auto pieces = more ? m_session.chosen() : std::vector<PieceId>{};
    for (const auto& piece : block->pieces)
        if (within.holds(boundsOf(quilt::placed(piece)).centre())) pieces.push_back(piece.id);
    m_session.choosePieces(std::move(pieces), {});
}

void MatHand::turn(double degrees) {
    m_mat.letGo();
    if (const auto* line = m_session.line()) {
        m_session.apply(edit::moveLine(m_session.quilt(), m_session.blockId(), line->id, {}, {},
                                       measure::Angle::ofDegrees(degrees)),
                        tr("turn"));
        return;
    }
    if (m_session.view() == View::trace) {
        const auto* piece = m_session.piece();
        if (!piece) return m_session.complain(tr("Choose a piece first: it is turned with its chunk."));
        const auto gesture = onWeb(piece->id, false);
        gesture->turned(degrees);
        return gesture->EditGesture::done(); // where it lies now is looked at by the eye
    }
    if (m_session.view() == View::bond) {
        const auto* piece = m_session.piece();
        if (!piece) return m_session.complain(tr("Choose a piece first: it is turned with its chunk."));
        MoveOnCloth gesture(m_session, piece->id);
        gesture.turned(degrees);
        return gesture.EditGesture::done();
    }
    if (const auto pieces = m_session.chosen(); !pieces.empty())
        m_session.apply(edit::turnPieces(m_session.quilt(), m_session.blockId(), pieces,
                                         measure::Angle::ofDegrees(degrees)),
                        tr("turn"));
}

} // namespace up::app
