// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/section_strip.hpp"

#include "app/look/fitting.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "app/views/pieces.hpp"
#include "core/mend/mend.hpp"
#include "core/stack/ordering.hpp"

#include <QMouseEvent>
#include <QPainter>

namespace up::app {
namespace {

constexpr double side = 14, above = 26, ground = 10; // pixels round the section
constexpr double highest = 24, lowest = 4;           // of a ledge

} // namespace

SectionStrip::SectionStrip(Session& session, Mending& mending, QWidget* parent)
    : QWidget(parent), m_session(session), m_mending(mending) {
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Maximum);
    connect(&session, &Session::changed, this, [this](Change change) {
        if (change != Change::file) refresh();
    });
    refresh();
}

void SectionStrip::setTight(bool tight) {
    if (std::exchange(m_tight, tight) != tight) refresh();
}

void SectionStrip::refresh() {
    const auto* block = m_session.block();
    setVisible(!m_tight && m_session.view() == View::lay && m_session.layMode() == LayMode::block && block &&
               !block->pieces.empty());
    m_ledges.clear();
    if (!isVisibleTo(parentWidget())) return;
    const auto& plan = m_session.derived().block();
    std::vector<stack::Pair> pairs;
    for (const auto& o : plan.stack.overlaps)
        pairs.push_back({o.upper, o.lower});
    if (pairs != m_pairs || m_order.size() != plan.regions.size()) { // most moves change neither
        m_order = stack::bottomFirst(plan.regions.size(), pairs);
        m_pairs = std::move(pairs);
    }
    const auto line = m_session.section();
    m_length = std::max(1.0, shape::distance(line.from, line.to));
    m_ledges = stack::sectionOf(plan.regions, m_order, line.from, line.to);
    m_levels = 1;
    for (const auto& ledge : m_ledges)
        m_levels = std::max(m_levels, ledge.level + 1);
    update();
}

QRectF SectionStrip::rectOf(const stack::Ledge& ledge) const {
    const double room = height() - above - ground - 6;
    const double high = std::clamp(room / m_levels, lowest, highest), scale = (width() - 2 * side) / m_length;
    return {side + ledge.from * scale, height() - 4 - ground - (ledge.level + 1) * high,
            std::max(3.0, (ledge.to - ledge.from) * scale), high - 1};
}

std::vector<QRectF> SectionStrip::treadsOf(PieceId piece) const {
    std::vector<QRectF> out;
    const auto* block = m_session.block();
    for (const auto& ledge : m_ledges)
        if (block && block->pieces[ledge.piece].id == piece) out.push_back(rectOf(ledge));
    return out;
}

const stack::Ledge* SectionStrip::at(QPointF pixel) const {
    for (auto ledge = m_ledges.rbegin(); ledge != m_ledges.rend(); ++ledge)
        if (rectOf(*ledge).contains(pixel)) return &*ledge;
    return nullptr;
}

/// The ledge that the held one is dragged onto.
const stack::Ledge* SectionStrip::target() const {
    const auto* found = m_held ? at(m_now) : nullptr;
    return found && found->piece != m_held->piece ? found : nullptr;
}

void SectionStrip::paintLedge(QPainter& painter, const stack::Ledge& ledge, QRectF rect) const {
    const auto& block = *m_session.block();
    const auto& piece = block.pieces[ledge.piece];
    const Colour cloth = drawn::clothOf(m_session.quilt(), piece.fabric);
    const bool chosen = m_session.piece() && m_session.piece()->id == piece.id;
    painter.setPen(QPen(look::q(chosen ? look::brassBright : look::ink), chosen ? 2.5 : 0.8));
    painter.setBrush(look::q(cloth));
    painter.drawRoundedRect(rect, 2, 2);
    const auto label = q(quilt::labelOf(block, piece.id));
    constexpr int least = 9, usual = 13; // pixels
    const int high = std::min(static_cast<int>(rect.height()) - 2, usual);
    if (high < least) return; // so many lie over each other here that numbers would as well
    QFont font = painter.font();
    font.setPixelSize(high);
    painter.setFont(font);
    if (painter.fontMetrics().horizontalAdvance(label) + 4 > rect.width()) return;
    painter.setPen(look::q(look::inkOn(cloth)));
    const auto whole = label + " " + q(piece.name);
    const bool room = painter.fontMetrics().horizontalAdvance(whole) + 8 < rect.width();
    painter.drawText(rect, Qt::AlignCenter, room ? whole : label);
}

void SectionStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), look::q(look::panel));
    const auto* block = m_session.block();
    if (!block) return;
    painter.setPen(look::q(look::slate));
    look::writeFitting(painter, {side, 4, width() - 2 * side, above - 6}, Qt::AlignVCenter | Qt::AlignLeft,
                       m_ledges.empty()
                           ? tr("No piece lies along the dashed line. Drag its ends A and B.")
                           : tr("The stack from the side, A to B: drag a piece over or under another."),
                       13);
    const QRectF cloth(side, height() - 4 - ground, width() - 2 * side, ground);
    painter.fillRect(cloth, look::q(drawn::clothOf(m_session.quilt(), block->background)));
    painter.setPen(QPen(look::q(look::slate), 0.8));
    painter.drawRect(cloth);
    for (const auto& ledge : m_ledges)
        if (!m_held || ledge.piece != m_held->piece) paintLedge(painter, ledge, rectOf(ledge));
    if (!m_held) return;
    for (const auto& ledge : m_ledges)
        if (ledge.piece == m_held->piece)
            paintLedge(painter, ledge, rectOf(ledge).translated(0, m_now.y() - m_from.y()));
    if (const auto* onto = target()) {
        const auto rect = rectOf(*onto);
        const double y = m_now.y() < m_from.y() ? rect.top() : rect.bottom();
        painter.setPen(QPen(look::q(look::brass), 4));
        painter.drawLine(QPointF(rect.left(), y), QPointF(rect.right(), y));
    }
}

void SectionStrip::mousePressEvent(QMouseEvent* event) {
    const auto* ledge = at(event->position());
    m_held = ledge ? std::optional(*ledge) : std::nullopt;
    m_from = m_now = event->position();
    if (ledge) m_session.choosePiece(m_session.block()->pieces[ledge->piece].id);
}

void SectionStrip::mouseMoveEvent(QMouseEvent* event) {
    m_now = event->position();
    if (m_held) update();
}

void SectionStrip::mouseReleaseEvent(QMouseEvent* event) {
    m_now = event->position();
    drop();
    m_held.reset();
    update();
}

void SectionStrip::drop() {
    const auto* onto = target();
    const auto* block = m_session.block();
    if (!onto || !block) return;
    const bool up = m_now.y() < m_from.y();
    const auto held = block->pieces[m_held->piece].id, other = block->pieces[onto->piece].id;
    const auto upper = up ? held : other, lower = up ? other : held;
    const auto says = words::said(N_("{0} lies over {1} now."),
                                  {quilt::calledOf(*block, quilt::the(block->pieces, upper)),
                                   quilt::calledOf(*block, quilt::the(block->pieces, lower))});
    m_mending.start(
        tr("restack"),
        [id = block->id, upper, lower](const quilt::Quilt& quilt) {
            return mend::restackedOver(quilt, id, upper, lower);
        },
        [says](const quilt::Quilt&, const quilt::Quilt&) { return says; });
}

} // namespace up::app
