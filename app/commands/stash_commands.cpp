// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/commands/stash_commands.hpp"

#include "app/commands/answered.hpp"
#include "app/look/look.hpp"
#include "app/look/text.hpp"
#include "app/session/reading.hpp"
#include "core/edit/ironing.hpp"
#include "core/edit/naming.hpp"
#include "core/edit/stacking.hpp"
#include "core/edit/stashing.hpp"

#include <QFileInfo>
#include <algorithm>

namespace up::app {

using quilt::Quilt;
using quilt::Step;

StashCommands::StashCommands(Session& session, StashKeeper& stash, Asker& asker, Others others,
                             QObject* parent)
    : QObject(parent), m_session(session), m_stash(stash), m_asker(asker), m_others(others) {}

void StashCommands::open(const sheet::Tag& tag) {
    if (const auto* offCut = std::get_if<OffCutId>(&tag)) m_others.tracing.throwAway(*offCut);
    if (const auto* cloth = std::get_if<ClothId>(&tag)) m_others.cloths.change(*cloth);
    if (const auto* want = std::get_if<WantId>(&tag)) m_others.cloths.bought(*want);
    if (const auto* fabric = std::get_if<FabricId>(&tag)) editFabrics(*fabric);
    if (const auto* web = std::get_if<WebId>(&tag)) editWeb(*web);
    if (const auto* thread = std::get_if<ThreadId>(&tag)) editThread(*thread);
    if (const auto* supply = std::get_if<SupplyId>(&tag)) editSupply(*supply);
    if (const auto* iron = std::get_if<IronId>(&tag)) editIron(*iron);
}

PieceId StashCommands::pieceForIt() const {
    const auto* piece = m_session.piece();
    return piece ? piece->id : PieceId{};
}

// --- fabrics

namespace {

using NameAndColour = std::pair<std::string, Colour>;

std::optional<NameAndColour> askSwatch(Session& session, Asker& asker, const QString& title) {
    const auto name = asker.text(title, QObject::tr("What do you call it?"), "");
    if (!name) return std::nullopt;
    if (const auto proper = edit::properName(name->toStdString()); !proper) {
        session.complain(proper.error());
        return std::nullopt;
    }
    const auto colour = asker.colour(QObject::tr("Its colour"), look::q(look::brass));
    if (!colour) return std::nullopt;
    const auto channel = [](int value) { return static_cast<std::uint8_t>(value); };
    return std::pair{name->trimmed().toStdString(),
                     Colour{channel(colour->red()), channel(colour->green()), channel(colour->blue())}};
}

/// A swatch that has been read, and the name of the fabric it is of.
struct Pictured {
    std::string name;
    Colour colour;
    quilt::Swatch swatch;
};

constexpr auto withPicture = [](const Quilt& quilt, const Pictured& pictured) -> edit::Edited {
    const auto isIt = [&](const quilt::Fabric& fabric) { return fabric.name == pictured.name; };
    edit::Edited next = quilt;
    if (std::none_of(quilt.fabrics.begin(), quilt.fabrics.end(), isIt))
        next = edit::addFabric(quilt, pictured.name, pictured.colour);
    return next.and_then([&](const Quilt& now) {
        auto fabric = *std::find_if(now.fabrics.begin(), now.fabrics.end(), isIt);
        fabric.colour = pictured.colour;
        fabric.swatch = pictured.swatch;
        return edit::putFabric(now, std::move(fabric));
    });
};

} // namespace

void StashCommands::newFabric() {
    answered(
        m_session, tr("new fabric"), askSwatch(m_session, m_asker, tr("New fabric")),
        [](const Quilt& quilt, const NameAndColour& asked, BlockId block, PieceId piece) {
            auto made = edit::addFabric(quilt, asked.first, asked.second);
            if (made && piece) made = edit::setFabric(*made, block, piece, made->fabrics.back().id);
            return made;
        },
        m_session.blockId(), pieceForIt());
}

void StashCommands::editFabrics(FabricId first) {
    if (m_session.quilt().fabrics.empty()) return newFabric();
    const auto* piece = m_session.piece();
    if (!first && piece) first = piece->fabric;
    answered(m_session, tr("change fabrics"),
             m_asker.fabrics({m_session.quilt(), m_session.blockId(), first}),
             [](const Quilt& quilt, const FabricAnswer& fabrics) {
                 edit::Edited next = quilt;
                 for (const auto& fabric : fabrics)
                     next = next.and_then([&](const Quilt& now) { return edit::putFabric(now, fabric); });
                 return next;
             });
}

void StashCommands::pictureFabric() {
    const auto path =
        m_asker.fileToOpen(tr("A photograph or scan of the fabric, on white paper or filled by it"),
                           tr("Pictures (*.png *.jpg *.jpeg *.tif *.tiff);;All files (*)"));
    if (path.isEmpty()) return;
    m_others.reading.start(
        tr("Reading %1").arg(QFileInfo(path).fileName()),
        [name = path.toStdString()](const std::shared_ptr<Job>&) { return readSwatchFile(name); },
        [this](const Result<SwatchFile>& read) {
            if (!read) return m_session.complain(read.error());
            QStringList names;
            for (const auto& fabric : m_session.quilt().fabrics)
                names << q(fabric.name);
            const auto name =
                m_asker.choice(tr("Fabric from a picture"),
                               tr("Which fabric is it? Choose it, or type a new one's name."), names);
            if (!name) return;
            const auto proper = edit::properName(name->toStdString());
            if (!proper) return m_session.complain(proper.error());
            answered(m_session, tr("picture of a fabric"),
                     std::optional(Pictured{*proper, read->colour, read->swatch}), withPicture);
        });
}

// --- webs

void StashCommands::newWeb() {
    auto proposed = quilt::emptyQuilt("").webs.front();
    proposed.id = {};
    proposed.name = tr("New web").toStdString();
    auto web = m_asker.web(proposed, m_session.quilt().units);
    if (web) web->key = m_stash.newKey();
    answered(
        m_session, tr("new web"), web,
        [](const Quilt& quilt, const quilt::Web& fresh, BlockId of) {
            auto made = edit::putWeb(quilt, fresh);
            const auto* block = find(quilt.blocks, of);
            const bool free =
                block && std::all_of(block->pieces.begin(), block->pieces.end(),
                                     [](const auto& p) { return p.work.step == Step::toTrace; });
            if (made && free) made = edit::setWeb(*made, of, made->webs.back().id);
            return made;
        },
        m_session.blockId());
}

void StashCommands::editWeb() {
    const auto* block = m_session.block();
    if (block && find(m_session.quilt().webs, block->web))
        editWeb(block->web);
    else
        newWeb();
}

void StashCommands::editWeb(WebId web) {
    if (const auto* known = find(m_session.quilt().webs, web))
        answered(m_session, tr("change web"), m_asker.web(*known, m_session.quilt().units),
                 [](const Quilt& quilt, const quilt::Web& changed) { return edit::putWeb(quilt, changed); });
}

// --- threads

namespace {

constexpr auto withThread = [](const Quilt& quilt, const ThreadAnswer& answer) {
    return answer.gone ? edit::usedUp(quilt, answer.thread.id) : edit::putThread(quilt, answer.thread);
};

} // namespace

void StashCommands::newThread() {
    quilt::Thread fresh{};
    fresh.name = tr("New thread").toStdString(), fresh.colour = look::brass;
    auto thread = m_asker.thread(fresh);
    if (thread) thread->thread.key = m_stash.newKey();
    answered(
        m_session, tr("new thread"), thread,
        [](const Quilt& quilt, const ThreadAnswer& answer, BlockId block, PieceId piece) {
            auto made = withThread(quilt, answer);
            if (made && piece) made = edit::setThread(*made, block, piece, made->threads.back().id);
            return made;
        },
        m_session.blockId(), pieceForIt());
}

void StashCommands::editThread(ThreadId id) {
    if (const auto* thread = find(m_session.quilt().threads, id))
        answered(m_session, tr("change thread"), m_asker.thread(*thread), withThread);
}

// --- stabiliser and batting

namespace {

constexpr auto withSupply = [](const Quilt& quilt, const SupplyAnswer& answer) {
    return answer.gone ? edit::removeSupply(quilt, answer.supply.id) : edit::putSupply(quilt, answer.supply);
};

} // namespace

void StashCommands::newSupply() {
    quilt::Supply fresh{};
    fresh.name = tr("Tear-away").toStdString();
    fresh.width = quilt::Length::ofInches(20, 1), fresh.length = quilt::Length::ofInches(36, 1);
    auto supply = m_asker.supply(fresh, m_session.quilt().units);
    if (supply) supply->supply.key = m_stash.newKey();
    answered(m_session, tr("put into the stash"), supply, withSupply);
}

void StashCommands::editSupply(SupplyId id) {
    if (const auto* supply = find(m_session.quilt().supplies, id))
        answered(m_session, tr("change what is at hand"), m_asker.supply(*supply, m_session.quilt().units),
                 withSupply);
}

// --- irons

void StashCommands::editIron(IronId id) {
    const auto* iron = find(m_session.quilt().irons, id);
    if (!iron) return;
    const auto what =
        m_asker.decide(q(iron->name), tr("Press with this iron from now on?"),
                       {tr("Leave it as it is"), tr("Press with it"), tr("It is not here any more")});
    if (what == 1U) m_others.presses.useIron(id);
    if (what == 2U) m_session.apply(edit::removeIron(m_session.quilt(), id), tr("an iron gone"));
}

void StashCommands::keepForAll() {
    const auto next = edit::keepForAll(m_session.quilt(), [&] { return m_stash.newKey(); });
    if (next && *next == m_session.quilt())
        return m_session.complain(tr("All webs, threads and irons of this quilt are in the stash already."));
    m_session.apply(next, tr("keep for all quilts"));
}

} // namespace up::app
