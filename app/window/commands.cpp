// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/commands.hpp"

#include "app/look/look.hpp"
#include "core/edit/stacking.hpp"
#include "core/measure/say.hpp"
#include "words/now_words.hpp"
#include "words/sentences.hpp"

#include <algorithm>

namespace up::app {

using quilt::Step;

Commands::Commands(Session& session, LayoutJob& layout, Asker& asker, ImportCommands& imports,
                   TraceCommands& tracing, QObject* parent)
    : QObject(parent), m_session(session), m_layout(layout), m_asker(asker), m_imports(imports),
      m_tracing(tracing) {}

namespace {

/// The quilt with the block that was asked for, on its background, with its web.
edit::Edited withBlock(const quilt::Quilt& quilt, const BlockAnswer& answer) {
    auto next = edit::addBlock(quilt, answer.name, answer.width, answer.height);
    auto background = answer.background;
    if (next && answer.fresh) {
        next = edit::addFabric(*next, answer.fresh->name, answer.fresh->colour);
        if (next) background = next->fabrics.back().id;
    }
    if (next && background) next = edit::setBackground(*next, next->blocks.back().id, background);
    if (next && answer.web) next = edit::setWeb(*next, next->blocks.back().id, answer.web);
    return next;
}

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
    case plan::What::putAway: return m_tracing.putAway();
    case plan::What::trim:
        m_session.apply(edit::setTrimmed(m_session.quilt(), block->id, m_session.now()), "trim");
        return;
    case plan::What::goOn: return m_session.goTo(viewOf(now.tread));
    case plan::What::allDone: return m_session.goTo(View::landing);
    }
}

/// As if done one after the other, so that a lower piece of the same pressing counts for the one above it.
Result<void> Commands::mayDoAll(const std::vector<PieceId>& pieces, Step step) const {
    auto block = *m_session.block();
    const auto& plan = m_session.derived().block();
    for (const auto id : pieces) {
        const auto index = static_cast<std::size_t>(plan::numberOf(block, id)) - 1;
        if (auto may = plan::mayDo(block, plan, index, step); !may) return may;
        auto& work = block.pieces[index].work;
        work = quilt::advanced(work, step, block.pieces[index].hasMarks()).value_or(work);
    }
    return {};
}

void Commands::doStep(const std::vector<PieceId>& pieces, Step step) {
    const auto* block = m_session.block();
    if (!block || pieces.empty()) return;
    if (auto may = mayDoAll(pieces, step); !may) return m_session.complain(may.error());
    const BlockId owner = block->id;
    for (const auto id : pieces) {
        const auto* piece = find(block->pieces, id);
        if (!quilt::losesMarks(piece->work, step, piece->hasMarks())) continue;
        const auto question = "The paper comes off “" + piece->name +
                              "” now and its marks are not drawn: they cannot be traced through any more.";
        if (!m_asker.yes("Marks would be lost", QString::fromStdString(question), "Lay it without marks"))
            return;
    }
    const auto what = words::asTask(step) + " " + words::piecesWords(*block, pieces);
    m_session.apply(edit::record(m_session.quilt(), owner, pieces, step, m_session.now()),
                    QString::fromStdString(what).toLower());
}

void Commands::newBlock() {
    const auto count = m_session.quilt().blocks.size();
    const auto answer = m_asker.block({m_session.quilt(), "Block " + std::to_string(count + 1)});
    if (!answer) return;
    if (!m_session.apply(withBlock(m_session.quilt(), *answer), "new block")) return;
    m_session.chooseBlock(m_session.quilt().blocks.back().id);
    m_session.goTo(View::draw);
}

void Commands::redraw(edit::Edited next, const QString& what) {
    const auto* block = m_session.block();
    const auto begun = std::count_if(block->pieces.begin(), block->pieces.end(),
                                     [](const auto& p) { return p.work.step != Step::toTrace; });
    const bool changes = next && !(*next == m_session.quilt());
    if (!m_session.apply(std::move(next), what) || begun == 0 || !changes) return;
    emit told(QString("%1 traced pieces no longer fit and go back to be traced. Undo brings them back.")
                  .arg(begun));
}

void Commands::resize(const QString& text) {
    const auto size = measure::readSize(text.toStdString(), m_session.quilt().units);
    if (!m_session.block()) return;
    if (!size) return m_session.complain(size.error());
    redraw(edit::resizeBlock(m_session.quilt(), m_session.blockId(), size->width, size->height),
           "set the size");
}

void Commands::askSize() {
    const auto* block = m_session.block();
    if (!block || block->pieces.empty()) return;
    const auto* piece = m_session.piece();
    const auto judged = m_session.derived().judgement();
    if (!judged) return emit told("The shapes are still being measured. Try again in a moment.");
    const auto answer =
        m_asker.size({m_session.quilt().units, *block, piece ? piece->id : PieceId{}, judged});
    if (!answer) return;
    auto next = edit::setEdge(m_session.quilt(), block->id, answer->edge);
    const auto scaled = [&](measure::Length side) {
        return measure::Length::ofMm(side.mm() * answer->factor);
    };
    if (next && answer->wholeBlock)
        next = edit::resizeBlock(*next, block->id, scaled(block->width), scaled(block->height),
                                 answer->keepWidths);
    else if (next && answer->factor != 1 && piece)
        next = edit::scalePiece(*next, block->id, piece->id, answer->factor, answer->keepWidths);
    if (answer->factor == 1)
        m_session.apply(std::move(next), "change the edge stitch");
    else
        redraw(std::move(next), "set the size");
}

void Commands::setCameReversed(bool reversed) {
    if (m_session.block())
        redraw(edit::setGivenReversed(m_session.quilt(), m_session.blockId(), reversed),
               reversed ? "drawing came reversed" : "drawing as seen");
}

void Commands::renameBlock() {
    const auto* block = m_session.block();
    if (!block) return;
    const auto name = m_asker.text("Rename block", "What is it called?", QString::fromStdString(block->name));
    if (name && !name->trimmed().isEmpty())
        m_session.apply(
            edit::renameBlock(m_session.quilt(), m_session.blockId(), name->trimmed().toStdString()),
            "rename block");
}

void Commands::removeBlock() {
    if (m_session.block())
        m_session.apply(edit::removeBlock(m_session.quilt(), m_session.blockId()), "remove block");
}

void Commands::removePiece() {
    if (const auto* piece = m_session.piece())
        m_session.apply(edit::removePiece(m_session.quilt(), m_session.blockId(), piece->id), "remove piece");
}

void Commands::renameQuilt() {
    const auto name =
        m_asker.text("Rename quilt", "What is it called?", QString::fromStdString(m_session.quilt().name));
    if (name && !name->trimmed().isEmpty())
        m_session.apply(edit::renameQuilt(m_session.quilt(), name->trimmed().toStdString()), "rename quilt");
}

std::optional<std::pair<std::string, Colour>> Commands::askSwatch(const QString& title) {
    const auto name = m_asker.text(title, "What do you call it?", "");
    if (!name || name->trimmed().isEmpty()) return std::nullopt;
    const auto colour = m_asker.colour("Its colour", look::q(look::brass));
    if (!colour) return std::nullopt;
    const auto channel = [](int value) { return static_cast<std::uint8_t>(value); };
    return std::pair{name->trimmed().toStdString(),
                     Colour{channel(colour->red()), channel(colour->green()), channel(colour->blue())}};
}

void Commands::newFabric() {
    const auto asked = askSwatch("New fabric");
    if (!asked) return;
    auto made = edit::addFabric(m_session.quilt(), asked->first, asked->second);
    const auto* piece = m_session.piece();
    if (made && piece) made = edit::setFabric(*made, m_session.blockId(), piece->id, made->fabrics.back().id);
    m_session.apply(std::move(made), "new fabric");
}

void Commands::editFabrics() {
    const auto& quilt = m_session.quilt();
    if (quilt.fabrics.empty()) return newFabric();
    const auto* piece = m_session.piece();
    const auto answer = m_asker.fabrics({quilt, m_session.blockId(), piece ? piece->fabric : FabricId{}});
    if (!answer) return;
    edit::Edited next = quilt;
    for (const auto& fabric : *answer)
        next = next.and_then([&](const quilt::Quilt& now) { return edit::putFabric(now, fabric); });
    m_session.apply(std::move(next), "change fabrics");
}

void Commands::newThread() {
    const auto asked = askSwatch("New thread");
    if (!asked) return;
    auto made = edit::addThread(m_session.quilt(), asked->first, asked->second);
    const auto* piece = m_session.piece();
    if (made && piece) made = edit::setThread(*made, m_session.blockId(), piece->id, made->threads.back().id);
    m_session.apply(std::move(made), "new thread");
}

void Commands::editWeb() {
    const auto* block = m_session.block();
    const auto* known = block ? find(m_session.quilt().webs, block->web) : nullptr;
    if (!known) return newWeb();
    if (const auto web = m_asker.web(*known, m_session.quilt().units))
        m_session.apply(edit::putWeb(m_session.quilt(), *web), "change web");
}

void Commands::newWeb() {
    const auto* block = m_session.block();
    auto proposed = quilt::emptyQuilt("").webs.front();
    proposed.id = {};
    proposed.name = "New web";
    const auto web = m_asker.web(proposed, m_session.quilt().units);
    if (!web) return;
    auto made = edit::putWeb(m_session.quilt(), *web);
    const bool free = block && std::all_of(block->pieces.begin(), block->pieces.end(),
                                           [](const auto& p) { return p.work.step == Step::toTrace; });
    if (made && free) made = edit::setWeb(*made, block->id, made->webs.back().id);
    m_session.apply(std::move(made), "new web");
}

void Commands::restack(int by) {
    if (const auto* piece = m_session.piece())
        m_session.apply(edit::restack(m_session.quilt(), m_session.blockId(), piece->id, by), "restack");
}

} // namespace up::app
