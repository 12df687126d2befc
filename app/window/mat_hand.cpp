// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/mat_hand.hpp"

#include "app/views/view.hpp"
#include "app/window/trace_commands.hpp"
#include "core/edit/stacking.hpp"
#include "core/plan/doubts.hpp"
#include "core/plan/roll_call.hpp"
#include "core/plan/snap.hpp"

#include <algorithm>

namespace up::app {

MatHand::MatHand(Session& session, Mat& mat, TraceCommands& tracing)
    : QObject(&mat), m_session(session), m_mat(mat), m_tracing(tracing) {
    connect(&mat, &Mat::clicked, this, &MatHand::press);
    connect(&mat, &Mat::panelClicked, this, [this](std::uint32_t tag) {
        if (m_session.view() == View::stash) return m_tracing.throwAway(OffCutId{tag});
        m_session.chooseBlock(BlockId{tag});
    });
    connect(&mat, &Mat::framed, this,
            [this](std::size_t, const shape::Box& box, bool more) { frame(box, more); });
    connect(&mat, &Mat::dragged, this, &MatHand::drag);
    connect(&mat, &Mat::dropped, this, &MatHand::drop);
    connect(&mat, &Mat::nudged, this, &MatHand::nudge);
}

/// One of several that are chosen stays one of them, so that they can be dragged together.
void MatHand::press(std::uint32_t tag, bool more) {
    if (tag == sectionEndA || tag == sectionEndB || m_session.view() == View::landing) return;
    const PieceId piece{tag};
    if (m_session.view() == View::lay && m_session.laying() == Laying::count && piece) return tick(piece);
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
        m_session.apply(edit::setCounted(m_session.quilt(), m_session.blockId(), {id}, !piece->counted),
                        piece->counted ? "count as missing" : "tick off");
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

void MatHand::drag(std::uint32_t tag, double right, double down, bool alone) {
    if (m_session.view() == View::trace) return m_tracing.move(PieceId{tag}, right, down, alone, dragKey);
    if (tag == sectionEndA || tag == sectionEndB) return dragSection(tag == sectionEndA, right, down);
    move(right, down, "drag");
}

void MatHand::drop() {
    if (m_session.view() == View::trace) return m_tracing.drop();
    if (m_session.view() == View::lay) snap();
    m_session.closeMerge();
}

void MatHand::nudge(int right, int down, bool far) {
    const double step = far ? 25.4 / 4 : 25.4 / 16;
    if (m_session.view() == View::lay) move(right * step, down * step, "nudge");
    if (m_session.view() == View::trace && m_session.piece())
        m_tracing.move(m_session.piece()->id, right * step, down * step, false, "nudge on the web");
}

/// Onto a crease that lies within reach, as part of the drag.
void MatHand::snap() {
    const auto* piece = m_session.piece();
    const int number = piece ? plan::numberOf(*m_session.block(), piece->id) : 0;
    if (number == 0 || piece->locked) return;
    auto& derived = m_session.derived();
    const auto by =
        plan::snapBy(derived.block().regions[static_cast<std::size_t>(number) - 1], derived.ground());
    if (!by) return;
    move(m_session.turnedOver() ? -by->x : by->x, by->y, "drag");
}

/// The ends stay within what is cut, so that they can be taken hold of again.
void MatHand::dragSection(bool first, double right, double down) {
    if (!m_session.block()) return;
    auto section = m_session.section();
    auto& end = first ? section.from : section.to;
    const auto box = plan::cutBox(*m_session.block());
    end.x = std::clamp(end.x + (m_session.turnedOver() ? -right : right), box.left, box.right);
    end.y = std::clamp(end.y + down, box.top, box.bottom);
    m_session.setSection(section);
}

void MatHand::move(double right, double down, const std::string& key) {
    const auto pieces = m_session.chosen();
    if (pieces.empty()) return;
    edit::Moves moves;
    std::string merge = key;
    for (const PieceId piece : pieces) {
        moves.emplace_back(piece, shape::Point{m_session.turnedOver() ? -right : right, down});
        merge += " " + std::to_string(piece.value);
    }
    m_session.apply(edit::movePieces(m_session.quilt(), m_session.blockId(), moves), "move", merge);
}

void MatHand::turn(double degrees) {
    if (m_session.view() == View::trace) return m_tracing.turn(degrees, false);
    if (const auto pieces = m_session.chosen(); !pieces.empty())
        m_session.apply(edit::turnPieces(m_session.quilt(), m_session.blockId(), pieces,
                                         measure::Angle::ofDegrees(degrees)),
                        "turn");
}

} // namespace up::app
