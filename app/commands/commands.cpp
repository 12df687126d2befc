// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/commands.hpp"

#include "app/commands/answered.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "core/edit/joining.hpp"
#include "core/edit/naming.hpp"
#include "core/edit/stacking.hpp"
#include "core/measure/say.hpp"
#include "core/plan/work/progress.hpp"
#include "words/now_words.hpp"
#include "words/sentences.hpp"

#include <algorithm>

namespace up::app {

using quilt::Quilt;
using quilt::Step;

Commands::Commands(Session& session, LayoutJob& layout, Asker& asker, ImportCommands& imports,
                   TraceCommands& tracing, ClothCommands& cloths, PressCommands& presses,
                   SewingCommands& sewing, FinishCommands& finishing, LineCommands& lines, QObject* parent)
    : QObject(parent), m_session(session), m_layout(layout), m_asker(asker), m_imports(imports),
      m_tracing(tracing), m_cloths(cloths), m_presses(presses), m_sewing(sewing), m_finishing(finishing),
      m_lines(lines) {}

namespace {

/// The quilt with the block that was asked for, on its background, with its web.
constexpr auto withBlock = [](const Quilt& quilt, const BlockAnswer& answer) {
    auto next = edit::addBlock(quilt, answer.name, answer.width, answer.height);
    auto background = answer.background;
    if (next && answer.fresh) {
        next = edit::addFabric(*next, answer.fresh->name, answer.fresh->colour);
        if (next) background = next->fabrics.back().id;
    }
    if (next && background) next = edit::setBackground(*next, next->blocks.back().id, background);
    if (next && answer.web) next = edit::setWeb(*next, next->blocks.back().id, answer.web);
    return next;
};

} // namespace

void Commands::doNow() {
    const auto* block = m_session.block();
    if (!block) return newBlock();
    if (!treadOf(m_session.view()))
        return m_session.goTo(block->trimmed ? View::finish : viewOf(plan::currentTread(*block)));
    if (m_layout.isRunning() && m_session.view() == View::trace) return m_layout.stop();
    const auto now = m_session.next();
    switch (now.what) {
    case plan::What::importDrawing: return m_imports.importDrawing();
    case plan::What::layOut: return m_tracing.startOrStop();
    case plan::What::step: return doStep(now.pieces, now.step);
    case plan::What::press: return m_presses.startOrPause();
    case plan::What::stitch: return m_sewing.legDone();
    case plan::What::findPresses:
    case plan::What::findWays: return;
    case plan::What::layOnCloth: return m_cloths.layOnCloth();
    case plan::What::quiltGround:
        m_session.apply(edit::groundQuilted(m_session.quilt(), block->id, m_session.now()),
                        tr("background quilted"));
        return;
    case plan::What::putAway: return m_tracing.putAway();
    case plan::What::drawLines: return m_lines.drawn();
    case plan::What::sewLine: return m_lines.sewn();
    case plan::What::layLine: return m_lines.laid();
    case plan::What::trim: return m_finishing.trimmed();
    case plan::What::sewStrip: return m_finishing.stripSewn();
    case plan::What::goOn: return m_session.goTo(viewOf(now.tread));
    case plan::What::allDone: return m_session.goTo(View::landing);
    }
}

/// As if done one after the other, so that a lower piece of the same pressing counts for the one above it.
Result<void> Commands::mayDoAll(const std::vector<PieceId>& pieces, Step step) const {
    auto block = *m_session.block();
    const auto& plan = m_session.derived().block();
    for (const auto id : pieces) {
        const auto index = static_cast<std::size_t>(quilt::numberOf(block, id)) - 1;
        if (auto may = plan::mayDo(block, plan, index, step); !may) return may;
        auto& work = block.pieces[index].work;
        work = quilt::advanced(work, step, block.pieces[index].way()).value_or(work);
    }
    return {};
}

void Commands::doStep(const std::vector<PieceId>& pieces, Step step) {
    const auto* block = m_session.block();
    if (!block || pieces.empty()) return;
    if (auto may = mayDoAll(pieces, step); !may) return m_session.complain(may.error());
    const BlockId owner = block->id;
    const auto what = tr("%1: %2").arg(q(words::asTask(step)), q(words::piecesWords(*block, pieces)));
    std::vector<std::string> bare; // names of those whose marks would be lost
    for (const auto id : pieces)
        if (const auto* piece = find(block->pieces, id); quilt::losesMarks(piece->work, step, piece->way()))
            bare.push_back(piece->name);
    for (const auto& name : bare) {
        const auto question = tr("The paper comes off “%1” now and its marks are not drawn: they cannot be "
                                 "traced through any more.")
                                  .arg(q(name));
        if (!m_asker.yes(tr("Marks would be lost"), question, tr("Lay it without marks"))) return;
    }
    if (step == Step::bonded) return m_cloths.bond(pieces, what);
    m_session.apply(edit::record(m_session.quilt(), owner, pieces, step, m_session.now()), what);
}

void Commands::newBlock() {
    const auto count = m_session.quilt().blocks.size();
    if (!answered(m_session, tr("new block"),
                  m_asker.block({m_session.quilt(), tr("Block %1").arg(count + 1).toStdString()}), withBlock))
        return;
    m_session.chooseBlock(m_session.quilt().blocks.back().id);
    m_session.goTo(View::draw);
}

void Commands::redraw(edit::Edited next, const QString& what, BlockId id) {
    const auto* block = find(m_session.quilt().blocks, id);
    const auto begun = !block ? 0
                              : std::count_if(block->pieces.begin(), block->pieces.end(),
                                              [](const auto& p) { return p.work.step != Step::toTrace; });
    const bool changes = next && !(*next == m_session.quilt());
    if (!m_session.apply(std::move(next), what) || begun == 0 || !changes) return;
    m_session.tell(
        tr("%1 traced pieces no longer fit and go back to be traced. Undo brings them back.").arg(begun));
}

void Commands::resize(const QString& text) {
    const auto size = measure::readSize(text.toStdString(), m_session.quilt().units);
    if (!m_session.block()) return;
    if (!size) return m_session.complain(size.error());
    redraw(edit::resizeBlock(m_session.quilt(), m_session.blockId(), size->width, size->height),
           tr("set the size"), m_session.blockId());
}

namespace {

edit::Edited sized(const quilt::Quilt& quilt, const SizeAnswer& answer, BlockId id, PieceId piece) {
    auto next = edit::setEdge(quilt, id, answer.edge);
    if (!next || answer.factor == 1) return next;
    if (!answer.wholeBlock)
        return piece ? edit::scalePiece(*next, id, piece, answer.factor, answer.keepWidths) : next;
    const auto scaled = [&](measure::Length side) {
        return measure::Length::ofMm(side.mm() * answer.factor);
    };
    const auto& block = the(std::as_const(*next).blocks, id);
    return edit::resizeBlock(*next, id, scaled(block.width), scaled(block.height), answer.keepWidths);
}

} // namespace

void Commands::askSize() {
    const auto* block = m_session.block();
    if (!block || block->pieces.empty()) return;
    const auto* piece = m_session.piece();
    const auto judged = m_session.derived().judgement();
    if (!judged) return m_session.tell(tr("The shapes are still being measured. Try again in a moment."));
    const auto blockId = block->id;
    const auto pieceId = piece ? piece->id : PieceId{};
    const auto answer = m_asker.size({m_session.quilt().units, *block, pieceId, judged});
    if (!answer) return;
    auto next = sized(m_session.quilt(), *answer, blockId, pieceId);
    if (answer->factor == 1)
        m_session.apply(std::move(next), tr("change the edge stitch"));
    else
        redraw(std::move(next), tr("set the size"), blockId);
}

void Commands::setCameReversed(bool reversed) {
    if (m_session.block())
        redraw(edit::setGivenReversed(m_session.quilt(), m_session.blockId(), reversed),
               reversed ? tr("drawing came reversed") : tr("drawing as seen"), m_session.blockId());
}

void Commands::renameBlock() {
    const auto* block = m_session.block();
    if (!block) return;
    const auto id = block->id;
    answered(
        m_session, tr("rename block"),
        m_asker.text(tr("Rename block"), tr("What is it called?"), q(block->name)),
        [](const Quilt& quilt, const QString& name, BlockId of) {
            return edit::renameBlock(quilt, of, name.toStdString());
        },
        id);
}

void Commands::removeBlock() {
    if (m_session.block())
        m_session.apply(edit::removeBlock(m_session.quilt(), m_session.blockId()), tr("remove block"));
}

void Commands::removePiece() {
    if (m_session.line()) return m_lines.remove();
    if (const auto* piece = m_session.piece())
        m_session.apply(edit::removePiece(m_session.quilt(), m_session.blockId(), piece->id),
                        tr("remove piece"));
}

void Commands::renameQuilt() {
    answered(
        m_session, tr("rename quilt"),
        m_asker.text(tr("Rename quilt"), tr("What is it called?"), q(m_session.quilt().name)),
        [](const Quilt& quilt, const QString& name) { return edit::renameQuilt(quilt, name.toStdString()); });
}

void Commands::restack(int by) {
    if (const auto* piece = m_session.piece())
        m_session.apply(edit::restack(m_session.quilt(), m_session.blockId(), piece->id, by), tr("restack"));
}

} // namespace up::app
