// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/cloth_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/commands/traced_outline.hpp"
#include "app/look/text.hpp"
#include "core/edit/cloths.hpp"
#include "core/edit/stacking.hpp"
#include "core/edit/stashing.hpp"
#include "core/plan/bond/by_hand.hpp"
#include "words/stash_words.hpp"

#include <algorithm>

namespace up::app {

using quilt::Quilt;

ClothCommands::ClothCommands(Session& session, Mending& mending, StashKeeper& stash, Asker& asker,
                             Errand& reading, QObject* parent)
    : QObject(parent), m_session(session), m_mending(mending), m_stash(stash), m_asker(asker),
      m_reading(reading) {}

void ClothCommands::layOnCloth() {
    if (!m_session.block()) return;
    if (m_session.quilt().cloths.empty())
        return m_session.complain(
            tr("The stash has no cloth yet. Put some in (Ctrl+Shift+K), or cut patches of the sizes shown."));
    m_mending.start(tr("lay the chunks on cloth"),
                    [block = m_session.blockId()](const Quilt& quilt) {
                        const auto* owner = quilt::find(quilt.blocks, block);
                        if (!owner) return edit::Edited(quilt);
                        Job job;
                        return edit::layOnCloth(
                            quilt, block,
                            plan::layOnCloth(quilt, *owner, plan::planTrace(quilt, *owner), {}, job));
                    },
                    {});
}

const quilt::OnCloth* ClothCommands::chosenOnCloth() const {
    const auto* block = m_session.block();
    const auto* piece = m_session.piece();
    const auto chunk = block && piece ? plan::chunkNumberOf(*block, piece->id) : std::nullopt;
    if (!chunk) return nullptr;
    const auto at = std::find_if(block->onCloth.begin(), block->onCloth.end(),
                                 [&](const auto& on) { return on.chunk == *chunk; });
    return at == block->onCloth.end() ? nullptr : &*at;
}

void ClothCommands::useAnother() {
    const auto* block = m_session.block();
    const auto* piece = m_session.piece();
    const auto chunk = block && piece ? plan::chunkNumberOf(*block, piece->id) : std::nullopt;
    if (!chunk) return m_session.complain(tr("Choose a piece first: its chunk goes onto another cloth."));
    m_mending.start(tr("another cloth"),
                    [id = block->id, number = *chunk](const Quilt& quilt) -> edit::Edited {
                        const auto* owner = quilt::find(quilt.blocks, id);
                        if (!owner) return quilt;
                        auto moved =
                            plan::onAnotherCloth(quilt, *owner, plan::planTrace(quilt, *owner), number);
                        if (!moved) return failure(Code::noOtherCloth);
                        return edit::layOnCloth(quilt, id, std::move(*moved));
                    },
                    {});
}

void ClothCommands::togglePin() {
    const auto* on = chosenOnCloth();
    if (!on) return m_session.complain(tr("Choose a piece that lies on cloth first: its chunk is pinned."));
    auto next = m_session.block()->onCloth;
    const bool pinned = !on->pinned;
    for (auto& one : next)
        if (one.chunk == on->chunk) one.pinned = pinned;
    m_session.apply(edit::layOnCloth(m_session.quilt(), m_session.blockId(), std::move(next)),
                    pinned ? tr("pin on the cloth") : tr("let go on the cloth"));
}

void ClothCommands::bond(const std::vector<PieceId>& pieces, const QString& what) {
    const auto* block = m_session.block();
    if (!block) return;
    const auto& trace = m_session.derived().trace();
    const auto isDone = [&](PieceId id) {
        return std::find(pieces.begin(), pieces.end(), id) != pieces.end() ||
               quilt::the(block->pieces, id).work.step >= quilt::Step::bonded;
    };
    std::vector<std::size_t> chunks;
    for (std::size_t i = 0; i < trace.chunks.size(); ++i) {
        const auto& chunk = trace.chunks[i];
        if (!plan::isBonded(*block, chunk) && std::all_of(chunk.pieces.begin(), chunk.pieces.end(), isDone))
            chunks.push_back(i);
    }
    m_session.apply(edit::bondOnCloth(m_session.quilt(), block->id, pieces,
                                      plan::leftWhenBonded(m_session.quilt(), *block, trace, chunks),
                                      m_session.now()),
                    what);
}

namespace {

/// What was said of a cloth, and of its fabric.
constexpr auto withCloth = [](const Quilt& quilt, const ClothAnswer& answer) {
    if (answer.gone) return edit::removeCloth(quilt, answer.cloth.id);
    return edit::putCloth(quilt, answer.cloth).and_then([&](const Quilt& with) -> edit::Edited {
        auto fabric = quilt::the(with.fabrics, answer.cloth.fabric);
        if (fabric.alike == answer.alike) return with;
        fabric.alike = answer.alike;
        return edit::putFabric(with, std::move(fabric));
    });
};

} // namespace

void ClothCommands::change(ClothId id) {
    const auto* cloth = quilt::find(m_session.quilt().cloths, id);
    if (cloth) answered(m_session, tr("change cloth"), m_asker.cloth({m_session.quilt(), *cloth}), withCloth);
}

quilt::Cloth ClothCommands::fresh() const {
    quilt::Cloth fresh{};
    fresh.key = m_stash.newKey();
    if (const auto* piece = m_session.piece()) fresh.fabric = piece->fabric;
    return fresh;
}

bool ClothCommands::hasFabrics() {
    if (!m_session.quilt().fabrics.empty()) return true;
    m_session.complain(tr("Name a fabric first (Edit, New fabric): cloth is of some fabric."));
    return false;
}

void ClothCommands::add() {
    if (hasFabrics())
        answered(m_session, tr("put cloth into the stash"), m_asker.cloth({m_session.quilt(), fresh()}),
                 withCloth);
}

void ClothCommands::bought(WantId id) {
    const auto words = [&] {
        const auto* want = quilt::find(m_session.quilt().wants, id);
        return want ? q(words::wantWords(m_session.quilt(), *want)) : QString();
    }();
    if (words.isEmpty()) return;
    const auto what =
        m_asker.decide(words, tr("Is it here, or not wanted any more?"),
                       {tr("Not yet"), tr("Put it into the stash…"), tr("Not wanted any more")});
    if (what == 2U) m_session.apply(edit::removeWant(m_session.quilt(), id), tr("off the shopping list"));
    if (what == 1U) bring(id);
}

/// As large as it was wanted, unless somebody says otherwise.
void ClothCommands::bring(WantId id) {
    auto cloth = fresh();
    if (const auto* want = quilt::find(m_session.quilt().wants, id)) {
        cloth.fabric = want->fabric;
        cloth.outline = shape::rectangle({0, 0, want->width.mm(), want->height.mm()}).rings;
    }
    answered(
        m_session, tr("put cloth into the stash"), m_asker.cloth({m_session.quilt(), std::move(cloth)}),
        [](const Quilt& quilt, const ClothAnswer& answer, WantId of) {
            return withCloth(quilt, answer).and_then([&](const Quilt& now) {
                return edit::removeWant(now, of);
            });
        },
        id);
}

void ClothCommands::trace() {
    if (!hasFabrics()) return;
    traceOutline(m_session, m_asker, m_reading,
                 tr("A scan or photograph of the cloth, or a drawing of its outline"),
                 [this](const shape::Region& outline, const QString&) {
                     auto cloth = fresh();
                     cloth.outline = shape::simplified(outline, 0.2).rings;
                     cloth.scrap = true;
                     answered(m_session, tr("put cloth into the stash"),
                              m_asker.cloth({m_session.quilt(), std::move(cloth), true}), withCloth);
                 });
}

} // namespace up::app
