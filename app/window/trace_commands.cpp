// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/trace_commands.hpp"

#include "core/edit/tracing.hpp"
#include "core/measure/say.hpp"
#include "core/plan/block_plan.hpp"
#include "core/plan/by_hand.hpp"
#include "core/plan/remains.hpp"
#include "words/trace_words.hpp"

#include <algorithm>

namespace up::app {

TraceCommands::TraceCommands(Session& session, LayoutJob& layout, Asker& asker, QObject* parent)
    : QObject(parent), m_session(session), m_layout(layout), m_asker(asker) {
    connect(&session, &Session::changed, this, [this] {
        if (!m_moving) m_held = {}; // another layout, piece or view
    });
}

void TraceCommands::startOrStop() {
    if (m_layout.isRunning()) return m_layout.stop();
    m_layout.start({});
}

void TraceCommands::compare() {
    m_layout.compare({});
}

void TraceCommands::choose(const Way& way) {
    if (!m_session.block()) return;
    m_session.apply(
        edit::chooseLayout(m_session.quilt(), m_session.blockId(), way.school, way.layout, m_session.now()),
        QString::fromStdString("lay out " + words::schoolName(way.school)).toLower());
}

std::vector<PieceId> TraceCommands::moving(PieceId piece, bool alone) const {
    const auto* block = m_session.block();
    if (!block || block->layout.empty() || !find(block->pieces, piece)) return {};
    return alone ? std::vector{piece} : plan::chunkAround(block->layout.front(), piece);
}

void TraceCommands::apply(std::vector<PieceId> pieces, double right, double down, double degrees,
                          const std::string& mergeKey) {
    const auto* block = m_session.block();
    if (!block || block->layout.empty()) return;
    std::erase_if(pieces, [&](PieceId id) {
        const auto* piece = find(block->pieces, id);
        return !piece || piece->work.step != quilt::Step::toTrace;
    });
    if (pieces.empty())
        return emit m_session.trouble("It is on paper already: what has been traced stays where it is.");
    const auto& layout = block->layout.front();
    if (!m_free && m_session.derived().tooClose().empty()) m_free = layout;
    m_session.apply(
        edit::changeLayout(m_session.quilt(), block->id,
                           plan::movedByHand(*block, layout, pieces, m_session.turnedOver() ? -right : right,
                                             down, measure::Angle::ofDegrees(degrees))),
        degrees == 0 ? "move on the web" : "turn on the web", mergeKey);
    if (m_session.derived().tooClose().empty()) m_free = m_session.block()->layout.front();
}

void TraceCommands::move(PieceId piece, double right, double down, bool alone, const std::string& mergeKey) {
    // What is passed on the way does not come along, even where it joins the chunk for a moment.
    if (m_held.by != piece || m_held.alone != alone || m_held.key != mergeKey)
        m_held = {piece, alone, mergeKey, moving(piece, alone)};
    m_moving = true;
    apply(m_held.pieces, right, down, 0, mergeKey);
    m_moving = false;
}

void TraceCommands::turn(double degrees, bool alone) {
    const auto* piece = m_session.piece();
    if (!piece) return emit m_session.trouble("Choose a piece first: it is turned with its chunk.");
    m_free.reset();
    m_held = {};
    apply(moving(piece->id, alone), 0, 0, m_session.turnedOver() ? -degrees : degrees,
          "turn on web " + std::to_string(piece->id.value));
    m_free.reset();
}

void TraceCommands::drop() {
    const auto* block = m_session.block();
    const bool wrong = block && !m_session.derived().tooClose().empty();
    if (wrong && m_free) {
        const auto pair = m_session.derived().tooClose().front();
        const QString what =
            pair.other
                ? QString("too close to %1").arg(QString::fromStdString(plan::labelOf(*block, pair.other)))
                : QString("over the edge of the sheet");
        const QString said = QString("%1 lay %2; it is back where it last had room.")
                                 .arg(QString::fromStdString(plan::labelOf(*block, pair.piece)))
                                 .arg(what);
        m_session.apply(edit::changeLayout(m_session.quilt(), block->id, *m_free), "move on the web",
                        dragKey);
        emit told(said);
    }
    m_free.reset();
    m_held = {};
    m_session.closeMerge();
}

void TraceCommands::togglePin() {
    const auto* block = m_session.block();
    const auto* piece = m_session.piece();
    const auto pieces = piece ? moving(piece->id, false) : std::vector<PieceId>{};
    if (pieces.empty())
        return emit m_session.trouble("Choose a piece on the web first: its chunk is pinned.");
    const auto& traced = block->layout.front().traced;
    const bool pinned = std::any_of(traced.begin(), traced.end(), [&](const quilt::Traced& t) {
        return t.pinned && std::find(pieces.begin(), pieces.end(), t.piece) != pieces.end();
    });
    m_session.apply(edit::pin(m_session.quilt(), block->id, pieces, !pinned), pinned ? "let go" : "pin");
}

void TraceCommands::setStripes() {
    const auto* piece = m_session.piece();
    if (!piece || !piece->fabric)
        return emit m_session.trouble("Choose a piece first: its fabric's print is asked for.");
    const auto id = piece->id;
    const auto fabric = piece->fabric;
    const auto answer = m_asker.stripes({m_session.quilt(), m_session.blockId(), id});
    if (!answer) return;
    m_session.apply(edit::setPrint(m_session.quilt(), fabric, answer->print, answer->tolerance)
                        .and_then([&](const quilt::Quilt& printed) {
                            return edit::setGrain(printed, m_session.blockId(), id, answer->grain);
                        }),
                    "stripes");
}

void TraceCommands::toggleWindow() {
    const auto* piece = m_session.piece();
    if (!piece) return emit m_session.trouble("Choose a piece first: it may have a window, or not.");
    const bool may = !piece->mayHaveWindow;
    const QString name = QString::fromStdString(piece->name);
    if (m_session.apply(edit::setMayHaveWindow(m_session.quilt(), m_session.blockId(), piece->id, may),
                        "window"))
        emit told(may ? name + " may have a window when pieces are laid out in windows."
                      : name + " keeps its web whole.");
}

void TraceCommands::putAway() {
    const auto* block = m_session.block();
    if (!block) return;
    const auto remains = plan::remainsOf(*block, m_session.derived().trace());
    std::size_t kept = 0;
    measure::Length roll;
    for (const auto& rest : remains)
        kept += rest.offCuts.size(), roll = roll + rest.used;
    if (remains.empty())
        return emit m_session.trouble("Nothing can be put away yet: rough cut all pieces of a sheet first.");
    if (!m_session.apply(edit::putAway(m_session.quilt(), block->id, remains, m_session.now()), "put away"))
        return;
    QString said = kept == 0   ? QString("Nothing worth keeping was left")
                   : kept == 1 ? QString("One off-cut is in the stash")
                               : QString("%1 off-cuts are in the stash").arg(kept);
    if (roll.mm() > 0)
        said +=
            "; " + QString::fromStdString(measure::say(roll, m_session.quilt().units)) + " came off the roll";
    emit told(said + ".");
}

void TraceCommands::throwAway(OffCutId offCut) {
    const auto& all = m_session.quilt().offCuts;
    const auto at = std::find_if(all.begin(), all.end(), [&](const auto& o) { return o.id == offCut; });
    if (at == all.end()) return;
    const auto number = at - all.begin() + 1;
    if (m_asker.yes("Off-cut", QString("Is off-cut %1 used up or not worth keeping?").arg(number),
                    "Throw it away"))
        m_session.apply(edit::removeOffCut(m_session.quilt(), offCut), "throw an off-cut away");
}

void TraceCommands::askLeastOffCut() {
    const auto& quilt = m_session.quilt();
    const auto said =
        m_asker.text("Off-cuts", "Web left over is kept when a circle so wide fits on it.\nHow wide?",
                     QString::fromStdString(measure::say(quilt.leastOffCut, quilt.units)));
    if (!said) return;
    const auto width = measure::readLength(said->trimmed().toStdString(), quilt.units);
    if (!width) return m_session.complain(width.error());
    m_session.apply(edit::setLeastOffCut(quilt, *width), "off-cuts worth keeping");
}

} // namespace up::app
